package app.layette.core.secure;

import static app.layette.core.finding.RuleCode.HAR_12;

import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.Verdict;
import app.layette.core.rule.WhereThere;
import app.layette.core.seat.HeadDirection;
import app.layette.core.seat.ReboundBar;
import app.layette.core.seat.Rotation;
import app.layette.core.seat.SideElement;
import java.util.List;

/**
 * Parts that some restraints have: tension panel (SEC-2), a bed's own straps (SEC-3), side element (CAB-12), a shell that
 * turns (SEC-7); and how a child lies who lies flat (HAR-12).
 */
public final class PartsInUse {
    public static final WhereThere<Boolean> PANEL = new WhereThere<>(
            Conclusion.PANEL, Question.PANEL, seat -> seat.tensionPanel(), has -> has, "panel", SheetValue.PANEL);
    public static final WhereThere<Boolean> END_STRAPS = new WhereThere<>(
            Conclusion.END_STRAPS,
            Question.END_STRAPS,
            seat -> seat.carBed().endStraps(),
            has -> has,
            "endStraps",
            SheetValue.END_STRAPS);
    public static final WhereThere<SideElement> SIDE_ELEMENT = new WhereThere<>(
            Conclusion.SIDE_ELEMENT,
            Question.SIDE_ELEMENT,
            seat -> seat.sideElement(),
            element -> element != SideElement.NONE,
            "sideElement",
            SheetValue.SIDE_ELEMENT);
    public static final WhereThere<Rotation> TURNED_BACK = new WhereThere<>(
            Conclusion.TURNED_BACK,
            Question.TURNED_BACK,
            seat -> seat.rotation(),
            rotation -> rotation != Rotation.NONE,
            "rotation",
            SheetValue.ROTATION);

    public static final WhereThere<ReboundBar> REBOUND_BAR = new WhereThere<>(
            Conclusion.REBOUND_BAR,
            Question.BAR,
            seat -> seat.reboundBar(),
            bar -> bar != ReboundBar.NONE,
            "bar",
            SheetValue.REBOUND_BAR);

    private PartsInUse() {}

    public static List<Rule> rules() {
        return List.of(
                PANEL,
                END_STRAPS,
                SIDE_ELEMENT,
                TURNED_BACK,
                REBOUND_BAR,
                new AnsweredByEye(Conclusion.LIES_FLAT, Question.LIES_FLAT, PartsInUse::headAsSheet));
    }

    /** HAR-12, CAB-11: flat, with the head as the sheet says; one that says nothing leaves it not known. */
    private static Verdict.Judged headAsSheet(Situation situation, Stamped<String> answer) {
        Evidence<HeadDirection> head = headDirection(situation);
        return Verdict.judged(head.value()
                .map(direction -> Finding.of(HAR_12, Weight.HOLDS, "flatHeadAsSheet")
                        .with("head", Argument.key("head", direction)))
                .orElseGet(() -> Finding.of(HAR_12, Weight.NOT_KNOWN, "headDirectionNotKnown")
                        .lacks(SheetValue.HEAD_DIRECTION)
                        .changedBy("SEAT_MANUAL"))
                .from(head));
    }

    /** Where the head of a child that lies flat is to be, by the sheet. */
    public static Evidence<HeadDirection> headDirection(Situation situation) {
        boolean bed = situation.usualMethod() == Method.CAR_BED;
        return situation
                .seat()
                .map(seat ->
                        bed ? seat.carBed().headDirection() : seat.layFlat().headDirection())
                .orElse(Evidence.notLooked());
    }
}
