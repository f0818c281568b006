package app.layette.core.drawing;

import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Part;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Fact.Strap;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.rethread.ShellBack;
import app.layette.core.rethread.StrapState;
import app.layette.core.rethread.StrapState.OnPlate;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The back of the shell as the hands have it (HAR-4): slots, the two shoulder webbings, the splitter plate. Seen from
 * behind, so what is left from in front is on the right.
 */
public final class ShellBackView {
    private static final UnaryOperator<Point> AS_IS = p -> p;
    private static final double PLATE = 96;
    private static final double TOP = 470;
    private static final double BEYOND = 44;

    private final ShellBack back;
    private final Optional<Integer> target;
    private final StrapHeights heights;
    private final Sketch sketch = new Sketch();

    private ShellBackView(Situation situation, ShellBack back) {
        this.back = back;
        this.target = ShellBack.target(situation);
        this.heights = StrapHeights.of(situation, TOP);
    }

    public static Drawing of(Situation situation, ShellBack back) {
        ShellBackView view = new ShellBackView(situation, back);
        view.shell();
        view.slots();
        view.plate();
        view.strap(Strap.LEFT);
        view.strap(Strap.RIGHT);
        return view.drawing(back);
    }

    private Drawing drawing(ShellBack back) {
        return new Drawing(
                "shell-back",
                -330,
                -110,
                660,
                TOP + 200,
                sketch.shapes(),
                "drawing.shellBack.description",
                Map.of(
                        "left", Argument.of(back.left().shellSlot()),
                        "right", Argument.of(back.right().shellSlot())));
    }

    private double height(int slot) {
        return heights.of(slot);
    }

    private static int side(Strap strap) {
        return strap == Strap.LEFT ? 1 : -1;
    }

    private void shell() {
        sketch.blob(
                Ink.SHELL,
                AS_IS,
                new Point(0, TOP + 14),
                new Point(110, TOP - 4),
                new Point(178, TOP - 110),
                new Point(192, 180),
                new Point(180, -20),
                new Point(100, -78),
                new Point(0, -86),
                new Point(-100, -78),
                new Point(-180, -20),
                new Point(-192, 180),
                new Point(-178, TOP - 110),
                new Point(-110, TOP - 4));
    }

    private void slots() {
        for (int slot = 1; slot <= heights.count(); slot++) {
            boolean wanted = target.filter(Integer.valueOf(slot)::equals).isPresent();
            for (int side : new int[] {-1, 1}) {
                sketch.polygon(
                        wanted ? Ink.HANDS : Ink.SLOT,
                        AS_IS,
                        new Point(side * 40, height(slot) - 5),
                        new Point(side * 104, height(slot) - 5),
                        new Point(side * 104, height(slot) + 5),
                        new Point(side * 40, height(slot) + 5));
            }
            sketch.label(
                    wanted ? Ink.HANDS : Ink.FAINT,
                    new Point(-214, height(slot) - 8),
                    Anchor.END,
                    wanted ? Rank.MAIN : Rank.MINOR,
                    wanted ? "shellBack.wanted" : "shellBack.slot",
                    Map.of("slot", Argument.of(slot)));
        }
    }

    /** The plate with a notch to each side, and the adjuster strap below it. */
    private void plate() {
        sketch.ribbon(Ink.WEBBING, 22, AS_IS, new Point(0, PLATE - 14), new Point(0, -60));
        sketch.polygon(
                Ink.BUCKLE,
                AS_IS,
                new Point(-70, PLATE + 16),
                new Point(70, PLATE + 16),
                new Point(52, PLATE - 16),
                new Point(-52, PLATE - 16));
        sketch.label(Ink.FAINT, new Point(-214, PLATE - 8), Anchor.END, Rank.MINOR, "shellBack.plate", Map.of());
    }

    /**
     * One webbing in a state, alone: to be put in the place of another state's.
     *
     * @param state how it is then
     */
    public static Drawing strap(Situation situation, Strap strap, StrapState state) {
        ShellBack back = new ShellBack(false, false, false, state, state, false, 0);
        ShellBackView view = new ShellBackView(situation, back);
        view.strap(strap);
        return view.drawing(back);
    }

    private void strap(Strap strap) {
        sketch.group(strap == Strap.LEFT ? Part.BELT_1 : Part.BELT_2, () -> drawn(strap));
    }

    private void drawn(Strap strap) {
        StrapState state = back.strap(strap);
        int side = side(strap);
        double slot = height(state.shellSlot());
        Point through = new Point(side * 72, slot);
        Point end = switch (state.onPlate()) {
            case HOME -> new Point(side * 42, PLATE);
            case HALF -> new Point(side * 62, PLATE + 22);
            case OFF -> new Point(side * 128, slot - 96);
        };
        boolean loose = state.onPlate() != OnPlate.HOME;
        if (state.twisted()) {
            twisted(through, end);
        } else {
            sketch.ribbon(
                    loose ? Ink.HANDS : Ink.WEBBING,
                    22,
                    AS_IS,
                    through,
                    new Point((through.x() + end.x()) / 2 + side * 10, (through.y() + end.y()) / 2),
                    end);
        }
        sketch.disc(loose ? Ink.HANDS : Ink.BUCKLE, end, loose ? 14 : 10);
        boolean differs = state.padSlot() != state.shellSlot();
        sketch.label(
                loose ? Ink.HANDS : Ink.MEASURED,
                new Point(side * BEYOND, TOP + 48),
                side < 0 ? Anchor.END : Anchor.START,
                Rank.MAIN,
                "shellBack." + strap + "." + state.onPlate(),
                Map.of());
        sketch.label(
                differs || state.twisted() ? Ink.HANDS : Ink.FAINT,
                new Point(side * BEYOND, TOP + 24),
                side < 0 ? Anchor.END : Anchor.START,
                Rank.MINOR,
                state.twisted() ? "shellBack.twisted" : differs ? "shellBack.padDiffers" : "shellBack.through",
                Map.of(
                        "slot", Argument.of(state.shellSlot()),
                        "pad", Argument.of(state.padSlot())));
    }

    private void twisted(Point from, Point to) {
        Point middle = new Point((from.x() + to.x()) / 2, (from.y() + to.y()) / 2);
        sketch.ribbon(Ink.HANDS, 22, AS_IS, from, middle);
        sketch.ribbon(Ink.HANDS, 5, AS_IS, middle.plus(new Point(0, 10)), middle.plus(new Point(0, -10)));
        sketch.ribbon(Ink.HANDS, 22, AS_IS, middle.plus(new Point(0, -8)), to);
    }
}
