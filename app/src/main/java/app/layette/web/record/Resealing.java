package app.layette.web.record;

import app.layette.core.entry.Author;
import app.layette.formats.record.Seal;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.fitting.Striking;
import app.layette.web.trail.Trail;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Strikes words that name somebody, and takes the seal anew over what is left. What the seal was before is kept, with who
 * struck, where and why. A seal that did not hold is left as it is: it goes on not holding.
 */
@Service
public class Resealing {
    private static final int LONGEST_REASON = 400;
    private static final int LONGEST_PLACES = 400;

    /** That words were struck. */
    public record Struck(Instant at, String by, String why, String places, String sha256Before) {}

    private final Striking striking;
    private final SealRows seals;
    private final Fittings fittings;
    private final Trail trail;
    private final JdbcClient jdbc;
    private final Clock clock;

    Resealing(Striking striking, SealRows seals, Fittings fittings, Trail trail, JdbcClient jdbc, Clock clock) {
        this.trail = trail;
        this.striking = striking;
        this.seals = seals;
        this.fittings = fittings;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * Strikes the words of these entries.
     *
     * @param chosen entries by fitting
     * @throws RefusedEntryException when somebody else than a lead asks for it, or no reason is given
     */
    @Transactional
    public void strike(Map<UUID, Set<UUID>> chosen, String why, UUID point, Author author) {
        if (author.role() != Author.Role.LEAD) {
            throw RefusedEntryException.because("LEAD_ERASES");
        }
        if (why.isBlank() || why.length() > LONGEST_REASON) {
            throw RefusedEntryException.because("STRUCK_WHY");
        }
        chosen.forEach((fitting, entries) -> {
            // Each seat that is fitted with it has a seal of its own over the same entries.
            List<UUID> together = fittings.together(point, fitting);
            Set<UUID> held = together.stream()
                    .filter(each -> seals.findByPointIdAndFittingId(point, each)
                            .filter(row -> row.seal().holds(fittings.documents(point, each)))
                            .isPresent())
                    .collect(Collectors.toSet());
            List<Integer> places = striking.strike(fitting, entries, point);
            if (!places.isEmpty()) {
                trail.add(
                        point,
                        author.id(),
                        Trail.What.WORDS_STRUCK,
                        "fitting " + fitting + ", entries " + said(places));
                together.forEach(each -> reseal(point, each, held.contains(each), places, why, author));
            }
        });
    }

    private void reseal(UUID point, UUID fitting, boolean held, List<Integer> places, String why, Author author) {
        seals.findByPointIdAndFittingId(point, fitting)
                .filter(row -> places.get(0) <= row.seal().lastSeq())
                .ifPresent(row -> {
                    jdbc.sql("insert into seal_struck (point_id, fitting_id, at, by_user, why, places, sha256_before)"
                                    + " values (:point, :fitting, :at, :by, :why, :places, :before)")
                            .param("point", point)
                            .param("fitting", fitting)
                            .param("at", Timestamp.from(clock.instant()))
                            .param("by", author.id())
                            .param("why", why.strip())
                            .param("places", said(places))
                            .param("before", row.seal().sha256())
                            .update();
                    if (held) {
                        Seal anew = Seal.over(fittings.documents(point, fitting)
                                .subList(0, row.seal().lastSeq()));
                        row.takeAnew(anew);
                    }
                });
    }

    private static String said(List<Integer> places) {
        String all = places.stream().map(String::valueOf).collect(Collectors.joining(", "));
        return all.substring(0, Math.min(all.length(), LONGEST_PLACES));
    }

    /** What was struck from under a seal, the newest first. */
    @Transactional(readOnly = true)
    public List<Struck> of(UUID point, UUID fitting) {
        return jdbc.sql("select at, by_user, why, places, sha256_before from seal_struck where point_id = :point"
                        + " and fitting_id = :fitting"
                        + " order by at desc")
                .param("point", point)
                .param("fitting", fitting)
                .query((row, number) -> new Struck(
                        row.getTimestamp("at").toInstant(),
                        row.getString("by_user"),
                        row.getString("why"),
                        row.getString("places"),
                        row.getString("sha256_before")))
                .list();
    }
}
