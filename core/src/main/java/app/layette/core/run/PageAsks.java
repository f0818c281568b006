package app.layette.core.run;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.PermissionTable;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Lack;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Rules;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The manual pages that would answer what is not known. Keys: {@code PERMISSION:KEY:SPEAKER}, {@code
 * QUANTITY:KEY:SPEAKER}, {@code HANDLE:POSITION}.
 */
public final class PageAsks {
    private PageAsks() {}

    static List<Ask> of(StepKey step, Situation situation, Gate gate) {
        return Rules.of(step).stream()
                .flatMap(rule -> gate.state(rule.conclusion()).stream()
                        .filter(state -> state.state() == ConclusionState.State.NOT_KNOWN)
                        .flatMap(state -> state.findings().stream())
                        .flatMap(finding -> asks(rule, finding, situation).stream()))
                .distinct()
                .toList();
    }

    /**
     * The keys of what papers or looks would have to say so that a conclusion is known.
     *
     * @return keys as they are described above, or a value of a sheet, with its place where it is of the car
     */
    public static List<String> papers(ConclusionState state, Situation situation) {
        return Rules.rule(state.conclusion()).stream()
                .flatMap(rule -> state.findings().stream().flatMap(finding -> asks(rule, finding, situation).stream()))
                .map(Ask::key)
                .toList();
    }

    private static List<Ask> asks(Rule rule, Finding finding, Situation situation) {
        List<Ask> asks = new ArrayList<>();
        keys(rule, finding, situation).forEach(key -> asks.add(new Ask(Ask.Kind.PAGE, key, false)));
        for (Lack lack : finding.lacks()) {
            asks.add(
                    lack.value().isQuantity()
                            ? new Ask(Ask.Kind.PAGE, "QUANTITY:" + lack.value() + ":SEAT", false)
                            : value(lack.value(), place(lack, situation), false));
        }
        return asks;
    }

    /** A value of the car is always about one place, the chosen one where the rule names none. */
    private static String place(Lack lack, Situation situation) {
        return !lack.place().isEmpty() || !lack.value().isOfPlace()
                ? lack.place()
                : situation
                        .placed()
                        .map(placed -> placed.value().position().toString())
                        .orElse("");
    }

    private static Ask value(SheetValue value, String place, boolean answered) {
        return new Ask(Ask.Kind.SHEET_VALUE, value + (place.isEmpty() ? "" : Ask.AT + place), answered);
    }

    /** The pages that were read here and answered what was not known: they stay in sight, to be read again. */
    static List<Ask> read(StepKey step, Situation situation, List<Ask> open) {
        List<String> keys = new ArrayList<>();
        situation.history(Fact.HandlePositionRead.class).stream()
                .filter(read -> step == Rules.stepOf(Conclusion.HANDLE))
                .forEach(read -> keys.add("HANDLE:" + read.value().position()));
        situation.history(Fact.PermissionRead.class).stream()
                .map(read -> read.value())
                .filter(read ->
                        Rules.stepOf(read.permission()).filter(step::equals).isPresent())
                .forEach(read -> keys.add("PERMISSION:" + read.permission() + ":" + read.speaker()));
        situation.history(Fact.QuantityRead.class).stream()
                .map(read -> read.value())
                .filter(read ->
                        Rules.stepOf(read.quantity()).filter(step::equals).isPresent())
                .forEach(read -> keys.add("QUANTITY:" + read.quantity() + ":" + read.speaker()));
        List<Ask> read = new ArrayList<>();
        keys.forEach(key -> read.add(new Ask(Ask.Kind.PAGE, key, true)));
        situation.history(Fact.SheetValueRead.class).stream()
                .map(each -> each.value())
                .filter(each -> Rules.stepOf(each.value()).filter(step::equals).isPresent())
                .forEach(each -> read.add(value(
                        each.value(), each.place() == null ? "" : each.place().toString(), true)));
        return read.stream()
                .distinct()
                .filter(ask -> open.stream()
                        .noneMatch(
                                each -> each.kind() == ask.kind() && each.key().equals(ask.key())))
                .toList();
    }

    private static List<String> keys(Rule rule, Finding finding, Situation situation) {
        return finding.pages().isEmpty()
                ? rule.pages(finding, situation)
                : finding.pages().stream()
                        .flatMap(permission -> permissions(permission, situation).stream())
                        .toList();
    }

    private static List<String> permissions(PermissionKey key, Situation situation) {
        return Arrays.stream(Speaker.values())
                .filter(PermissionTable.shipped().speakers(key)::contains)
                .filter(speaker -> situation.permission(key, speaker) == Permission.NOT_KNOWN)
                .map(speaker -> "PERMISSION:" + key + ":" + speaker)
                .toList();
    }
}
