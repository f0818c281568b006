package app.layette.web.factor;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.security.InvalidKeyException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Duration;
import java.time.Instant;
import java.util.OptionalLong;
import javax.crypto.SecretKey;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;

/** Time codes after RFC 6238: six digits, thirty seconds, SHA-1, as every authenticator app takes them. */
final class TimeCodes {
    /** Length of an HMAC-SHA-1, as RFC 4226 recommends for a secret. */
    private static final int SECRET_BYTES = 20;
    /** A clock may be a step off, and a code be typed at the end of its own (RFC 6238, section 5.2). */
    private static final int STEPS_OFF = 1;

    private static final TimeBasedOneTimePasswordGenerator CODES = new TimeBasedOneTimePasswordGenerator();
    private static final Duration STEP = CODES.getTimeStep();
    private static final SecureRandom RANDOM = new SecureRandom();

    private TimeCodes() {}

    static byte[] newSecret() {
        byte[] secret = new byte[SECRET_BYTES];
        RANDOM.nextBytes(secret);
        return secret;
    }

    /**
     * The step that a code belongs to.
     *
     * @param lastStep the newest step whose code was taken; that one and older ones are taken no more
     * @return empty where the code is none of now
     */
    static OptionalLong step(byte[] secret, String code, Instant now, long lastStep) {
        SecretKey key = new SecretKeySpec(secret, CODES.getAlgorithm());
        long here = now.getEpochSecond() / STEP.toSeconds();
        OptionalLong found = OptionalLong.empty();
        for (long step = here - STEPS_OFF; step <= here + STEPS_OFF; step++) {
            boolean same = MessageDigest.isEqual(
                    code(key, Instant.ofEpochSecond(step * STEP.toSeconds())).getBytes(StandardCharsets.US_ASCII),
                    code.getBytes(StandardCharsets.UTF_8));
            if (same && step > lastStep) {
                found = OptionalLong.of(step);
            }
        }
        return found;
    }

    private static String code(SecretKey key, Instant at) {
        try {
            return CODES.generateOneTimePasswordString(key, at);
        } catch (InvalidKeyException e) {
            throw new IllegalStateException("The secret makes no key", e);
        }
    }

    /** The secret as it is typed into an app by hand, in groups of four. */
    static String spelled(byte[] secret) {
        return new Base32().encodeToString(secret).replaceAll("(.{4})(?=.)", "$1 ");
    }

    /** The address that an app reads from a QR code. */
    static String address(byte[] secret, String account, String point) {
        String issuer = "Layette " + point;
        return "otpauth://totp/" + encoded(issuer) + ":" + encoded(account) + "?secret="
                + new Base32().encodeToString(secret).replace("=", "") + "&issuer=" + encoded(issuer);
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8).replace("+", "%20");
    }
}
