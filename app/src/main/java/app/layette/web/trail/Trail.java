package app.layette.web.trail;

import app.layette.formats.text.Sha256;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * The trail of a fitting point: who did what with accounts, sheets, practice and families. Each line is hashed together
 * with the hash of the line before it, so that one that was changed or taken out shows.
 */
@Service
public class Trail {
    private static final String FIRST = "0".repeat(64);
    private static final int LONGEST_ABOUT = 200;

    /** What is kept; the name is the key of its words. */
    public enum What {
        PERSON_ADDED,
        PERSON_CHANGED,
        PERSON_RETIRED,
        PERSON_BACK,
        PASSWORD_LINK_MADE,
        PASSWORD_SET,
        SECOND_FACTOR_SET,
        SECOND_FACTOR_REMOVED,
        SESSIONS_ENDED,
        WAITING_HANDED_OVER,
        POINT_CHANGED,
        POINT_OPENED,
        ORGANISATION_GIVEN,
        ORGANISATION_TAKEN,
        RETENTION_CHANGED,
        PROGRAM_ADDED,
        PROGRAM_REVOKED,
        PRACTICE_CHANGED,
        SHEET_TAKEN_IN,
        SHEET_DROPPED,
        FAMILY_ERASED,
        WORDS_STRUCK
    }

    /** One line. */
    public record Line(int seq, Instant at, String by, What what, String about, String sha256) {}

    private final JdbcClient jdbc;
    private final Clock clock;

    Trail(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * Adds a line in the transaction of what it tells of: both are kept or neither.
     *
     * @param about whom or what, without a family's or child's name
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void add(UUID point, String by, What what, String about) {
        // One after the other: the row of the point is the queue.
        jdbc.sql("select id from point where id = :point for update")
                .param("point", point)
                .query(UUID.class)
                .single();
        List<Line> last = read(point, "order by seq desc limit 1");
        int seq = last.isEmpty() ? 1 : last.get(0).seq() + 1;
        String before = last.isEmpty() ? FIRST : last.get(0).sha256();
        Instant at = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        String kept = about.substring(0, Math.min(about.length(), LONGEST_ABOUT));
        jdbc.sql("insert into trail (point_id, seq, at, by_user, what, about, sha256)"
                        + " values (:point, :seq, :at, :by, :what, :about, :sha)")
                .param("point", point)
                .param("seq", seq)
                .param("at", Timestamp.from(at))
                .param("by", by)
                .param("what", what.name())
                .param("about", kept)
                .param("sha", hash(before, seq, at, by, what, kept))
                .update();
    }

    /** The whole trail, the oldest line first. */
    @Transactional(readOnly = true)
    public List<Line> of(UUID point) {
        return read(point, "order by seq");
    }

    /** The first line that is not as it was written, or that follows on one that is missing; 0 when all is whole. */
    public static int broken(List<Line> lines) {
        String before = FIRST;
        int expected = 1;
        for (Line line : lines) {
            String now = hash(before, expected, line.at(), line.by(), line.what(), line.about());
            if (line.seq() != expected || !now.equals(line.sha256())) {
                return line.seq();
            }
            before = line.sha256();
            expected++;
        }
        return 0;
    }

    private List<Line> read(UUID point, String order) {
        return jdbc.sql("select seq, at, by_user, what, about, sha256 from trail where point_id = :point " + order)
                .param("point", point)
                .query((row, number) -> new Line(
                        row.getInt("seq"),
                        row.getTimestamp("at").toInstant(),
                        row.getString("by_user"),
                        What.valueOf(row.getString("what")),
                        row.getString("about"),
                        row.getString("sha256")))
                .list();
    }

    private static String hash(String before, int seq, Instant at, String by, What what, String about) {
        return Sha256.of(String.join("\n", before, String.valueOf(seq), at.toString(), by, what.name(), about));
    }
}
