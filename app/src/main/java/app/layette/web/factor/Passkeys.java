package app.layette.web.factor;

import app.layette.web.shell.Address;
import com.webauthn4j.util.exception.WebAuthnException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.webauthn.api.AuthenticatorAssertionResponse;
import org.springframework.security.web.webauthn.api.AuthenticatorAttestationResponse;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.PublicKeyCredential;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRpEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.UserVerificationRequirement;
import org.springframework.security.web.webauthn.jackson.WebauthnJacksonModule;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialCreationOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutablePublicKeyCredentialRequestOptionsRequest;
import org.springframework.security.web.webauthn.management.ImmutableRelyingPartyRegistrationRequest;
import org.springframework.security.web.webauthn.management.JdbcPublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.JdbcUserCredentialRepository;
import org.springframework.security.web.webauthn.management.RelyingPartyAuthenticationRequest;
import org.springframework.security.web.webauthn.management.RelyingPartyPublicKey;
import org.springframework.security.web.webauthn.management.WebAuthnRelyingPartyOperations;
import org.springframework.security.web.webauthn.management.Webauthn4JRelyingPartyOperations;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Passkeys, checked by Spring Security. They belong to the host name under which the application is reached from
 * outside; without one that is set, none can be made.
 */
@Component
class Passkeys {
    private static final Logger LOG = LoggerFactory.getLogger(Passkeys.class);
    private static final int LONGEST_LABEL = 60;

    /** One that somebody has. */
    record Kept(String id, String label, Instant created, Instant lastUsed) {}

    private final JdbcUserCredentialRepository credentials;
    private final JdbcPublicKeyCredentialUserEntityRepository owners;
    private final Optional<WebAuthnRelyingPartyOperations> checks;
    private final JsonMapper json =
            JsonMapper.builder().addModule(new WebauthnJacksonModule()).build();

    Passkeys(JdbcTemplate jdbc, Address address) {
        credentials = new JdbcUserCredentialRepository(jdbc);
        owners = new JdbcPublicKeyCredentialUserEntityRepository(jdbc);
        checks = address.origin().map(origin -> {
            PublicKeyCredentialRpEntity us = PublicKeyCredentialRpEntity.builder()
                    .id(origin.getHost())
                    .name("Layette")
                    .build();
            Webauthn4JRelyingPartyOperations made =
                    new Webauthn4JRelyingPartyOperations(owners, credentials, us, Set.of(origin.toString()));
            made.setCustomizeRequestOptions(options -> options.userVerification(UserVerificationRequirement.PREFERRED));
            return made;
        });
    }

    /** Whether there can be any here. */
    boolean areThere() {
        return checks.isPresent();
    }

    List<Kept> of(String name) {
        PublicKeyCredentialUserEntity owner = owners.findByUsername(name);
        return owner == null
                ? List.of()
                : credentials.findByUserId(owner.getId()).stream()
                        .map(each -> new Kept(
                                each.getCredentialId().toBase64UrlString(),
                                each.getLabel(),
                                each.getCreated(),
                                each.getLastUsed()))
                        .toList();
    }

    PublicKeyCredentialCreationOptions offer(Authentication who) {
        return checks.orElseThrow()
                .createPublicKeyCredentialCreationOptions(new ImmutablePublicKeyCredentialCreationOptionsRequest(who));
    }

    PublicKeyCredentialRequestOptions ask(Authentication who) {
        return checks.orElseThrow()
                .createCredentialRequestOptions(new ImmutablePublicKeyCredentialRequestOptionsRequest(who));
    }

    String written(Object options) {
        return json.writeValueAsString(options);
    }

    /** Keeps a new one; false where what the browser sent does not answer what was offered. */
    boolean keep(PublicKeyCredentialCreationOptions offered, String label, String credential) {
        String called = label.isBlank() ? "Passkey" : label.strip();
        try {
            PublicKeyCredential<AuthenticatorAttestationResponse> read =
                    json.readValue(credential, new TypeReference<>() {});
            checks.orElseThrow()
                    .registerCredential(new ImmutableRelyingPartyRegistrationRequest(
                            offered,
                            new RelyingPartyPublicKey(
                                    read, called.substring(0, Math.min(called.length(), LONGEST_LABEL)))));
            return true;
        } catch (JacksonException | IllegalArgumentException | IllegalStateException | WebAuthnException e) {
            LOG.warn("A passkey was not kept: {}", e.getClass().getSimpleName());
            return false;
        }
    }

    /** Whether the browser answered what was asked with a passkey of this very person. */
    boolean proves(PublicKeyCredentialRequestOptions asked, String credential, String name) {
        try {
            PublicKeyCredential<AuthenticatorAssertionResponse> read =
                    json.readValue(credential, new TypeReference<>() {});
            PublicKeyCredentialUserEntity owner =
                    checks.orElseThrow().authenticate(new RelyingPartyAuthenticationRequest(asked, read));
            return owner != null && owner.getName().equals(name);
        } catch (JacksonException | IllegalArgumentException | IllegalStateException | WebAuthnException e) {
            LOG.warn("A passkey was not taken: {}", e.getClass().getSimpleName());
            return false;
        }
    }

    /** Removes one of somebody's own; false where it is none of theirs. */
    boolean remove(String name, String id) {
        boolean theirs = of(name).stream().anyMatch(each -> each.id().equals(id));
        if (theirs) {
            credentials.delete(Bytes.fromBase64(id));
        }
        return theirs;
    }

    void removeAll(String name) {
        of(name).forEach(each -> credentials.delete(Bytes.fromBase64(each.id())));
    }
}
