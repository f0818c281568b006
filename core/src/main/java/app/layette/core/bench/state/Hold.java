package app.layette.core.bench.state;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.ReclineGeometry;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.cushion.Load;
import app.layette.core.recline.cushion.Press;
import app.layette.core.recline.cushion.Tightening;
import app.layette.core.recline.cushion.Tightening.Held;
import app.layette.core.recline.cushion.Tightening.Stages;
import java.util.List;

/**
 * How the restraint is held on the cushion: what the foam keeps, how much webbing there is, and what follows for its angle
 * and its movement. The forces are those of {@link Tightening} (handbook, section 6).
 *
 * @param cushion how the true cushion gives
 * @param geometry the true one
 * @param lifts ℓ of the device's settings, lowest first; one of 0 mm where there is no device
 * @param step index of the setting it stands at
 * @param rollMm what a roll lifts the foot end by, in mm; negative where it lies under the head end
 * @param foam what the foam keeps
 * @param webbing belt or strap
 * @param loaded whether carrier and child are on it
 */
public record Hold(
        Tightening cushion,
        ReclineGeometry geometry,
        List<Length> lifts,
        int step,
        double rollMm,
        Depths foam,
        Webbing webbing,
        boolean loaded) {
    /** What a hand tugs with at the belt path: firmly, as at a door. */
    private static final double TUG_NEWTONS = 100;
    /** How stiff a base with slack webbing is against a tug, in N/mm. */
    private static final double SLACK_STIFFNESS = 2.2;
    /** What each newton in the webbing adds to it. */
    private static final double STIFFNESS_PER_NEWTON = 0.02;

    private static final double NOTHING_HOLDS_MM = 120;
    private static final double NOT_TIGHTENED_MM = 70;
    private static final double RUNS_OUT_MM = 60;

    public Hold {
        lifts = List.copyOf(lifts);
        if (step < 0 || step >= lifts.size()) {
            throw new IllegalArgumentException(
                    "The setting (" + step + ") must be there; allowed 0 to " + (lifts.size() - 1));
        }
    }

    /** A base set down on fresh foam, held by nothing. */
    public static Hold setDown(Tightening cushion, ReclineGeometry geometry, List<Length> lifts, int step) {
        return new Hold(cushion, geometry, lifts, step, 0, Depths.NONE, Webbing.LOOSE, false);
    }

    private Load load() {
        return loaded ? cushion.loaded() : cushion.alone();
    }

    private double pullAt() {
        return cushion.pullAt();
    }

    private Held held() {
        return webbing.holds() ? cushion.held(foam, webbing.depthMm(), load()) : cushion.resting(foam, load());
    }

    /** θ on this ground. */
    public Angle recline(Angle ground) {
        return reclineAt(held().depths(), ground);
    }

    /** θ while a hand presses. */
    public Angle reclineWhile(Press press, Angle ground) {
        return reclineAt(cushion.stages(List.of(press), foam).pressed().depths(), ground);
    }

    private Angle reclineAt(Depths depths, Angle ground) {
        return geometry.recline(Length.ofMillimetres(liftMm()), Angle.ZERO, ground, depths);
    }

    /** ℓ − c_r, how far the foot end is held up. */
    public double heldUpMm() {
        return liftMm() - held().depths().footEndMm();
    }

    private double liftMm() {
        return lifts.get(step).millimetres() + rollMm;
    }

    /** T, tension of belt or strap in newtons, 0 or more. */
    public double tensionNewtons() {
        return held().tension().newtons();
    }

    /** Webbing that nothing takes up, in mm, 0 or more. */
    public double slackMm() {
        return webbing.holds() ? Math.max(0, held().depths().at(pullAt()) - webbing.depthMm()) : 0;
    }

    /** How far a firm tug at the belt path moves it with nobody in it, in mm (SEC-6). */
    public double movementMm() {
        return loaded ? loaded(false).movementMm() : movementAlone();
    }

    private double movementAlone() {
        if (!fastened()) {
            return NOTHING_HOLDS_MM;
        }
        if (!tight()) {
            return NOT_TIGHTENED_MM;
        }
        double gives = TUG_NEWTONS / (SLACK_STIFFNESS + STIFFNESS_PER_NEWTON * tensionNewtons());
        return slackMm() + gives + (locked() ? 0 : RUNS_OUT_MM);
    }

    /**
     * Pressed by a hand while the other pulls webbing in. What the foam gives while somebody pulls is taken up, so that
     * no pull ever loosens.
     */
    public Hold pulled(Press press) {
        Stages stages = cushion.stages(List.of(press), foam);
        if (!fastened()) {
            return with(stages.foam(), webbing);
        }
        double kept = webbing.depthMm() + stages.foam().at(pullAt()) - foam.at(pullAt());
        double depth = tight() ? Math.max(kept, stages.lockDepthMm()) : stages.lockDepthMm();
        return with(stages.foam(), webbing.pulledTo(depth));
    }

    /** Pressed or rocked without pulling: the foam gives, the webbing does not follow. */
    public Hold pressed(Press press) {
        return with(cushion.stages(List.of(press), foam).foam(), webbing);
    }

    private Hold with(Depths kept, Webbing other) {
        return new Hold(cushion, geometry, lifts, step, rollMm, kept, other, loaded);
    }

    /** Webbing let out. */
    public Hold loosened() {
        return with(foam, webbing.letOut());
    }

    /** Fastened or not; what is unfastened is no longer tight. */
    public Hold fastened(boolean now) {
        return with(foam, webbing.fastened(now));
    }

    public Hold locked(boolean now) {
        return with(foam, webbing.locked(now));
    }

    public Hold loaded(boolean now) {
        return new Hold(cushion, geometry, lifts, step, rollMm, foam, webbing, now);
    }

    public boolean tight() {
        return webbing.tight();
    }

    public boolean fastened() {
        return webbing.fastened();
    }

    public boolean locked() {
        return webbing.locked();
    }

    /** The device at another setting; with the webbing tight it pulls the base down by as much as it lifts it there. */
    public Hold at(int setting) {
        double change = lifts.get(setting).millimetres() - lifts.get(step).millimetres();
        return new Hold(cushion, geometry, lifts, setting, rollMm, foam, lifted(change), loaded);
    }

    /** A roll that lifts the foot end by so much; negative under the head end. */
    public Hold rolled(double millimetres) {
        return new Hold(cushion, geometry, lifts, step, millimetres, foam, lifted(millimetres - rollMm), loaded);
    }

    private Webbing lifted(double byMm) {
        return webbing.deeperBy(byMm * (1 - pullAt()));
    }

    /** Tightened no better than so: the webbing let out until it is slack by so many mm. */
    public Hold slackBy(double millimetres) {
        double rests = cushion.resting(foam, load()).depths().at(pullAt());
        return with(foam, webbing.pulledTo(rests - millimetres));
    }
}
