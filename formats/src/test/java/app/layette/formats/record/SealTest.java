package app.layette.formats.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.formats.Examples;
import app.layette.formats.json.LayetteJson;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

class SealTest {
    private static final List<Entry> ENTRIES =
            Examples.plan("ready").situation().everything();
    private static final List<String> DOCUMENTS =
            ENTRIES.stream().map(SealTest::written).toList();

    private static String written(Entry entry) {
        return LayetteJson.strict().writeValueAsString(entry);
    }

    private static List<String> with(int place, UnaryOperator<Entry> change) {
        List<String> changed = new ArrayList<>(DOCUMENTS);
        changed.set(place, written(change.apply(ENTRIES.get(place))));
        return changed;
    }

    @Test
    void itHoldsOverTheSameEntriesAndAfterTheyWereWrittenAndReadAgain() {
        Seal seal = Seal.over(DOCUMENTS);
        assertThat(seal.sha256()).matches("[0-9a-f]{64}");
        assertThat(seal.holds(DOCUMENTS)).isTrue();
        List<String> readAgain = DOCUMENTS.stream()
                .map(each -> written(LayetteJson.strict().readValue(each, Entry.class)))
                .toList();
        assertThat(seal.holds(readAgain)).isTrue();
    }

    /** A database of documents gives them back with other blanks and the fields in another order. */
    @Test
    void blanksAndTheOrderOfFieldsAreNoPartOfIt() {
        List<String> otherwise = DOCUMENTS.stream()
                .map(each -> {
                    TreeMap<String, Object> sorted =
                            JsonMapper.shared().readValue(each, new TypeReference<TreeMap<String, Object>>() {});
                    return JsonMapper.shared().writerWithDefaultPrettyPrinter().writeValueAsString(sorted);
                })
                .toList();
        assertThat(otherwise).isNotEqualTo(DOCUMENTS);
        assertThat(Seal.over(DOCUMENTS).holds(otherwise)).isTrue();
    }

    /** A record must outlast the program that sealed it: what this one cannot read is sealed all the same. */
    @Test
    void itHoldsOverKindsThatThisProgramDoesNotKnow() {
        List<String> fromLater = new ArrayList<>(DOCUMENTS);
        fromLater.add("{\"id\":\"x\",\"fact\":{\"kind\":\"ofAnotherTime\",\"weight\":1.50}}");
        Seal seal = Seal.over(fromLater);
        assertThat(seal.holds(fromLater)).isTrue();
        fromLater.set(fromLater.size() - 1, "{\"id\":\"x\",\"fact\":{\"kind\":\"ofAnotherTime\",\"weight\":1.51}}");
        assertThat(seal.holds(fromLater)).isFalse();
    }

    @Test
    void whatIsAddedLaterIsOutsideIt() {
        Seal seal = Seal.over(DOCUMENTS);
        List<String> more = new ArrayList<>(DOCUMENTS);
        more.add("{\"fact\":{\"kind\":\"noted\",\"text\":\"the caregiver rang\"}}");
        assertThat(seal.holds(more)).isTrue();
    }

    @Test
    void anyChangeUnderItBreaksIt() {
        Seal seal = Seal.over(DOCUMENTS);
        Author other = new Author("somebody", Author.Role.LEAD);
        for (int i = 0; i < ENTRIES.size(); i++) {
            List<String> without = new ArrayList<>(DOCUMENTS);
            without.remove(i);
            assertThat(seal.holds(without)).as("without entry %s", i + 1).isFalse();
            assertThat(seal.holds(with(
                            i,
                            e -> new Entry(e.id(), e.seq(), e.seen(), e.at(), other, e.how(), e.corrects(), e.fact()))))
                    .as("entry %s by somebody else", i + 1)
                    .isFalse();
            assertThat(seal.holds(with(
                            i,
                            e -> new Entry(
                                    e.id(),
                                    e.seq(),
                                    e.seen(),
                                    e.at().plusSeconds(1),
                                    e.by(),
                                    e.how(),
                                    e.corrects(),
                                    e.fact()))))
                    .as("entry %s a second later", i + 1)
                    .isFalse();
        }
        List<String> swapped = new ArrayList<>(DOCUMENTS);
        Collections.swap(swapped, 0, 1);
        assertThat(seal.holds(swapped)).as("in another order").isFalse();
    }
}
