package app.layette.web.api;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * A program that somebody gave a token.
 *
 * @param expiresOn the last day on which it counts, at the point
 * @param revokedAt when it was taken back
 * @param lastAsked the minute of its last request
 */
record Program(
        UUID pointId,
        UUID id,
        String name,
        Set<Scope> scopes,
        LocalDate expiresOn,
        Optional<Instant> revokedAt,
        Optional<Instant> lastAsked) {
    Program {
        scopes = Set.copyOf(scopes);
    }

    /** How entries and notes name it. */
    String author() {
        return "program " + name;
    }
}
