package app.layette.formats.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactFields;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.Examples;
import app.layette.formats.wording.Wording;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class FactWordsTest {
    private final Wording words = new Wording(Locale.ENGLISH, UnitSystem.CUSTOMARY);
    private final FactWords facts = new FactWords(words);

    @Test
    void everyKindOfFactHasItsWords() {
        assertThat(Fact.class.getPermittedSubclasses())
                .extracting(kind -> "fact." + FactFields.nameOf(kind))
                .allMatch(words::knows);
    }

    /** A correction shows a field for everything that a fact says. */
    @Test
    void everythingThatCanBeCorrectedHasAName() {
        List<String> shownOtherwise = List.of("of", "about", "photo", "sha256", "box", "move", "strap", "slot");
        assertThat(Fact.class.getPermittedSubclasses())
                .flatExtracting(kind -> Arrays.stream(kind.getRecordComponents())
                        .map(component -> component.getName())
                        .filter(name -> !shownOtherwise.contains(name))
                        .toList())
                .allSatisfy(name ->
                        assertThat(words.knows("field." + name)).as(name).isTrue());
    }

    @Test
    void whatWasFoundAndLookedAtIsSaidInWords() {
        FactWords facts = new FactWords(words);
        assertThat(facts.says(new Fact.FoundSo(UnitId.FIRST, Misuse.CLIP_LOW, true)))
                .isEqualTo("Chest clip too low");
        assertThat(facts.says(new Fact.FoundSo(UnitId.FIRST, Misuse.CLIP_LOW, false)))
                .isEqualTo("Chest clip too low (taken back)");
        assertThat(facts.says(new Fact.AreaLooked(UnitId.FIRST, Area.BELT, true)))
                .isEqualTo("belt: nothing wrong");
        assertThat(facts.says(new Fact.PhotoTaken(UnitId.FIRST, UUID.randomUUID(), "asLeft.HARNESS", "ab")))
                .isEqualTo("the seat as left: harness");
        assertThat(facts.says(new Fact.PhotoTaken(UnitId.FIRST, UUID.randomUUID(), "label", "ab")))
                .isEqualTo("a label");
        assertThat(facts.says(new Fact.SheetAdopted(new SheetVersion("some-seat", 4), Fact.Adoption.ADOPTED, null)))
                .startsWith("some-seat");
    }

    @Test
    void everyEntryOfTheExamplesIsSaidInWords() {
        FactWords facts = new FactWords(words);
        for (String name : new String[] {"ready", "learned-by-looks"}) {
            assertThat(Examples.plan(name).situation().everything())
                    .extracting(entry -> facts.kind(entry.fact()) + ": " + facts.says(entry.fact()))
                    .allSatisfy(said -> assertThat(said).doesNotContain("{", "?fact", "null", "Optional"));
        }
    }

    @Test
    void answersAreSaidWithTheirQuestion() {
        assertThat(app.layette.core.entry.Question.values())
                .allSatisfy(question -> app.layette.core.entry.Answers.to(question)
                        .forEach(answer -> assertThat(
                                        new FactWords(words).says(new Fact.Answered(UnitId.FIRST, question, answer)))
                                .doesNotContain("?answer", "?question")
                                .isNotBlank()));
    }

    /** What would be told in the names of the code is told in no language but that of the code. */
    @Test
    void everyFieldAndEveryChoiceOfAFactHasItsWords() {
        List<String> silent = new ArrayList<>();
        for (Class<?> kind : Fact.class.getPermittedSubclasses()) {
            for (RecordComponent component : kind.getRecordComponents()) {
                if (!words.knows("field." + component.getName())) {
                    silent.add("field." + component.getName());
                }
                if (component.getType().isEnum()) {
                    for (Object constant : component.getType().getEnumConstants()) {
                        if (!facts.hasWordsFor((Enum<?>) constant)) {
                            silent.add(component.getType().getSimpleName() + "." + constant);
                        }
                    }
                }
            }
        }
        assertThat(silent).isEmpty();
    }
}
