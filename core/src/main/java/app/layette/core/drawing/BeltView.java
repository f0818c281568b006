package app.layette.core.drawing;

import app.layette.core.belt.Reach;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Part;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Length;
import app.layette.core.seat.BaselessRoute;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.Side;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The belt round a carrier without its base, from the front and from above, its stretches numbered in the order in which
 * hands lay them, each with its length; and whether it reaches. Not to scale along the belt: the numbers count.
 */
public final class BeltView {
    private static final double WIDTH = 1400;
    private static final double HEIGHT = 960;
    private static final double BELT = 17;

    private final Sketch sketch = new Sketch();
    private final Situation situation;
    private final boolean european;
    private final boolean mirrored;

    private BeltView(Situation situation) {
        this.situation = situation;
        this.european = situation.usualMethod() == Method.BASELESS_EUROPEAN;
        this.mirrored = situation
                .placed()
                .filter(placed -> placed.value().position().side() == Side.LEFT)
                .isPresent();
    }

    /** Draws the routing that was chosen; the American one while none is. */
    public static Drawing of(Situation situation) {
        return new BeltView(situation).draw();
    }

    private Drawing draw() {
        fromTheFront();
        fromAbove();
        reaches();
        return new Drawing(
                "belt",
                0,
                0,
                WIDTH,
                HEIGHT,
                sketch.shapes(),
                european ? "drawing.belt.european" : "drawing.belt.american",
                Map.of());
    }

    /** The front panel, mirrored for a place at the car's left: the belt comes from the outside. */
    private UnaryOperator<Point> front() {
        return p -> mirrored ? new Point(700 - p.x(), p.y()) : p;
    }

    private void fromTheFront() {
        UnaryOperator<Point> at = front();
        sketch.polygon(
                Ink.UPHOLSTERY,
                at,
                new Point(70, 250),
                new Point(84, 800),
                new Point(120, 850),
                new Point(560, 850),
                new Point(616, 800),
                new Point(630, 250));
        if (!european) {
            stretch(Part.BELT_4, at, new Point(118, 262), new Point(250, 470), new Point(610, 830));
        }
        shellFromTheFront(at);
        stretch(Part.BELT_1, at, new Point(606, 236), new Point(486, 352));
        stretch(Part.BELT_1, at, new Point(486, 352), new Point(350, 372), new Point(214, 352));
        if (european) {
            stretch(
                    Part.BELT_2,
                    at,
                    new Point(118, 262),
                    new Point(196, 470),
                    new Point(350, 520),
                    new Point(504, 560),
                    new Point(610, 830));
        }
        stretch(european ? Part.BELT_3 : Part.BELT_2, at, new Point(214, 352), new Point(118, 262));
        ends(at);
        letters(at);
        numbers(at);
        title(new Point(350, 184), "belt.fromTheFront");
    }

    private void shellFromTheFront(UnaryOperator<Point> at) {
        sketch.blob(
                Ink.SHELL,
                at,
                new Point(214, 300),
                new Point(204, 430),
                new Point(226, 600),
                new Point(290, 700),
                new Point(350, 716),
                new Point(410, 700),
                new Point(474, 600),
                new Point(496, 430),
                new Point(486, 300),
                new Point(350, 262));
        for (double x : new double[] {214, 486}) {
            sketch.disc(Ink.HANDS, at.apply(new Point(x, 352)), 11);
        }
    }

    private void ends(UnaryOperator<Point> at) {
        sketch.disc(Ink.MEASURED, at.apply(new Point(606, 236)), 8);
        sketch.disc(Ink.MEASURED, at.apply(new Point(610, 830)), 8);
        sketch.polygon(
                Ink.BUCKLE, at, new Point(94, 236), new Point(134, 252), new Point(124, 284), new Point(84, 268));
    }

    private void letters(UnaryOperator<Point> at) {
        length("A", belt().anchorToGuide(), at.apply(new Point(640, 316)));
        length("X", route().overShell(), at.apply(new Point(350, 398)));
        length("B", belt().guideToPlate(), at.apply(new Point(92, 372)));
        if (european) {
            length("R", route().roundShell(), at.apply(new Point(350, 552)));
        } else {
            length("S", belt().plateToUpperGuide(), at.apply(new Point(540, 720)));
        }
    }

    private void length(String letter, Evidence<Length> length, Point at) {
        Optional<Length> known = length.value();
        sketch.label(
                known.isPresent() ? Ink.MEASURED : Ink.UNKNOWN,
                at,
                Anchor.MIDDLE,
                Rank.MAIN,
                known.isPresent() ? "belt.length" : "belt.lengthUnknown",
                Map.of("letter", Argument.of(letter), "length", Argument.of(known.orElse(Length.ZERO))));
    }

