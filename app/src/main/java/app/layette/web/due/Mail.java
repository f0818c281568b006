package app.layette.web.due;

import java.util.UUID;

/** Where letters go. */
public interface Mail {
    /** A letter, without any address that the family has not given. */
    record Letter(String recipient, String subject, String body) {}

    /** Whether letters can go at all. */
    boolean isThere();

    void send(UUID point, Letter letter);
}
