package app.layette.core.bench.state;

/**
 * Belt or strap that holds the restraint.
 *
 * @param tight whether it was pulled in at all
 * @param depthMm d*, how deep it lies where it locks, in mm; without meaning while it is not tight
 * @param fastened whether it holds at its end: buckled in its path, or clicked to its anchors
 * @param locked whether it can no longer run out
 */
public record Webbing(boolean tight, double depthMm, boolean fastened, boolean locked) {
    /** Not fastened to anything. */
    public static final Webbing LOOSE = new Webbing(false, 0, false, false);

    Webbing pulledTo(double depth) {
        return new Webbing(true, depth, fastened, locked);
    }

    /** Let out: it can run again. */
    Webbing letOut() {
        return new Webbing(false, 0, fastened, false);
    }

    /** What is unfastened is no longer tight, and nothing locks it. */
    Webbing fastened(boolean now) {
        return new Webbing(tight && now, depthMm, now, locked && now);
    }

    Webbing locked(boolean now) {
        return new Webbing(tight, depthMm, fastened, now);
    }

    Webbing deeperBy(double millimetres) {
        return new Webbing(tight, depthMm + millimetres, fastened, locked);
    }

    boolean holds() {
        return tight && fastened;
    }
}
