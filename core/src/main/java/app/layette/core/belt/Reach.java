package app.layette.core.belt;

import app.layette.core.measure.Length;
import app.layette.core.seat.BaselessRoute;
import app.layette.core.vehicle.Belt;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Whether the belt of a place reaches round a carrier without its base. Handbook, section 7: American A+X+B+S+20,
 * European buckled last A+X+B+R+50, buckled first A+X+B+R+O+20. Advice: the belt in the hand decides.
 *
 * @param way routing and order
 * @param need webbing that it takes
 * @param margin U − need; negative when it is too short
 */
public record Reach(Way way, Length need, double marginMm) {
    /** O where nobody knows it. */
    private static final double USUAL_LIFT_OVER_MM = 350;

    private static final double TAKEN_UP_MM = 20;
    private static final double BUCKLED_LAST_MM = 50;
    private static final double COMFORTABLE_MM = 60;
    private static final double HUNDREDTHS = 100;

    /** Routing and order. */
    public enum Way {
        AMERICAN,
        EUROPEAN_BUCKLE_LAST,
        EUROPEAN_BUCKLE_FIRST
    }

    /** What the margin means. */
    public enum Answer {
        REACHES,
        /** 0 to 60 mm: only trying tells. */
        JUST,
        TOO_SHORT
    }

    /** In hundredths of a millimetre, as every length is compared. */
    public Answer answer() {
        long margin = Math.round(marginMm * HUNDREDTHS);
        if (margin < 0) {
            return Answer.TOO_SHORT;
        }
        return margin < COMFORTABLE_MM * HUNDREDTHS ? Answer.JUST : Answer.REACHES;
    }

    /**
     * Every way that can be computed: nothing where a length is not known. A lap-only belt has the American way alone; the
     * two parts of a sewn-on plate are looked at apart.
     */
    public static List<Reach> of(Belt belt, BaselessRoute route) {
        Optional<Length> overShell = route.overShell().value();
        Optional<Length> anchorToGuide = belt.anchorToGuide().value();
        Optional<Length> guideToPlate = belt.guideToPlate().value();
        if (overShell.isEmpty() || anchorToGuide.isEmpty() || guideToPlate.isEmpty()) {
            return List.of();
        }
        double lap = anchorToGuide.get().millimetres()
                + overShell.get().millimetres()
                + guideToPlate.get().millimetres();
        boolean sewnOn = belt.latchPlate()
                .value()
                .filter(plate -> plate == Belt.LatchPlate.SEWN_ON)
                .isPresent();
        boolean lapOnly =
                belt.kind().value().filter(kind -> kind == Belt.Kind.LAP_ONLY).isPresent();
        return sewnOn && !lapOnly ? apart(lap, belt, route) : together(lap, belt, route, lapOnly);
    }

    /** One belt that runs through its plate. */
    private static List<Reach> together(double lap, Belt belt, BaselessRoute route, boolean lapOnly) {
        Optional<Length> available =
                belt.available().value().or(() -> lapOnly ? belt.lapAvailable().value() : Optional.empty());
        if (available.isEmpty()) {
            return List.of();
        }
        List<Reach> ways = new ArrayList<>();
        shoulders(belt, route, lapOnly).forEach((way, shoulder) -> {
            double need = lap + shoulder + spare(way);
            ways.add(new Reach(way, Length.ofMillimetres(need), available.get().millimetres() - need));
        });
        return List.copyOf(ways);
    }

    /** Two belts sewn to one plate: the lap part and the shoulder part each have to reach; the shorter one decides. */
    private static List<Reach> apart(double lap, Belt belt, BaselessRoute route) {
        Optional<Length> lapThere = belt.lapAvailable().value();
        Optional<Length> shoulderThere = belt.shoulderAvailable().value();
        if (lapThere.isEmpty() || shoulderThere.isEmpty()) {
            return List.of();
        }
        double lapMargin = lapThere.get().millimetres() - lap - TAKEN_UP_MM;
        List<Reach> ways = new ArrayList<>();
        shoulders(belt, route, false).forEach((way, shoulder) -> {
            double need = lap + shoulder + spare(way);
            double shoulderMargin = shoulderThere.get().millimetres() - shoulder - spare(way);
            ways.add(new Reach(way, Length.ofMillimetres(need), Math.min(lapMargin, shoulderMargin)));
        });
        return List.copyOf(ways);
    }

    /** What the shoulder part takes in each way that can be computed, in the order in which to think of them. */
    private static Map<Way, Double> shoulders(Belt belt, BaselessRoute route, boolean lapOnly) {
        Map<Way, Double> taken = new EnumMap<>(Way.class);
        if (lapOnly) {
            taken.put(Way.AMERICAN, 0.0);
            return taken;
        }
        belt.plateToUpperGuide().value().ifPresent(along -> taken.put(Way.AMERICAN, along.millimetres()));
        route.roundShell().value().ifPresent(round -> {
            double over =
                    route.whenBuckledFirst().value().map(Length::millimetres).orElse(USUAL_LIFT_OVER_MM);
            taken.put(Way.EUROPEAN_BUCKLE_LAST, round.millimetres());
            taken.put(Way.EUROPEAN_BUCKLE_FIRST, round.millimetres() + over);
        });
        return taken;
    }

    private static double spare(Way way) {
        return way == Way.EUROPEAN_BUCKLE_LAST ? BUCKLED_LAST_MM : TAKEN_UP_MM;
    }
}
