package app.layette.web.ward;

import java.net.URI;
import java.util.Optional;

/** Where the ward's own server is, if there is one. */
public interface WardServer {
    /** Its base address; empty where none is set. */
    Optional<URI> address();

    /** Whether it only pretends. */
    default boolean isSimulated() {
        return false;
    }
}
