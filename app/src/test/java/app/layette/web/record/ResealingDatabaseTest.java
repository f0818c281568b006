package app.layette.web.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.layette.core.entry.Author;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetVersion;
import app.layette.web.account.Points;
import app.layette.web.fitting.Beginnings;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.Erasing;
import app.layette.web.fitting.Fittings;
import app.layette.web.support.DatabaseTest;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** Words struck from under a seal, over the real database. */
class ResealingDatabaseTest extends DatabaseTest {
    private static final Author MARIT = new Author("marit", Author.Role.TECHNICIAN);
    private static final Author ILSE = new Author("ilse", Author.Role.LEAD);

    @Autowired
    private Fittings fittings;

    @Autowired
    private Beginnings beginnings;

    @Autowired
    private Resealing resealing;

    @Autowired
    private SealRows seals;

    @Autowired
    private Points points;

    @Autowired
    private Erasing erasing;

    @Autowired
    private TransactionTemplate transactions;

    @Autowired
    private JdbcTemplate jdbc;

    private UUID point;
    private UUID fitting;
    private UUID noted;
    private UUID ended;
    private String before;

    @BeforeEach
    void sealOne() {
        point = points.findAllByOrderByOpenedAt().get(0).id();
        SheetVersion seat = new SheetVersion("wrenfold-thimble", 3);
        fitting = beginnings.begin(
                new Beginnings.Begin(
                        "T-" + UUID.randomUUID().toString().substring(0, 8),
                        "Ada",
                        seat,
                        List.of(draft(new Fact.SheetAdopted(seat, Fact.Adoption.ADOPTED, null)))),
                point,
                MARIT);
        noted = append(new Fact.Noted(UnitId.FIRST, null, "The aunt, Berta, drives."));
        ended = append(new Fact.Ended(UnitId.FIRST, Fact.Ending.NOT_FITTED, null, "came back later", null));
        before = seal();
    }

    private static EntryDraft draft(Fact fact) {
        return EntryDraft.now(How.MEASURED, 0, fact);
    }

    private UUID append(Fact fact) {
        EntryDraft draft = draft(fact);
        fittings.append(fitting, draft, point, MARIT);
        return draft.id();
    }

    private String seal() {
        return seals.findById(fitting).orElseThrow().seal().sha256();
    }

    private boolean holds() {
        return seals.findById(fitting).orElseThrow().seal().holds(fittings.documents(point, fitting));
    }

    @Test
    void theyAreGoneAndTheSealIsTakenAnewOverTheRest() {
        resealing.strike(Map.of(fitting, Set.of(noted)), "asked for", point, ILSE);
        assertThat(jdbc.queryForList("select document::text from entry where fitting_id = ?", String.class, fitting))
                .noneMatch(document -> document.contains("Berta"))
                .anyMatch(document -> document.contains("came back later"));
        assertThat(fittings.planned(fitting, point).plan().situation().everything())
                .as("nor are they kept in memory")
                .noneMatch(entry -> entry.toString().contains("Berta"));
        assertThat(holds()).isTrue();
        assertThat(seal()).isNotEqualTo(before);
        assertThat(resealing.of(point, fitting))
                .singleElement()
                .satisfies(struck -> assertThat(struck.sha256Before()).isEqualTo(before));
    }

    /** Erasing adds an entry in the same transaction, and so reads what was struck a moment before. */
    @Test
    void theyAreGoneFromMemoryWhereAnEntryFollowsInTheSameTransaction() {
        transactions.executeWithoutResult(status -> {
            resealing.strike(Map.of(fitting, Set.of(noted)), "asked for", point, ILSE);
            erasing.erase(fitting, "erased", point, ILSE);
        });
        assertThat(fittings.planned(fitting, point).plan().situation().everything())
                .noneMatch(entry -> entry.toString().contains("Berta"));
    }

    @Test
    void aLeadAloneStrikesAndSaysWhy() {
        Map<UUID, Set<UUID>> chosen = Map.of(fitting, Set.of(noted));
        assertThatThrownBy(() -> resealing.strike(chosen, "asked for", point, MARIT))
                .hasMessageContaining("LEAD_ERASES");
        for (String why : List.of(" ", "x".repeat(401))) {
            assertThatThrownBy(() -> resealing.strike(chosen, why, point, ILSE)).hasMessageContaining("STRUCK_WHY");
        }
        assertThat(seal()).isEqualTo(before);
    }

    @Test
    void aSealThatDidNotHoldIsNotMendedByStriking() {
        jdbc.update(
                "update entry set document = jsonb_set(document, '{by,id}', '\"x\"') where fitting_id = ? and seq = 1",
                fitting);
        resealing.strike(Map.of(fitting, Set.of(ended)), "asked for", point, ILSE);
        assertThat(holds()).isFalse();
        assertThat(seal()).isEqualTo(before);
    }

    @Test
    void whatIsStruckAfterTheSealLeavesItAlone() {
        UUID later = append(new Fact.Noted(UnitId.FIRST, null, "Berta rang."));
        resealing.strike(Map.of(fitting, Set.of(later)), "asked for", point, ILSE);
        assertThat(seal()).isEqualTo(before);
        assertThat(resealing.of(point, fitting)).isEmpty();
    }
}
