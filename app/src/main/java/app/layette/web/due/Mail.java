package app.layette.web.due;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Where letters go. */
public interface Mail {
    /**
     * A letter, without any address that the family has not given.
     *
     * @param recipient the family's reference
     * @param address where the family wants its letters; empty where none is needed
     */
    record Letter(String recipient, String address, String subject, String body) {}

    /** How letters go from here. */
    enum Way {
        /** Not at all: nobody set up where. */
        NONE,
        /** Into a box that pretends; no address is needed. */
        PRETENDED,
        /** To the address that a family gave. */
        TO_AN_ADDRESS
    }

    /** It was not accepted: nothing was sent. */
    class NotTakenException extends Exception {
        public NotTakenException(@Nullable Throwable cause) {
            super(cause);
        }
    }

    Way way();

    /** Whether a text can be where a letter goes. */
    boolean takes(String address);

    /**
     * Sends a letter; it comes back when the letter was accepted. It can take seconds: call it outside a transaction.
     *
     * @throws NotTakenException when it was not accepted
     */
    void send(UUID point, Letter letter) throws NotTakenException;
}
