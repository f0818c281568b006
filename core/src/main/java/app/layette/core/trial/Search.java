package app.layette.core.trial;

/** A way of searching for the setting. */
public interface Search {
    /** Searches until the child rides inside the band, or gives up. */
    Outcome search(TrialCar car, TrialBand band);

    /**
     * How a search went.
     *
     * @param cycles of adjusting and looking
     * @param tightenings how often it was tightened
     * @param inBand whether it ended inside the band
     * @param step where it ended
     */
    record Outcome(int cycles, int tightenings, boolean inBand, int step) {
        public boolean firstTightening() {
            return inBand && tightenings == 1;
        }
    }
}
