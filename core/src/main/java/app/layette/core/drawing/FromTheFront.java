package app.layette.core.drawing;

import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Length;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.Shell;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** The doll in its harness on the practice bench, and the back of the shell: as they are, nothing judged. */
public final class FromTheFront {
    private static final UnaryOperator<Point> AS_IS = p -> p;
    private static final double USUAL_SHELL_TOP = 470;
    private static final double BULGE_PER_MM = 0.9;

    private FromTheFront() {}

    /**
     * How the harness lies.
     *
     * @param leftSlot on the shell, from 1
     * @param rightSlot on the shell, from 1
     * @param slackMm at the shoulders: it bulges
     * @param latched whether the tongues are in the buckle
     * @param clipMm above the armpits; negative below
     * @param clipClosed whether the clip is closed
     * @param coat whether something thick is under the straps
     */
    public record Lies(
            int leftSlot,
            int rightSlot,
            double slackMm,
            boolean latched,
            double clipMm,
            boolean clipClosed,
            boolean coat) {}

    private static double top(Situation situation) {
        return situation
                .seat()
                .flatMap(seat -> seat.shell().top().value())
                .map(Length::millimetres)
                .orElse(USUAL_SHELL_TOP);
    }

    private static List<Length> slots(Situation situation) {
        return situation
                .seat()
                .map(SeatSheet::shell)
                .map(Shell::slots)
                .flatMap(Evidence::value)
                .orElse(List.of());
    }

    private static double height(List<Length> slots, int slot) {
        return slots.isEmpty()
                ? 200
                : slots.get(Math.max(1, Math.min(slots.size(), slot)) - 1).millimetres();
    }

    /** The doll from in front. */
    public static Drawing child(Situation situation, Lies lies, boolean hands) {
        Sketch sketch = new Sketch();
        FrontFigure front = new FrontFigure(sketch);
        ChildFigure child = ChildFigure.of(situation);
        double top = top(situation);
        List<Length> slots = slots(situation);
        front.shell(top);
        front.child(child);
        if (lies.coat()) {
            front.symmetric(
                    Ink.INSERT,
                    new Point(0, child.shoulder() + 14),
                    new Point(64, child.shoulder() + 6),
                    new Point(108, child.shoulder() * 0.5),
                    new Point(84, -4));
        }
        Point buckle = new Point(0, 44);
        for (int side : new int[] {-1, 1}) {
            double slot = height(slots, side < 0 ? lies.rightSlot() : lies.leftSlot());
            Point end = lies.latched() ? buckle.plus(new Point(side * 10, 12)) : new Point(side * 96, 30);
            double bulge = 56 + BULGE_PER_MM * lies.slackMm();
            sketch.ribbon(
                    Ink.WEBBING,
                    19,
                    AS_IS,
                    new Point(side * 58, slot),
                    new Point(side * bulge, (slot + end.y()) / 2 + 10),
                    end);
        }
        sketch.disc(Ink.BUCKLE, buckle, 19);
        double clip = child.armpit() + lies.clipMm();
        double apart = lies.clipClosed() ? 24 : 46;
        for (int side : new int[] {-1, 1}) {
            sketch.polygon(
                    Ink.BUCKLE,
                    AS_IS,
                    new Point(side * (apart - 24), clip - 11),
                    new Point(side * (apart + 14), clip - 11),
                    new Point(side * (apart + 14), clip + 11),
                    new Point(side * (apart - 24), clip + 11));
        }
        if (hands) {
            spot(sketch, "PINCH/-", new Point(96, child.shoulder() - 8));
            spot(sketch, "LOOK/HARNESS", new Point(-150, child.armpit()));
            spot(sketch, "LOOK/CHILD", new Point(128, child.crown() - 10));
        }
        return new Drawing("bench", -420, -190, 840, top + 250, sketch.shapes(), "drawing.bench.front", Map.of());
    }

    /** The shell from behind: the slots, and where the webbings go through. */
    public static Drawing back(Situation situation, Lies lies, boolean hands) {
        Sketch sketch = new Sketch();
        FrontFigure front = new FrontFigure(sketch);
        double top = top(situation);
        List<Length> slots = slots(situation);
        front.symmetric(
                Ink.SHELL,
                new Point(0, top + 14),
                new Point(96, top - 2),
                new Point(158, top - 84),
                new Point(186, top * 0.42),
                new Point(176, -96),
                new Point(100, -130));
        for (int slot = 1; slot <= slots.size(); slot++) {
            double height = height(slots, slot);
            for (int side : new int[] {-1, 1}) {
                sketch.polygon(
                        Ink.SLOT,
                        AS_IS,
                        new Point(side * 40, height - 5),
                        new Point(side * 104, height - 5),
                        new Point(side * 104, height + 5),
                        new Point(side * 40, height + 5));
            }
        }
        Point plate = new Point(0, 30);
        for (int side : new int[] {-1, 1}) {
            // From behind, left and right change places.
            double height = height(slots, side < 0 ? lies.leftSlot() : lies.rightSlot());
            sketch.ribbon(Ink.WEBBING, 24, AS_IS, new Point(side * 72, height), new Point(side * 54, 120), plate);
        }
        sketch.disc(Ink.BUCKLE, plate, 24);
        for (int slot = 1; hands && slot <= slots.size(); slot++) {
            // Beside each other: slots lie closer than a finger is wide.
            spot(sketch, "THREAD/" + slot, new Point(156 + 62 * (slot % 2), height(slots, slot)));
        }
        return new Drawing("bench", -420, -190, 840, top + 250, sketch.shapes(), "drawing.bench.back", Map.of());
    }

    private static void spot(Sketch sketch, String target, Point at) {
        String key = "bench.spot." + target.replaceAll("/[-0-9]+", "").replace('/', '.');
        sketch.link(target, key, Map.of(), () -> BenchSpot.draw(sketch, target, at));
    }
}
