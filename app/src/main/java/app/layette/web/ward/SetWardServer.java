package app.layette.web.ward;

import java.net.URI;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;

/** The server that the settings name. */
final class SetWardServer implements WardServer {
    private final Optional<URI> address;

    SetWardServer(@Value("${layette.fhir-url:}") String address) {
        this.address =
                Optional.of(address.strip()).filter(each -> !each.isEmpty()).map(URI::create);
    }

    @Override
    public Optional<URI> address() {
        return address;
    }
}