    private void numbers(UnaryOperator<Point> at) {
        number(1, at.apply(new Point(420, 330)));
        if (european) {
            number(2, at.apply(new Point(420, 590)));
            number(3, at.apply(new Point(52, 262)));
        } else {
            number(2, at.apply(new Point(52, 262)));
        }
        number(european ? 4 : 3, at.apply(new Point(656, 780)));
    }

    private void number(int place, Point at) {
        sketch.disc(Ink.HANDS, at, 19);
        sketch.label(
                Ink.HANDS,
                at.plus(new Point(0, -9)),
                Anchor.MIDDLE,
                Rank.MAIN,
                "belt.number",
                Map.of("place", Argument.of(place)));
    }

    /** The car's front to the left, as in the other views: the shell's head end points there. */
    private void fromAbove() {
        UnaryOperator<Point> at = p -> mirrored ? new Point(p.x(), 1040 - p.y()) : p;
        sketch.polygon(
                Ink.UPHOLSTERY,
                at,
                new Point(1270, 260),
                new Point(1340, 270),
                new Point(1340, 770),
                new Point(1270, 780));
        if (!european) {
            stretch(Part.BELT_4, at, new Point(1256, 330), new Point(1262, 520), new Point(1262, 740));
        }
        sketch.blob(
                Ink.SHELL,
                at,
                new Point(1240, 430),
                new Point(1080, 404),
                new Point(900, 420),
                new Point(810, 520),
                new Point(900, 620),
                new Point(1080, 636),
                new Point(1240, 610));
        for (double y : new double[] {412, 628}) {
            sketch.disc(Ink.HANDS, at.apply(new Point(1150, y)), 11);
        }
        stretch(Part.BELT_1, at, new Point(1262, 716), new Point(1150, 628));
        stretch(Part.BELT_1, at, new Point(1150, 628), new Point(1144, 520), new Point(1150, 412));
        if (european) {
            stretch(
                    Part.BELT_2,
                    at,
                    new Point(1256, 330),
                    new Point(960, 384),
                    new Point(790, 520),
                    new Point(960, 664),
                    new Point(1262, 750));
        }
        stretch(european ? Part.BELT_3 : Part.BELT_2, at, new Point(1150, 412), new Point(1256, 330));
        sketch.disc(Ink.MEASURED, at.apply(new Point(1262, 730)), 8);
        title(new Point(1080, 184), "belt.fromAbove");
        sketch.label(Ink.FAINT, new Point(716, 512), Anchor.MIDDLE, Rank.MINOR, "belt.headEnd", Map.of());
    }

    private void stretch(Part part, UnaryOperator<Point> at, Point... points) {
        sketch.group(part, () -> sketch.ribbon(Ink.WEBBING, BELT, at, points));
    }

    private void title(Point at, String key) {
        sketch.label(Ink.FAINT, at, Anchor.MIDDLE, Rank.MINOR, key, Map.of());
    }

    private void reaches() {
        List<Reach> ways = Reach.of(belt(), route());
        double y = 110;
        boolean any = false;
        for (Reach reach : ways) {
            boolean ofRouting = (reach.way() == Reach.Way.AMERICAN) != european;
            if (ofRouting) {
                any = true;
                sketch.label(
                        reach.answer() == Reach.Answer.TOO_SHORT ? Ink.HANDS : Ink.COMPUTED,
                        new Point(60, y),
                        Anchor.START,
                        Rank.MAIN,
                        "belt.reach." + reach.answer(),
                        Map.of(
                                "way", new Argument.OfKey("reach." + reach.way()),
                                "need", Argument.of(reach.need()),
                                "there", Argument.of(belt().available().value().orElse(Length.ZERO)),
                                "margin", Argument.of(Length.ofMillimetres(Math.abs(reach.marginMm())))));
                y -= 46;
            }
        }
        if (!any) {
            sketch.label(Ink.UNKNOWN, new Point(60, y), Anchor.START, Rank.MAIN, "belt.reachUnknown", Map.of());
        }
    }

    private Belt belt() {
        return situation.position().map(SeatingPosition::belt).orElse(Belt.NOT_LOOKED);
    }

    private BaselessRoute route() {
        return situation.seat().map(SeatSheet::routing).orElse(new BaselessRoute(null, null, null, null));
    }
}
