package app.layette.core.trial;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Force;
import app.layette.core.measure.Length;
import app.layette.core.recline.ReclineGeometry;
import app.layette.core.recline.cushion.Cushion;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.cushion.Load;
import app.layette.core.recline.cushion.Press;
import app.layette.core.recline.cushion.Tightening;
import app.layette.core.recline.cushion.Tightening.Stages;
import java.util.List;
import java.util.Random;

/**
 * A seat at a place in a car, with true values that nobody knows. Pressing and tightening give what is so; the foam keeps
 * its memory between them.
 */
public final class TrialCar implements SearchedCar {
    private static final double[] CLASSES = {8, 15, 15, 30};

    private final TrialSeat seat;
    private final Angle sheetSlope;
    private final double nominal;
    private final ReclineGeometry truth;
    private final Tightening tightening;
    private final Random random;
    private Depths foam = Depths.NONE;

    private TrialCar(TrialSeat seat, double spread, Random random) {
        this.seat = seat;
        this.random = random;
        double slope;
        do {
            slope = 12 + 4 * random.nextGaussian();
        } while (slope < 3 || slope > 22);
        this.sheetSlope = Angle.ofDegrees(slope);
        this.nominal = CLASSES[random.nextInt(CLASSES.length)];
        double off = spread * (1.5 * random.nextGaussian() + 1.5 * random.nextGaussian());
        double common = spread * 0.30 * random.nextGaussian();
        Cushion cushion = Cushion.of(
                nominal * Math.exp(common + spread * 0.20 * random.nextGaussian()),
                nominal * Math.exp(common + spread * 0.20 * random.nextGaussian()));
        double contact = seat.contact().millimetres() * (1 + 0.02 * random.nextGaussian());
        this.truth = new ReclineGeometry(
                seat.theta0().plus(Angle.ofDegrees(off)), sheetSlope, Length.ofMillimetres(contact));
        this.tightening = new Tightening(
                cushion,
                0.35 + 0.15 * random.nextDouble(),
                new Load(Force.ofNewtons(40), 0.5),
                new Load(Force.ofNewtons(112), 0.5 + 0.04 * random.nextGaussian()),
                0.3 + 0.4 * random.nextDouble(),
                0);
    }

    /**
     * A car in which some step of a random seat reaches the band.
     *
     * @param spread how much wider than assumed the true values scatter; 1 for as assumed
     */
    public static TrialCar random(TrialBand band, double spread, Random random) {
        while (true) {
            TrialCar car = new TrialCar(TrialSeat.random(random), spread, random);
            if (car.seat.lifts().stream().anyMatch(lift -> band.contains(car.usually(lift)))) {
                return car;
            }
        }
    }

    /** The recline with the child in after an ordinary press on fresh foam. */
    private Angle usually(Length lift) {
        return angle(lift, tightening.stages(Press.USUAL).child().depths());
    }

    /** Whether no more reclined step would usually be inside the band. */
    boolean isMostReclined(int step, TrialBand band) {
        return seat.lifts().stream().skip(step + 1L).noneMatch(lift -> band.contains(usually(lift)));
    }

    /** A lift that usually lands inside the band. */
    public Length usualLift(TrialBand band) {
        return seat.lifts().stream()
                .filter(lift -> band.contains(usually(lift)))
                .findFirst()
                .orElseThrow();
    }

    @Override
    public TrialSeat seat() {
        return seat;
    }

    @Override
    public Angle sheetSlope() {
        return sheetSlope;
    }

    @Override
    public Cushion nominalCushion() {
        return Cushion.even(nominal);
    }

    @Override
    public Angle press(Length lift) {
        Stages stages = tightening.stages(List.of(press()), foam);
        foam = stages.foam();
        return angle(lift, stages.pressed().depths());
    }

    @Override
    public Angle tighten(Length lift) {
        Stages stages = tightening.stages(List.of(press()), foam);
        foam = stages.foam();
        return angle(lift, stages.child().depths());
    }

    private Press press() {
        return aPress(random);
    }

    /** A press of a hand over the middle; no two are the same. */
    public static Press aPress(Random random) {
        double force = Math.max(80, 300 + 75 * random.nextGaussian());
        double at = Math.max(0, Math.min(1, 0.5 + 0.10 * random.nextGaussian()));
        return new Press(Force.ofNewtons(force), at, Force.ofNewtons(50));
    }

    /** Its true geometry, for whoever plays the car. */
    public ReclineGeometry truth() {
        return truth;
    }

    /** How its true cushion gives, for whoever plays the car. */
    public Tightening tightening() {
        return tightening;
    }

    /** N/mm of the cushion's class: 8 soft, 15 medium, 30 firm. */
    public double nominal() {
        return nominal;
    }

    private Angle angle(Length lift, Depths depths) {
        return truth.recline(lift, Angle.ZERO, Angle.ZERO, depths);
    }

    @Override
    public Angle number(Angle truth) {
        return Angle.ofDegrees(truth.degrees() + random.nextGaussian());
    }

    @Override
    public Angle seen(Angle truth) {
        return Angle.ofDegrees(truth.degrees() + 0.3 * random.nextGaussian());
    }
}
