package app.layette.core.drawing;

import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Part;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Fact.Strap;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.rethread.ShellBack;
import app.layette.core.rethread.StrapState;
import java.util.Map;
import java.util.Optional;

/**
 * The front of the shell as the hands have it (HAR-4): the openings of the pad and the two shoulder webbings that come
 * out of them. What is left here is on the right from behind.
 */
public final class ShellFrontView {
    private static final double TOP = 470;
    private static final double ASIDE = 72;
    private static final double BEYOND = 44;

    private final StrapHeights heights;
    private final Optional<Integer> target;
    private final Sketch sketch = new Sketch();

    private ShellFrontView(Situation situation) {
        this.heights = StrapHeights.of(situation, TOP);
        this.target = ShellBack.target(situation);
    }

    public static Drawing of(Situation situation, ShellBack back) {
        ShellFrontView view = new ShellFrontView(situation);
        new FrontFigure(view.sketch).shell(TOP);
        view.openings();
        view.buckle();
        view.strap(Strap.LEFT, back.left());
        view.strap(Strap.RIGHT, back.right());
        return view.drawing(back);
    }

    /**
     * One webbing in a state, alone: to be put in the place of another state's.
     *
     * @param state how it is then
     */
    public static Drawing strap(Situation situation, Strap strap, StrapState state) {
        ShellFrontView view = new ShellFrontView(situation);
        view.strap(strap, state);
        return view.drawing(new ShellBack(false, false, false, state, state, false, 0));
    }

    private Drawing drawing(ShellBack back) {
        return new Drawing(
                "shell-front",
                -330,
                -150,
                660,
                TOP + 240,
                sketch.shapes(),
                "drawing.shellFront.description",
                Map.of(
                        "left", Argument.of(back.left().padSlot()),
                        "right", Argument.of(back.right().padSlot())));
    }

    private void openings() {
        for (int slot = 1; slot <= heights.count(); slot++) {
            boolean wanted = target.filter(Integer.valueOf(slot)::equals).isPresent();
            double y = heights.of(slot);
            for (int side : new int[] {-1, 1}) {
                sketch.polygon(
                        wanted ? Ink.HANDS : Ink.SLOT,
                        p -> p,
                        new Point(side * 40, y - 5),
                        new Point(side * 104, y - 5),
                        new Point(side * 104, y + 5),
                        new Point(side * 40, y + 5));
            }
            sketch.label(
                    wanted ? Ink.HANDS : Ink.FAINT,
                    new Point(-214, y - 8),
                    Anchor.END,
                    wanted ? Rank.MAIN : Rank.MINOR,
                    wanted ? "shellBack.wanted" : "shellBack.slot",
                    Map.of("slot", Argument.of(slot)));
        }
    }

    private void buckle() {
        sketch.polygon(
                Ink.BUCKLE, p -> p, new Point(-24, 0), new Point(24, 0), new Point(18, -54), new Point(-18, -54));
    }

    /** From its opening down to the buckle; an end that is off its plate may come out of the opening, and says so. */
    private void strap(Strap strap, StrapState state) {
        sketch.group(strap == Strap.LEFT ? Part.BELT_1 : Part.BELT_2, () -> {
            int side = strap == Strap.LEFT ? -1 : 1;
            double from = heights.of(state.padSlot());
            Ink ink = state.twisted() || state.isOff() ? Ink.HANDS : Ink.WEBBING;
            sketch.ribbon(
                    ink,
                    22,
                    p -> p,
                    new Point(side * ASIDE, from),
                    new Point(side * (ASIDE - 8), from * 0.6),
                    new Point(side * 22, 6));
            boolean differs = state.padSlot() != state.shellSlot();
            sketch.label(
                    differs ? Ink.HANDS : Ink.FAINT,
                    new Point(side * BEYOND, TOP + 48),
                    side < 0 ? Anchor.END : Anchor.START,
                    Rank.MINOR,
                    differs ? "shellFront.shellDiffers" : "shellFront.through",
                    Map.of(
                            "slot", Argument.of(state.padSlot()),
                            "shell", Argument.of(state.shellSlot())));
        });
    }
}
