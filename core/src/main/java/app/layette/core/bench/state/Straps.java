package app.layette.core.bench.state;

/**
 * The harness on the child: where webbing is too long, and where the clip lies.
 *
 * @param latched whether tongue and buckle hold
 * @param shoulderMm webbing too long over the shoulders, 0 or more
 * @param hipMm webbing too long at the hips, 0 or more; the tail does not reach it
 * @param pullNewtons the hardest pull of the tail on straps without slack
 * @param clipMm how far the clip lies above the armpits; negative below
 * @param clipClosed whether it is closed
 */
public record Straps(
        boolean latched, double shoulderMm, double hipMm, double pullNewtons, double clipMm, boolean clipClosed) {
    /** A fold of this length is pinched between two fingers (HAR-7). */
    static final double PINCHED_MM = 10;
    /** Above this the webbing cuts in. */
    static final double TOO_TIGHT_NEWTONS = 90;
    /** How far off the armpits a clip still counts as there. */
    static final double AT_THE_ARMPITS_MM = 25;

    /** What a pull has to overcome in slots and adjuster. */
    private static final double FRICTION_NEWTONS = 10;
    /** Webbing that each newton more draws through. */
    private static final double DRAWN_MM_PER_NEWTON = 1.5;

    private static final double LET_OUT_MM = 70;

    /** Open, with webbing let out. */
    public static final Straps OPEN = new Straps(false, LET_OUT_MM, 30, 0, -60, false);

    public Straps {
        if (shoulderMm < 0 || hipMm < 0) {
            throw new IllegalArgumentException("Slack (" + shoulderMm + ", " + hipMm + " mm) must be 0 or more");
        }
    }

    /** The tail pulled. What lies at the hips stays there; what is not latched is not drawn snug. */
    public Straps tail(double newtons) {
        if (!latched) {
            return this;
        }
        double drawn = DRAWN_MM_PER_NEWTON * Math.max(0, newtons - FRICTION_NEWTONS);
        double left = Math.max(0, shoulderMm - drawn);
        double over = drawn - (shoulderMm - left);
        double pull = left > 0 || over == 0
                ? pullNewtons
                : Math.max(pullNewtons, over / DRAWN_MM_PER_NEWTON + FRICTION_NEWTONS);
        return new Straps(true, left, hipMm, pull, clipMm, clipClosed);
    }

    /** Webbing lifted from the hips to the shoulders, where the tail reaches it. */
    public Straps fromTheHips() {
        return new Straps(latched, shoulderMm + hipMm, 0, pullNewtons, clipMm, clipClosed);
    }

    /** Webbing let out. */
    public Straps letOut() {
        return new Straps(latched, LET_OUT_MM, hipMm, 0, clipMm, clipClosed);
    }

    public Straps latched(boolean now) {
        return new Straps(now, shoulderMm, hipMm, pullNewtons, clipMm, clipClosed);
    }

    public Straps clip(double aboveArmpitMm, boolean closed) {
        return new Straps(latched, shoulderMm, hipMm, pullNewtons, aboveArmpitMm, closed);
    }

    public Straps slack(double shoulder, double hip) {
        return new Straps(latched, shoulder, hip, pullNewtons, clipMm, clipClosed);
    }

    public Straps pulledWith(double newtons) {
        return new Straps(latched, shoulderMm, hipMm, newtons, clipMm, clipClosed);
    }

    public boolean isLoose() {
        return !latched || isShoulderLoose() || isHipLoose();
    }

    public boolean isShoulderLoose() {
        return shoulderMm > PINCHED_MM;
    }

    public boolean isHipLoose() {
        return hipMm > PINCHED_MM;
    }

    public boolean isTooTight() {
        return pullNewtons > TOO_TIGHT_NEWTONS;
    }

    public boolean isClipAtArmpits() {
        return Math.abs(clipMm) <= AT_THE_ARMPITS_MM;
    }
}
