package app.layette.web.keeping;

import app.layette.formats.document.PlanDocument;
import app.layette.web.fitting.Fittings;
import app.layette.web.record.Seals;
import app.layette.web.wall.Wall;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/** What there is, and whether every seal holds over it. */
@Service
class Keeping {
    private static final Logger LOG = LoggerFactory.getLogger(Keeping.class);

    private final Seals seals;
    private final Fittings fittings;
    private final JdbcClient jdbc;
    private final Clock clock;

    Keeping(Seals seals, Fittings fittings, JdbcClient jdbc, Clock clock) {
        this.seals = seals;
        this.fittings = fittings;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** The last look at every seal. */
    record LastCheck(Instant at, int seals, int broken, Duration took) {}

    /** The last backup. */
    record LastBackup(Instant at, long bytes, String sha256) {}

    private record Row(UUID id, UUID point) {}

    /** Every night, the seals of each point. */
    @Scheduled(cron = "0 40 2 * * *")
    void night() {
        for (UUID point : jdbc.sql("select id from point").query(UUID.class).list()) {
            Wall.Inside own = Wall.inside(point);
            try {
                checkSeals(point);
            } catch (RuntimeException e) {
                // One point's fault is not the others'.
                LOG.error("The seals of the point {} were not looked at", point, e);
            } finally {
                own.close();
            }
        }
    }

    /** Looks at every seal of a point and notes what came of it; done behind its wall. */
    void checkSeals(UUID point) {
        Instant begun = clock.instant();
        Seals.Checked checked = seals.check();
        Duration took = Duration.between(begun, clock.instant());
        checked.broken().forEach(fitting -> LOG.error("The seal of the fitting {} does not hold", fitting));
        jdbc.sql(
                        "insert into seals_checked (point_id, at, seals, broken, seconds) values (:point, :at, :seals, :broken,"
                                + " :seconds) on conflict (point_id, at) do nothing")
                .param("point", point)
                .param("at", Timestamp.from(begun))
                .param("seals", checked.checked())
                .param("broken", checked.broken().size())
                .param("seconds", (int) took.toSeconds())
                .update();
    }

    Optional<LastCheck> lastCheck(UUID point) {
        return jdbc.sql("select at, seals, broken, seconds from seals_checked where point_id = :point"
                        + " order by at desc limit 1")
                .param("point", point)
                .query((row, number) -> new LastCheck(
                        row.getTimestamp("at").toInstant(),
                        row.getInt("seals"),
                        row.getInt("broken"),
                        Duration.ofSeconds(row.getInt("seconds"))))
                .optional();
    }

    Optional<LastBackup> lastBackup() {
        return jdbc.sql("select at, bytes, sha256 from backup_made order by at desc limit 1")
                .query((row, number) -> new LastBackup(
                        row.getTimestamp("at").toInstant(), row.getLong("bytes"), row.getString("sha256")))
                .optional();
    }

    /** When the recall service last said anything; empty where it never did. */
    Optional<Instant> recallsHeard() {
        return jdbc.sql("select asked_at from recall_known order by asked_at desc limit 1")
                .query(Timestamp.class)
                .optional()
                .map(Timestamp::toInstant);
    }

    /** How many fittings of a point wait to be planned again. */
    int waiting(UUID point) {
        return jdbc.sql("select count(*) from fitting_stale where point_id = :point")
                .param("point", point)
                .query(Integer.class)
                .single();
    }

    /** What the tables take: how large the whole database is the role of a fitting point may not ask. */
    long databaseBytes() {
        return jdbc.sql("select coalesce(sum(pg_total_relation_size(oid)), 0)::bigint from pg_class"
                        + " where relkind in ('r', 'm') and relnamespace = to_regnamespace(current_schema())")
                .query(Long.class)
                .single();
    }

    /** What is free where the application runs. */
    static long freeBytes() {
        return new File(".").getAbsoluteFile().getUsableSpace();
    }

    /**
     * What the database holds.
     *
     * @param says counts, and fingerprints by which a copy is known to be the same
     * @param whole whether every seal holds
     */
    record Holds(Map<String, Object> says, boolean whole) {}

    /** Counts what there is, and checks every seal. */
    Holds holds() {
        Map<String, Object> holds = new LinkedHashMap<>();
        for (String table : List.of("point", "app_user", "family", "fitting", "entry", "sheet", "seal", "photo")) {
            holds.put(
                    table,
                    jdbc.sql("select count(*) from " + table).query(Long.class).single());
        }
        Seals.Checked checked = seals.check();
        holds.put("sealsBroken", checked.broken());
        holds.put("entriesSha256", entries());
        holds.put("plansSha256", plans());
        return new Holds(holds, checked.broken().isEmpty());
    }

    private String entries() {
        MessageDigest digest = sha256();
        jdbc.sql("select fitting_id, seq, document::text as document from entry order by fitting_id, seq")
                .query(row -> {
                    add(
                            digest,
                            row.getString("fitting_id") + " " + row.getInt("seq") + " " + row.getString("document"));
                });
        return HexFormat.of().formatHex(digest.digest());
    }

    /** Over the plan document of every fitting as of today. */
    private String plans() {
        MessageDigest digest = sha256();
        List<Row> rows = jdbc.sql("select id, point_id from fitting order by id")
                .query((row, number) -> new Row(row.getObject("id", UUID.class), row.getObject("point_id", UUID.class)))
                .list();
        for (Row row : rows) {
            String document = PlanDocument.of(
                            fittings.planned(row.id(), row.point()).plan(), Optional.empty(), false)
                    .toString();
            add(digest, row.id() + " " + document);
        }
        return HexFormat.of().formatHex(digest.digest());
    }

    private static void add(MessageDigest digest, String text) {
        digest.update(text.getBytes(StandardCharsets.UTF_8));
        digest.update((byte) '\n');
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
