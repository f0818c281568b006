package app.layette.web.workbench;

import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rules;
import app.layette.core.step.StepKey;
import app.layette.formats.wording.Wording;
import app.layette.web.workbench.Workbench.Blocker;
import app.layette.web.workbench.Workbench.FindingGroup;
import app.layette.web.workbench.Workbench.Line;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Says findings, why they are so, and what keeps the gate shut. */
final class FindingLines {
    private final FittingPlan plan;
    private final Wording words;

    FindingLines(FittingPlan plan, Wording words) {
        this.plan = plan;
        this.words = words;
    }

    /** The findings of a step. */
    List<Line> lines(StepKey key) {
        return plan.gate().conclusions().stream()
                .filter(each -> Rules.stepOf(each.conclusion()) == key)
                .flatMap(each -> each.findings().stream().map(finding -> line(each.conclusion(), finding)))
                .toList();
    }

    private Line line(Conclusion conclusion, Finding finding) {
        List<String> values = finding.arguments().entrySet().stream()
                .map(each -> words.say("value." + each.getKey()) + ": " + words.say(each.getValue()))
                .toList();
        List<String> sources = finding.sources().stream()
                .map(source -> (source.document() + " " + source.place()).strip()
                        + (source.readOn() == null ? "" : ", " + words.say(source.readOn())))
                .distinct()
                .toList();
        return new Line(
                finding.weight().name().toLowerCase(Locale.ROOT),
                words.say("weight." + finding.weight()),
                finding.code().text(),
                words.say(finding),
                Rules.stepOf(conclusion).name(),
                values,
                sources,
                finding.changes().stream().map(words::say).toList());
    }

    /** All findings, by weight. */
    List<FindingGroup> groups() {
        List<FindingGroup> groups = new ArrayList<>();
        for (Weight weight : Weight.values()) {
            List<Line> lines = plan.gate().conclusions().stream()
                    .flatMap(each -> each.findings().stream()
                            .filter(finding -> finding.weight() == weight)
                            .map(finding -> line(each.conclusion(), finding)))
                    .toList();
            boolean always = weight != Weight.STOP;
            if (always || !lines.isEmpty()) {
                groups.add(new FindingGroup(
                        weight.name().toLowerCase(Locale.ROOT),
                        words.say("group." + weight, Map.of("count", Argument.of(lines.size()))),
                        lines));
            }
        }
        return groups;
    }

    /** What keeps the gate shut. */
    List<Blocker> blockers() {
        return plan.gate().blocking().stream()
                .map(each -> new Blocker(
                        words.say("conclusion." + each.conclusion()),
                        words.say("gateState." + each.state()),
                        each.findings().stream()
                                .findFirst()
                                .map(words::say)
                                .or(() -> each.waitsFor().map(words::say))
                                .orElse(words.say("open.LOOK_AGAIN")),
                        Rules.stepOf(each.conclusion()).name()))
                .toList();
    }
}
