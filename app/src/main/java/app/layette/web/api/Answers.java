package app.layette.web.api;

import app.layette.formats.text.Sha256;
import app.layette.web.api.Problems.ApiException;
import app.layette.web.wall.Turns;
import java.net.URI;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is answered to a request that changes something: with an Idempotency-Key the same request is done once, and its
 * answer is given again for a day. The key with another body is a mistake of the program, and is said to be one.
 */
@Component
class Answers {
    private static final int LONGEST_KEY = 100;

    private final JdbcClient jdbc;
    private final Turns turns;
    private final Clock clock;

    Answers(JdbcClient jdbc, Turns turns, Clock clock) {
        this.jdbc = jdbc;
        this.turns = turns;
        this.clock = clock;
    }

    /** An answer as it is kept. */
    record Answer(int status, String location, String body) {
        ResponseEntity<String> entity() {
            ResponseEntity.BodyBuilder entity = ResponseEntity.status(status).contentType(MediaType.APPLICATION_JSON);
            if (!location.isEmpty()) {
                entity.location(URI.create(location));
            }
            return entity.body(body);
        }
    }

    /** A document with a mark of what it says; the framework sends it not again to whoever has it. */
    static ResponseEntity<String> tagged(String document) {
        return ResponseEntity.ok()
                .eTag("\"" + Sha256.of(document) + "\"")
                .contentType(MediaType.APPLICATION_JSON)
                .body(document);
    }

    /**
     * Does something once.
     *
     * @param key the program's own name for the request; {@code null} where it gives none
     * @param address where it was asked
     * @param body what was asked; both tell the same request from another one
     */
    @Transactional
    public Answer once(Program program, String key, String address, String body, Supplier<Answer> does) {
        if (key == null) {
            return does.get();
        }
        if (key.isBlank() || key.length() > LONGEST_KEY) {
            throw ApiException.field("Idempotency-Key", key, "1 to " + LONGEST_KEY + " letters");
        }
        // Twice at once: the second waits for the first.
        turns.take("answer " + program.id() + " " + key);
        String sha = Sha256.of(address + "\n" + body);
        Optional<Kept> kept = jdbc.sql("select request_sha256, status, location, body from program_answer"
                        + " where point_id = :point and program_id = :program and key = :key")
                .param("point", program.pointId())
                .param("program", program.id())
                .param("key", key)
                .query(Kept.class)
                .optional();
        if (kept.isPresent()) {
            if (!kept.get().requestSha256().equals(sha)) {
                throw new ApiException(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        "key",
                        "This Idempotency-Key was given with another request; allowed is a new one");
            }
            return new Answer(
                    kept.get().status(), kept.get().location(), kept.get().body());
        }
        Answer answer = does.get();
        jdbc.sql("insert into program_answer (point_id, program_id, key, request_sha256, status, location, body, at)"
                        + " values (:point, :program, :key, :sha, :status, :location, :body, :at)")
                .param("point", program.pointId())
                .param("program", program.id())
                .param("key", key)
                .param("sha", sha)
                .param("status", answer.status())
                .param("location", answer.location())
                .param("body", answer.body())
                .param("at", Timestamp.from(clock.instant()))
                .update();
        return answer;
    }

    private record Kept(String requestSha256, int status, String location, String body) {}
}
