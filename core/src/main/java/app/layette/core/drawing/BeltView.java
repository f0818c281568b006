package app.layette.core.drawing;

import app.layette.core.belt.Reach;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Part;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Length;
import app.layette.core.seat.BaselessRoute;
import app.layette.core.seat.BaselessRouteParts;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.Side;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The belt round a carrier without its base, as it lies on the vehicle seat: seen from above the car's front, its
 * stretches numbered in the order in which hands lay them, each with its length, lap and shoulder part told apart. Where
 * the belt is too short, it ends before its buckle. The seat and the carrier are usual ones; the numbers count.
 */
public final class BeltView {
    private static final double WIDTH = 1400;
    private static final double HEIGHT = 1080;
    private static final double BELT = 30;
    private static final double SCALE = 0.98;
    private static final double MIDDLE = 690;
    private static final double FLOOR = 400;
    /** How much what is nearer to the eye is larger, a millimetre. */
    private static final double NEARER = 0.00022;

    private static final double HEIGHT_SEEN = 0.80;
    private static final double DEPTH_SEEN = 0.55;
    /** How far before the buckle a belt that is too short is drawn to end. */
    private static final double SHORT = 0.42;

    private static final Space PILLAR = new Space(345, -40, 650);
    private static final Space LAP_ANCHOR = new Space(300, 0, 10);
    private static final Space BUCKLE = new Space(-245, 40, 60);
    private static final Space OUTER_GUIDE = new Space(214, 262, 336);
    private static final Space INNER_GUIDE = new Space(-214, 262, 336);

    private final Sketch sketch = new Sketch();
    private final Situation situation;
    private final boolean european;
    private final boolean mirrored;
    private final List<Reach> ways;

    /** A point of the place: across (outwards), towards the car's front, up; millimetres. */
    private record Space(double across, double ahead, double up) {
        Space towards(Space other, double share) {
            return new Space(
                    across + share * (other.across - across),
                    ahead + share * (other.ahead - ahead),
                    up + share * (other.up - up));
        }
    }

    private BeltView(Situation situation) {
        this.situation = situation;
        this.european = situation.usualMethod().isRoundBehindShell();
        this.mirrored = situation
                .placed()
                .filter(placed -> placed.value().position().side() == Side.LEFT)
                .isPresent();
        this.ways = Reach.of(belt(), route()).stream()
                .filter(reach -> (reach.way() == Reach.Way.AMERICAN) != european)
                .toList();
    }

    /** Draws the routing that was chosen; the American one while none is. */
    public static Drawing of(Situation situation) {
        return new BeltView(situation).draw();
    }

