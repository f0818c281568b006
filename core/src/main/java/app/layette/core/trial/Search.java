package app.layette.core.trial;

import app.layette.core.measure.Angle;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/** A way of searching for the setting. */
public interface Search {
    /** Searches until the child rides inside the band, or gives up. */
    Outcome search(SearchedCar car, TrialBand band);

    /**
     * How a search went.
     *
     * @param cycles of adjusting and looking
     * @param tightenings how often it was tightened
     * @param inBand whether it ended inside the band
     * @param step where it ended; -1 where no setting was named
     * @param angle where the recline ended; {@code null} where no setting was named
     * @param wrongWay how often it was sent away from the band after a look with the child in
     */
    record Outcome(
            int cycles,
            int tightenings,
            boolean inBand,
            int step,
            @Nullable Angle angle,
            int wrongWay) {
        static Outcome nothingNamed(int cycles, int tightenings, int wrongWay) {
            return new Outcome(cycles, tightenings, false, -1, null, wrongWay);
        }

        /** The angle of a search that named a setting. */
        Angle ended() {
            return Objects.requireNonNull(angle);
        }

        public boolean firstTightening() {
            return inBand && tightenings == 1;
        }
    }
}
