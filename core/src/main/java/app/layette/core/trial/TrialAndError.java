package app.layette.core.trial;

/**
 * The most reclined step first; press and look; back off a step at a time until it is inside or just below; tighten, child
 * in, look; when out, loosen, one step the right way, and again.
 */
public final class TrialAndError implements Search {
    private static final int GIVES_UP = 15;

    @Override
    public Outcome search(SearchedCar car, TrialBand band) {
        var lifts = car.seat().lifts();
        int step = lifts.size() - 1;
        int cycles = 1;
        while (isAbove(car, band, step) && step > 0) {
            step--;
            cycles++;
        }
        int tightenings = 0;
        while (true) {
            var angle = car.tighten(lifts.get(step));
            tightenings++;
            cycles++;
            if (band.contains(angle) || cycles >= GIVES_UP) {
                return new Outcome(cycles, tightenings, band.contains(angle), step, angle, 0);
            }
            step = Math.max(0, Math.min(lifts.size() - 1, band.isBelow(angle) ? step + 1 : step - 1));
        }
    }

    private static boolean isAbove(SearchedCar car, TrialBand band, int step) {
        var seen = car.seen(car.press(car.seat().lifts().get(step)));
        return !band.isBelow(seen) && !band.contains(seen);
    }
}
