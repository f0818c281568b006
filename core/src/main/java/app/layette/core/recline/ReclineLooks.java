package app.layette.core.recline;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Acted;
import app.layette.core.entry.Fact.AngleRead;
import app.layette.core.entry.Fact.AngleSource;
import app.layette.core.entry.Fact.DeviceSet;
import app.layette.core.entry.Fact.LevelRead;
import app.layette.core.entry.Fact.Placed;
import app.layette.core.entry.Fact.RollPlaced;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.measure.Angle;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.learn.Expectation;
import app.layette.core.recline.learn.Learned;
import app.layette.core.recline.learn.Look;
import app.layette.core.seat.Recline;
import app.layette.core.vehicle.PositionId;
import java.util.Optional;

/**
 * Reads every look at the recline out of a fitting's entries, each with the setting, the roll and the ground as they were
 * when it was taken, and learns from them. A change of place or method begins anew: another cushion.
 */
final class ReclineLooks {
    /** 1 sd of a reading by gauge; by level and sensor it is 1°. */
    private static final Angle GAUGE_SPREAD = Angle.ofDegrees(0.5);

    private final Situation situation;
    private final ReclineSetUp setUp;
    private final Optional<IndicatorZones> zones;
    private final Angle ground;
    private final boolean hasSettings;
    private Optional<PositionId> place = Optional.empty();
    private Optional<Recline.Step> step = Optional.empty();
    private Optional<RollPlaced> roll = Optional.empty();
    private Depths foam = Depths.NONE;
    private Learned learned;

    private ReclineLooks(Situation situation, ReclineSetUp setUp, Optional<IndicatorZones> zones) {
        this.situation = situation;
        this.setUp = setUp;
        this.zones = zones;
        this.ground = GroundLevel.pitch(situation);
        this.learned = Learned.nothing(setUp.prior());
        this.hasSettings = !ReclineSetUp.settings(situation).isEmpty();
        this.step = hasSettings ? Optional.empty() : Optional.of(new Recline.Step("", null, null));
    }

    static Learned in(Situation situation, ReclineSetUp setUp, Optional<IndicatorZones> zones) {
        ReclineLooks reader = new ReclineLooks(situation, setUp, zones);
        for (Stamped<Fact> entry : situation.history(Fact.class)) {
            reader.read(entry.value());
        }
        return reader.learned;
    }

    private void moveTo(PositionId position) {
        if (place.filter(before -> !before.equals(position)).isPresent()) {
            learned = Learned.nothing(setUp.prior());
            foam = Depths.NONE;
        }
        place = Optional.of(position);
    }

    private void read(Fact fact) {
        if (fact instanceof Placed placed) {
            moveTo(placed.position());
        } else if (fact instanceof DeviceSet set && hasSettings) {
            step = ReclineSetUp.settings(situation).stream()
                    .filter(each -> each.name().equals(set.step()))
                    .findFirst();
        } else if (fact instanceof RollPlaced placed) {
            roll = Optional.of(placed);
        } else if (fact instanceof Acted acted) {
            boolean pressed = acted.act() == Act.TIGHTENED || acted.act() == Act.PRESSED_OR_ROCKED;
            foam = pressed && !setUp.isRigid() ? setUp.model().foam() : foam;
        } else if (fact instanceof AngleRead read) {
            number(read);
        } else if (fact instanceof LevelRead read) {
            zone(read);
        }
    }

    private void number(AngleRead read) {
        Angle spread = read.source() == AngleSource.GAUGE ? GAUGE_SPREAD : Look.OfNumber.USUAL_SPREAD;
        expect(read.stage(), false)
                .ifPresent(expected -> learned = learned.and(new Look.OfNumber(expected, read.angle(), spread)));
        remember(read.stage());
    }

    private void zone(LevelRead read) {
        if (zones.isPresent()) {
            expect(read.stage(), true)
                    .ifPresent(expected -> learned =
                            learned.and(new Look.OfZone(expected, zones.get().zone(read.reading()))));
        }
        remember(read.stage());
    }

    private Optional<Expectation> expect(Stage stage, boolean byIndicator) {
        return step.flatMap(each ->
                setUp.expect(each, roll, stage, byIndicator, ground, stage == Stage.LOOSE ? foam : Depths.NONE));
    }

    /** Foam keeps a press. */
    private void remember(Stage stage) {
        foam = stage == Stage.LOOSE || setUp.isRigid() ? foam : setUp.model().foam();
    }
}
