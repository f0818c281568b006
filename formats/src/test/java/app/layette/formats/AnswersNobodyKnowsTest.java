package app.layette.formats;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.formats.document.CaseDocument;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A record may hold an answer that no rule takes, of a later version or a hand: with it nothing passes. */
class AnswersNobodyKnowsTest {
    @ParameterizedTest
    @MethodSource("app.layette.formats.Examples#ready")
    void passNothing(String name) {
        CaseDocument ready = Examples.read(name);
        Set<Question> asked = new TreeSet<>();
        ready.record().entries().stream()
                .filter(entry -> entry.fact() instanceof Fact.Answered)
                .forEach(entry -> asked.add(((Fact.Answered) entry.fact()).question()));
        assertThat(Examples.isOpen(ready, ready.sheets(), ready.record().entries()))
                .isTrue();
        // What is not missed here decides nothing here: it advises, or is not there.
        asked.removeIf(question -> Examples.isOpen(ready, ready.sheets(), without(ready, question)));
        assertThat(asked).hasSizeGreaterThan(10);
        // Whatever is not "none" asks for the hospital's screening, which was made where the child came too early.
        asked.remove(Question.CONDITION);
        assertThat(asked).noneMatch(question -> Examples.isOpen(ready, ready.sheets(), otherwise(ready, question)));
    }

    /** The same fitting with this question answered by what nobody knows, each time. */
    private static List<Entry> otherwise(CaseDocument ready, Question question) {
        return ready.record().entries().stream()
                .map(entry -> entry.fact() instanceof Fact.Answered answered && answered.question() == question
                        ? Examples.saying(
                                entry,
                                new Fact.Answered(answered.of(), question, "WHAT_NOBODY_KNOWS", answered.place()),
                                entry.how())
                        : entry)
                .toList();
    }

    private static List<Entry> without(CaseDocument ready, Question question) {
        return ready.record().entries().stream()
                .filter(entry -> !(entry.fact() instanceof Fact.Answered answered && answered.question() == question))
                .toList();
    }
}
