package app.layette.core.secure;

import app.layette.core.entry.Question;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.rule.WhereThere;
import app.layette.core.seat.Rotation;
import app.layette.core.seat.SideElement;
import java.util.List;

/**
 * Parts that some restraints have: tension panel (SEC-2), a bed's own straps (SEC-3), side element (CAB-12), a shell that
 * turns (SEC-7); and how a child lies who lies flat (HAR-12).
 */
public final class PartsInUse {
    public static final WhereThere<Boolean> PANEL =
            new WhereThere<>(Conclusion.PANEL, Question.PANEL, seat -> seat.tensionPanel(), has -> has, "panel");
    public static final WhereThere<Boolean> END_STRAPS = new WhereThere<>(
            Conclusion.END_STRAPS, Question.END_STRAPS, seat -> seat.carBed().endStraps(), has -> has, "endStraps");
    public static final WhereThere<SideElement> SIDE_ELEMENT = new WhereThere<>(
            Conclusion.SIDE_ELEMENT,
            Question.SIDE_ELEMENT,
            seat -> seat.sideElement(),
            element -> element != SideElement.NONE,
            "sideElement");
    public static final WhereThere<Rotation> TURNED_BACK = new WhereThere<>(
            Conclusion.TURNED_BACK,
            Question.TURNED_BACK,
            seat -> seat.rotation(),
            rotation -> rotation != Rotation.NONE,
            "rotation");

    private PartsInUse() {}

    public static List<Rule> rules() {
        return List.of(
                PANEL,
                END_STRAPS,
                SIDE_ELEMENT,
                TURNED_BACK,
                new AnsweredByEye(Conclusion.LIES_FLAT, Question.LIES_FLAT));
    }
}
