package app.layette.core.trial;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A seat as its sheet describes it: 4 to 7 foot steps evenly from 0 to 45, 60, 75 or 90 mm, L 350 to 450 mm, θ0 = 52° −
 * half the span + N(0, 1.5).
 *
 * @param contact L
 * @param lifts of the steps, lowest first
 * @param theta0 θ0
 */
public record TrialSeat(Length contact, List<Length> lifts, Angle theta0) {
    static TrialSeat random(Random random) {
        double contact = 350 + 100 * random.nextDouble();
        double highest = 45 + 15 * random.nextInt(4);
        int steps = 4 + random.nextInt(4);
        List<Length> lifts = new ArrayList<>();
        for (int step = 0; step < steps; step++) {
            lifts.add(Length.ofMillimetres(highest * step / (steps - 1)));
        }
        double span = Math.toDegrees(Math.asin(highest / contact));
        double theta0 = 52 - span / 2 + 1.5 * random.nextGaussian();
        return new TrialSeat(Length.ofMillimetres(contact), List.copyOf(lifts), Angle.ofDegrees(theta0));
    }
}
