package app.layette.core.drawing;

import app.layette.core.choice.SeatAnswer;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One child in one of several restraints, all at one scale, with the same three marks on each: the slot at the shoulder,
 * the head room, and what weight is left.
 */
public final class InSeatView {
    /** The tallest shell that is drawn, so that all share one scale. */
    private static final double TALLEST = 640;

    private static final double USUAL_TOP = 470;
    private static final double WIDTH = 640;
    private static final double BELOW = 260;
    private static final double BAR_AT = -210;
    private static final double BAR_HALF = 200;
    private static final double LYING_LENGTH = 300;

    private final Sketch sketch = new Sketch();
    private final FrontFigure front = new FrontFigure(sketch);
    private final SeatAnswer answer;
    private final SeatSheet seat;
    private final Situation there;
    private final ChildFigure child;

    private InSeatView(SeatAnswer answer) {
        this.answer = answer;
        this.seat = answer.seat();
        this.there = answer.there();
        this.child = ChildFigure.of(there);
    }

    /** Draws the child as if it were in the restraint of an answer. */
    public static Drawing of(SeatAnswer answer) {
        InSeatView view = new InSeatView(answer);
        boolean lies = view.seat.kind() == SeatKind.CAR_BED || view.seat.kind() == SeatKind.LAY_FLAT;
        if (lies) {
            view.lying();
        } else {
            view.sitting();
        }
        view.weight();
        return new Drawing(
                "in-seat",
                -WIDTH / 2,
                -BELOW,
                WIDTH,
                TALLEST + BELOW,
                view.sketch.shapes(),
                "drawing.inSeat.description",
                Map.of());
    }

    private void sitting() {
        Optional<Length> known = seat.shell().top().value();
        double top = known.map(Length::millimetres).orElse(USUAL_TOP);
        front.shell(top);
        slots();
        front.child(child);
        Ink ink = child.shoulderMeasured() ? Ink.HANDS : Ink.COMPUTED;
        sketch.line(ink, new Point(-200, child.shoulder()), new Point(112, child.shoulder()));
        known.ifPresentOrElse(
                this::headRoom,
                () -> sketch.label(
                        Ink.UNKNOWN, new Point(0, top + 36), Anchor.MIDDLE, Rank.MAIN, "inSeat.topUnknown", Map.of()));
    }

    private void slots() {
        List<Length> slots = seat.shell().slots().value().orElse(List.of());
        int best = answer.rooms().slot().orElse(0);
        for (int i = 0; i < slots.size(); i++) {
            double height = slots.get(i).millimetres();
            for (int side : new int[] {-1, 1}) {
                sketch.polygon(
                        i + 1 == best ? Ink.HANDS : Ink.SLOT,
                        p -> p,
                        new Point(side * 44, height - 6),
                        new Point(side * 104, height - 6),
                        new Point(side * 104, height + 6),
                        new Point(side * 44, height + 6));
            }
            if (i + 1 == best) {
                sketch.label(
                        Ink.HANDS,
                        new Point(-214, child.shoulder() - 12),
                        Anchor.END,
                        Rank.MAIN,
                        "inSeat.slot",
                        Map.of("slot", Argument.of(best)));
            }
        }
    }

    /** From the crown to the shell's head end; nobody has to ask for more of it than there is. */
    private void headRoom(Length top) {
        double crown = child.crown();
        double end = top.millimetres();
        Ink ink = child.crownMeasured() ? Ink.MEASURED : Ink.COMPUTED;
        double x = 214;
        sketch.line(ink, new Point(x, crown), new Point(x, end));
        sketch.line(ink, new Point(x - 14, crown), new Point(x + 14, crown));
        sketch.line(ink, new Point(x - 14, end), new Point(x + 14, end));
        sketch.label(
                end < crown ? Ink.HANDS : ink,
                new Point(x + 18, (crown + end) / 2 - 12),
                Anchor.START,
                Rank.MAIN,
                "inSeat.head",
                Map.of("room", Argument.of(Length.ofMillimetres(Math.max(0, end - crown)))));
    }

    /** On its back, as long as it is wide: which slot and what head room there is only the bed itself shows. */
    private void lying() {
        sketch.polygon(
                Ink.SHELL,
                p -> p,
                new Point(-LYING_LENGTH, 40),
                new Point(LYING_LENGTH, 40),
                new Point(LYING_LENGTH - 40, -90),
                new Point(40 - LYING_LENGTH, -90));
        sketch.blob(
                Ink.CLOTH,
                p -> p,
                new Point(-70, 60),
                new Point(30, 100),
                new Point(150, 70),
                new Point(170, 44),
                new Point(40, 34),
                new Point(-70, 40));
        sketch.disc(Ink.SKIN, new Point(-124, 74), 50);
    }

    /** From nothing to the heaviest child, with today's weight on it. */
    private void weight() {
        Optional<Mass> most = Optional.of(seat.weightMax()).flatMap(Evidence::value);
        Optional<Mass> least = Optional.of(seat.weightMin()).flatMap(Evidence::value);
        Optional<Mass> now = there.weight().map(Stamped::value);
        if (most.isEmpty()) {
            sketch.label(
                    Ink.UNKNOWN, new Point(0, BAR_AT - 10), Anchor.MIDDLE, Rank.MAIN, "inSeat.weightUnknown", Map.of());
            return;
        }
        double from = least.map(each -> at(each, most.get())).orElse(-BAR_HALF);
        sketch.line(Ink.FAINT, new Point(-BAR_HALF, BAR_AT), new Point(BAR_HALF, BAR_AT));
        sketch.polygon(
                Ink.BAND,
                p -> p,
                new Point(from, BAR_AT - 14),
                new Point(BAR_HALF, BAR_AT - 14),
                new Point(BAR_HALF, BAR_AT + 14),
                new Point(from, BAR_AT + 14));
        now.ifPresent(weight -> {
            double x = Math.max(-BAR_HALF - 30, Math.min(BAR_HALF + 30, at(weight, most.get())));
            sketch.line(Ink.HANDS, new Point(x, BAR_AT - 28), new Point(x, BAR_AT + 28));
        });
        answer.rooms()
                .weight()
                .ifPresent(left -> sketch.label(
                        Ink.MEASURED,
                        new Point(0, BAR_AT + 40),
                        Anchor.MIDDLE,
                        Rank.MAIN,
                        "inSeat.weight",
                        Map.of("left", Argument.of(left))));
    }

    private static double at(Mass mass, Mass most) {
        return -BAR_HALF + 2 * BAR_HALF * mass.grams() / most.grams();
    }
}