    private Drawing draw() {
        seat();
        if (!european) {
            shoulderAlongTheBack();
        }
        carrier();
        lap();
        if (european) {
            shoulderRoundTheShell();
        }
        ends();
        lengths();
        numbers();
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

    /** Seen from above the front; the belt comes from the outside, which is the other way round at the car's left. */
    private Point seen(Space at) {
        double nearer = SCALE * (1 + NEARER * at.ahead());
        double across = (mirrored ? -at.across() : at.across()) * nearer;
        return new Point(MIDDLE + across, FLOOR + nearer * (HEIGHT_SEEN * at.up() - DEPTH_SEEN * at.ahead()));
    }

    private Point[] seen(Space... points) {
        Point[] all = new Point[points.length];
        for (int i = 0; i < points.length; i++) {
            all[i] = seen(points[i]);
        }
        return all;
    }

    private static Space[] mirror(Space... half) {
        Space[] all = new Space[half.length * 2];
        for (int i = 0; i < half.length; i++) {
            all[i] = half[i];
            Space other = half[half.length - 1 - i];
            all[half.length + i] = new Space(-other.across(), other.ahead(), other.up());
        }
        return all;
    }

    private void blob(Ink ink, Space... points) {
        sketch.blob(ink, point -> point, seen(points));
    }

    private void seat() {
        blob(
                Ink.UPHOLSTERY,
                mirror(
                        new Space(120, -70, 660),
                        new Space(270, -70, 630),
                        new Space(300, -40, 330),
                        new Space(310, 0, 0),
                        new Space(160, 0, 0)));
        blob(
                Ink.FRONT_SEAT,
                mirror(
                        new Space(170, 6, 0),
                        new Space(306, 10, 0),
                        new Space(314, 250, 10),
                        new Space(300, 470, 0),
                        new Space(150, 500, -6)));
    }

    private void carrier() {
        blob(
                Ink.SHELL,
                mirror(
                        new Space(120, 84, 300),
                        new Space(214, 250, 320),
                        new Space(218, 420, 330),
                        new Space(190, 600, 200),
                        new Space(120, 690, 100)));
        blob(
                Ink.PAD,
                mirror(
                        new Space(110, 78, 306),
                        new Space(186, 130, 312),
                        new Space(214, 262, 334),
                        new Space(216, 420, 366),
                        new Space(196, 580, 402),
                        new Space(110, 706, 424)));
        blob(
                Ink.CLOTH,
                mirror(
                        new Space(46, 130, 300),
                        new Space(92, 220, 310),
                        new Space(104, 360, 330),
                        new Space(60, 470, 350)));
        sketch.disc(Ink.SKIN, seen(new Space(0, 560, 380)), 66 * SCALE);
    }

    private void lap() {
        stretch(Part.BELT_1, Ink.WEBBING, LAP_ANCHOR, new Space(262, 130, 170), OUTER_GUIDE);
        stretch(
                Part.BELT_1,
                Ink.WEBBING,
                OUTER_GUIDE,
                new Space(110, 252, 376),
                new Space(0, 248, 386),
                new Space(-110, 252, 376),
                INNER_GUIDE);
        stretch(european ? Part.BELT_3 : Part.BELT_2, Ink.WEBBING, INNER_GUIDE, new Space(-240, 170, 210), plate());
        for (Space guide : List.of(OUTER_GUIDE, INNER_GUIDE)) {
            sketch.disc(Ink.HANDS, seen(guide), 15);
        }
        name("belt.lap", seen(new Space(0, 250, 392)).plus(new Point(0, 30)), Anchor.MIDDLE);
    }

    private void shoulderAlongTheBack() {
        stretch(
                Part.BELT_4,
                Ink.SHOULDER,
                plate(),
                new Space(-170, -40, 270),
                new Space(0, -60, 410),
                new Space(190, -70, 560),
                PILLAR);
        name("belt.shoulder", seen(new Space(-20, -66, 470)), Anchor.END);
    }

    private void shoulderRoundTheShell() {
        stretch(
                Part.BELT_2,
                Ink.SHOULDER,
                plate(),
                new Space(-256, 250, 200),
                new Space(-250, 480, 240),
                new Space(-176, 700, 250),
                new Space(0, 780, 250),
                new Space(176, 700, 250),
                new Space(256, 480, 260),
                new Space(304, 200, 420),
                PILLAR);
        name("belt.shoulder", seen(new Space(0, 780, 250)).plus(new Point(0, -52)), Anchor.MIDDLE);
    }

    /** Where the latch plate is: in the buckle, or as far as a belt goes that is too short every way. */
    private Space plate() {
        return isTooShort() ? BUCKLE.towards(INNER_GUIDE, SHORT) : BUCKLE;
    }

    private boolean isTooShort() {
        return !ways.isEmpty() && ways.stream().allMatch(reach -> reach.answer() == Reach.Answer.TOO_SHORT);
    }

    private void ends() {
        sketch.disc(Ink.MEASURED, seen(PILLAR), 13);
        sketch.disc(Ink.MEASURED, seen(LAP_ANCHOR), 11);
        Point buckle = seen(BUCKLE);
        sketch.polygon(
                Ink.BUCKLE,
                point -> buckle.plus(mirrored ? new Point(-point.x(), point.y()) : point),
                new Point(-26, 20),
                new Point(22, 26),
                new Point(14, -44),
                new Point(-34, -50));
        if (isTooShort()) {
            Point end = seen(plate());
            sketch.polygon(
                    Ink.BUCKLE,
                    end::plus,
                    new Point(-20, 12),
                    new Point(20, 12),
                    new Point(12, -24),
                    new Point(-12, -24));
            sketch.line(Ink.HANDS, end.plus(new Point(0, -26)), buckle.plus(new Point(0, 26)));
            Reach nearest = ways.stream()
                    .max(Comparator.comparingDouble(Reach::marginMm))
                    .orElseThrow();
            sketch.label(
                    Ink.HANDS,
                    aside(buckle, -58, 46),
                    outwards(Anchor.END),
                    Rank.MAIN,
                    "belt.short",
                    Map.of("margin", Argument.of(Length.ofMillimetres(Math.abs(nearest.marginMm())))));
        }
        name("belt.buckle", aside(buckle, -58, -36), outwards(Anchor.END));
        name("belt.upperGuide", aside(seen(PILLAR), 30, -40), outwards(Anchor.START));
        name("belt.headEnd", seen(new Space(0, 700, 250)), Anchor.MIDDLE);
    }

    /** Beside a point, to the belt's inner (negative) or outer side. */
    private Point aside(Point at, double across, double up) {
        return at.plus(new Point(mirrored ? -across : across, up));
    }

    private Anchor outwards(Anchor anchor) {
        if (!mirrored) {
            return anchor;
        }
        return anchor == Anchor.END ? Anchor.START : Anchor.END;
    }

    private void lengths() {
        length("A", belt().anchorToGuide(), aside(seen(new Space(262, 130, 170)), 34, 0), outwards(Anchor.START));
        length("X", route().overShell(), seen(new Space(0, 330, 330)), Anchor.MIDDLE);
        length("B", belt().guideToPlate(), aside(seen(new Space(-246, 190, 250)), -34, 0), outwards(Anchor.END));
        if (european) {
            length("R", route().roundShell(), aside(seen(new Space(-250, 480, 240)), -40, 0), outwards(Anchor.END));
        } else {
            length(
                    "S",
                    belt().plateToUpperGuide(),
                    aside(seen(new Space(200, -70, 500)), 40, -30),
                    outwards(Anchor.START));
        }
    }

    private void length(String letter, Evidence<Length> length, Point at, Anchor anchor) {
        Optional<Length> known = length.value();
        sketch.label(
                known.isPresent() ? Ink.MEASURED : Ink.UNKNOWN,
                at,
                anchor,
                Rank.MAIN,
                known.isPresent() ? "belt.length" : "belt.lengthUnknown",
                Map.of("letter", Argument.of(letter), "length", Argument.of(known.orElse(Length.ZERO))));
    }

    private void numbers() {
        number(1, seen(new Space(110, 252, 376)));
        if (european) {
            number(2, seen(new Space(176, 700, 250)));
            number(3, aside(seen(BUCKLE), -4, -12));
        } else {
            number(2, aside(seen(BUCKLE), -4, -12));
            number(3, seen(new Space(0, -60, 410)));
        }
        number(4, seen(european ? new Space(318, 110, 500) : new Space(270, -60, 605)));
    }

    private void number(int place, Point at) {
        sketch.disc(Ink.HANDS, at, 24);
        sketch.label(
                Ink.HANDS,
                at.plus(new Point(0, -9)),
                Anchor.MIDDLE,
                Rank.MAIN,
                "belt.number",
                Map.of("place", Argument.of(place)));
    }

    /** The shoulder part has a seam along its middle, so that no colour has to tell the two apart. */
    private void stretch(Part part, Ink ink, Space... points) {
        sketch.group(part, () -> {
            sketch.ribbon(ink, BELT, point -> point, seen(points));
            if (ink == Ink.SHOULDER) {
                sketch.curve(Ink.FAINT, point -> point, seen(points));
            }
        });
    }

    private void name(String key, Point at, Anchor anchor) {
        sketch.label(Ink.FAINT, at, anchor, Rank.MINOR, key, Map.of());
    }

    private void reaches() {
        double y = HEIGHT - 52;
        for (Reach reach : ways) {
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
        if (ways.isEmpty()) {
            sketch.label(Ink.UNKNOWN, new Point(60, y), Anchor.START, Rank.MAIN, "belt.reachUnknown", Map.of());
        }
    }

    private Belt belt() {
        return situation.position().map(SeatingPosition::belt).orElse(Belt.NOT_LOOKED);
    }

    private BaselessRoute route() {
        return situation
                .seat()
                .map(SeatSheet::routing)
                .orElse(BaselessRouteParts.builder().build());
    }
}
