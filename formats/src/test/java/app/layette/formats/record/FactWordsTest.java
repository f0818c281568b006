package app.layette.formats.record;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.Examples;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.wording.Wording;
import java.util.Arrays;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class FactWordsTest {
    private final Wording words = new Wording(Locale.ENGLISH, UnitSystem.CUSTOMARY);

    @Test
    void everyKindOfFactHasItsWords() {
        assertThat(Fact.class.getPermittedSubclasses())
                .extracting(kind -> "fact." + LayetteJson.kindOf(kind))
                .allMatch(words::knows);
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
        assertThat(Arrays.asList(app.layette.core.entry.Question.values()))
                .allSatisfy(question -> app.layette.core.entry.Answers.to(question)
                        .forEach(answer -> assertThat(
                                        new FactWords(words).says(new Fact.Answered("u1", question, answer)))
                                .doesNotContain("?answer", "?question")
                                .isNotBlank()));
    }
}
