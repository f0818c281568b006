package app.layette.formats.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.formats.Examples;
import app.layette.formats.json.LayetteJson;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class SealTest {
    private static final List<Entry> ENTRIES =
            Examples.plan("ready").situation().everything();
    private static final Entry LAST = ENTRIES.get(ENTRIES.size() - 1);

    private static Entry another(Fact fact) {
        return new Entry(
                UUID.randomUUID(),
                LAST.seq() + 1,
                LAST.seq(),
                LAST.at().plusDays(3),
                new Author("ilse", Author.Role.LEAD),
                How.MEASURED,
                LAST.id(),
                fact);
    }

    @Test
    void itHoldsOverTheSameEntriesAndAfterTheyWereWrittenAndReadAgain() {
        Seal seal = Seal.over(ENTRIES, LAST.seq());
        assertThat(seal.sha256()).matches("[0-9a-f]{64}");
        assertThat(seal.holds(ENTRIES)).isTrue();
        List<Entry> readAgain = ENTRIES.stream()
                .map(entry ->
                        LayetteJson.strict().readValue(LayetteJson.strict().writeValueAsString(entry), Entry.class))
                .toList();
        assertThat(seal.holds(readAgain)).isTrue();
    }

    /** As the application seals: the newest entry comes from memory, with the offset of the fitting point. */
    @Test
    void itHoldsOverAnEntryThatWasNotReadYet() {
        List<Entry> more = new ArrayList<>(ENTRIES);
        Entry fresh = another(new Fact.Noted("u1", null, "from memory"));
        more.add(new Entry(
                fresh.id(),
                fresh.seq(),
                fresh.seen(),
                fresh.at().withOffsetSameInstant(java.time.ZoneOffset.ofHours(-5)),
                fresh.by(),
                fresh.how(),
                null,
                fresh.fact()));
        Seal seal = Seal.over(more, fresh.seq());
        assertThat(seal.holds(more.stream()
                        .map(entry -> LayetteJson.strict()
                                .readValue(LayetteJson.strict().writeValueAsString(entry), Entry.class))
                        .toList()))
                .isTrue();
    }

    @Test
    void whatIsAddedOrCorrectedLaterIsOutsideIt() {
        Seal seal = Seal.over(ENTRIES, LAST.seq());
        List<Entry> more = new ArrayList<>(ENTRIES);
        more.add(another(new Fact.Noted("u1", LAST.id(), "the caregiver rang")));
        assertThat(seal.holds(more)).isTrue();
    }

    @Test
    void anyChangeUnderItBreaksIt() {
        Seal seal = Seal.over(ENTRIES, LAST.seq());
        for (int i = 0; i < ENTRIES.size(); i++) {
            List<Entry> without = new ArrayList<>(ENTRIES);
            without.remove(i);
            assertThat(seal.holds(without)).as("without entry %s", i + 1).isFalse();
        }
        List<Entry> otherTime = new ArrayList<>(ENTRIES);
        Entry first = ENTRIES.get(0);
        otherTime.set(
                0,
                new Entry(
                        first.id(),
                        first.seq(),
                        first.seen(),
                        first.at().plusSeconds(1),
                        first.by(),
                        first.how(),
                        first.corrects(),
                        first.fact()));
        assertThat(seal.holds(otherTime)).isFalse();
    }
}
