package app.layette.formats.taps;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Answers;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.gate.ConclusionState;
import app.layette.core.rule.Rules;
import app.layette.core.run.Step;
import app.layette.core.step.StepKey;
import app.layette.formats.Examples;
import app.layette.formats.document.CaseDocument;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever a question is answered with, what it leaves undecided or wrong stays open where it can be decided or put right. */
class NoAnswerIsADeadEndTest {
    private static final Author TECHNICIAN = new Author("marit", Author.Role.TECHNICIAN);

    @ParameterizedTest
    @MethodSource("app.layette.formats.Examples#ready")
    void whatAnAnswerLeavesOpenIsAskedAtItsStep(String name) {
        CaseDocument example = Examples.read(name);
        List<String> deadEnds = new ArrayList<>();
        for (Question question : Question.values()) {
            List<Fact.Answered> said = example.record().entries().stream()
                    .map(Entry::fact)
                    .filter(Fact.Answered.class::isInstance)
                    .map(Fact.Answered.class::cast)
                    .filter(fact -> fact.question() == question)
                    .toList();
            for (String answer : said.isEmpty() ? List.<String>of() : Answers.to(question)) {
                Fact.Answered last = said.get(said.size() - 1);
                FittingPlan plan = after(example, new Fact.Answered(last.of(), question, answer, last.place()));
                for (ConclusionState state : plan.gate().blocking()) {
                    StepKey key = Rules.stepOf(state.conclusion());
                    boolean open = plan.run().steps().stream()
                            .filter(step -> step.key() == key)
                            .map(Step::asks)
                            .flatMap(List::stream)
                            .anyMatch(ask -> !ask.answered() && !ask.optional());
                    if (!open) {
                        deadEnds.add(question + " " + answer + ": " + state.conclusion() + " " + state.state() + " "
                                + state.findings().stream()
                                        .map(each -> each.message())
                                        .toList());
                    }
                }
            }
        }
        assertThat(deadEnds).isEmpty();
    }

    private static FittingPlan after(CaseDocument example, Fact fact) {
        List<Entry> entries = new ArrayList<>(example.record().entries());
        int seq = entries.size() + 1;
        entries.add(new Entry(
                new UUID(12, seq),
                seq,
                seq - 1,
                example.date().atTime(10, 0).atOffset(ZoneOffset.UTC).plusSeconds(seq),
                TECHNICIAN,
                How.MEASURED,
                null,
                fact));
        FittingRecord record =
                new FittingRecord(example.record().riders(), example.record().units(), entries);
        return new FittingPlanner().plan(example.practice(), example.sheets(), record, example.date());
    }
}
