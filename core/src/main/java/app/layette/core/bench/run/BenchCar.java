package app.layette.core.bench.run;

import app.layette.core.bench.state.Hold;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.cushion.Cushion;
import app.layette.core.recline.cushion.Press;
import app.layette.core.trial.SearchedCar;
import app.layette.core.trial.TrialCar;
import app.layette.core.trial.TrialSeat;
import java.util.Random;

/**
 * A car of the recline comparison, played by the bench's own physics: whoever searches there for the setting has to need
 * as many goes and looks as the comparison says.
 */
public final class BenchCar implements SearchedCar {
    private final TrialCar of;
    private final Random random;
    private Hold hold;

    /** The bench with what is true of a car. */
    public BenchCar(TrialCar of, Random random) {
        this.of = of;
        this.random = random;
        this.hold =
                Hold.setDown(of.tightening(), of.truth(), of.seat().lifts(), 0).fastened(true);
    }

    @Override
    public TrialSeat seat() {
        return of.seat();
    }

    @Override
    public Angle sheetSlope() {
        return of.sheetSlope();
    }

    @Override
    public Cushion nominalCushion() {
        return of.nominalCushion();
    }

    /** Everything off, loosened, and the device at a setting. */
    private Hold afresh(Length lift) {
        return hold.loaded(false).loosened().at(of.seat().lifts().indexOf(lift));
    }

    @Override
    public Angle press(Length lift) {
        Press press = TrialCar.aPress(random);
        Hold set = afresh(lift);
        Angle seen = set.reclineWhile(press, Angle.ZERO);
        hold = set.pressed(press);
        return seen;
    }

    @Override
    public Angle tighten(Length lift) {
        hold = afresh(lift).pulled(TrialCar.aPress(random)).locked(true).loaded(true);
        return hold.recline(Angle.ZERO);
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
