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
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Stamped;
import app.layette.core.measure.Angle;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.learn.Expectation;
import app.layette.core.recline.learn.Learned;
import app.layette.core.recline.learn.Look;
import app.layette.core.recline.learn.RuledOut;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.Recline;
import app.layette.core.vehicle.PositionId;
import java.util.List;
import java.util.Optional;

/**
 * Reads every look at the recline out of a fitting's entries, each with the setting, the roll and the ground as they were
 * when it was taken, and learns from them. A change of place or method begins anew: another cushion.
 */
final class ReclineLooks {
    /** 1 sd of a reading by gauge; by level and sensor it is 1°. */
    private static final Angle GAUGE_SPREAD = Angle.ofDegrees(0.5);

    private final PlaceNow situation;
    private final ReclineSetUp setUp;
    private final Optional<IndicatorZones> zones;
    private final List<Recline.Step> settings;
    private Optional<PositionId> place = Optional.empty();
    private Optional<Recline.Step> step = Optional.empty();
    private Optional<RollPlaced> roll = Optional.empty();
    private Depths foam = Depths.NONE;
    private Learned learned;
    private RuledOut ruledOut = RuledOut.NOTHING;
    private Optional<Fact> lastLook = Optional.empty();
    private Optional<Reading> lastWithChild = Optional.empty();

    /**
     * What all looks came to.
     *
     * @param learned about this very cushion
     * @param ruledOut settings that a look with the child in has ruled out
     * @param passedNow whether the last look with the child in passed, at the setting that it still stands at
     */
    record Seen(Learned learned, RuledOut ruledOut, boolean passedNow) {}

    private ReclineLooks(PlaceNow situation, ReclineSetUp setUp, Optional<IndicatorZones> zones) {
        this.situation = situation;
        this.setUp = setUp;
        this.zones = zones;
        this.learned = Learned.nothing(setUp.prior());
        this.settings = ReclineSetUp.settings(situation);
        this.step = settings.isEmpty() ? Optional.of(Recline.Step.PLAIN) : Optional.empty();
    }

    static Seen in(PlaceNow situation, ReclineSetUp setUp, Optional<IndicatorZones> zones) {
        ReclineLooks reader = new ReclineLooks(situation, setUp, zones);
        for (Stamped<Fact> entry : situation.history(Fact.class)) {
            reader.read(entry);
        }
        return new Seen(reader.learned, reader.ruledOut, reader.passedNow());
    }

    private boolean passedNow() {
        return lastWithChild
                .flatMap(reading -> setUp.indicator().map(indicator -> indicator.passes(reading)))
                .orElse(false);
    }

    /** Another cushion: everything begins anew. */
    private void beginAnew() {
        learned = Learned.nothing(setUp.prior());
        foam = Depths.NONE;
        forgetRuledOut();
    }

    private void forgetRuledOut() {
        ruledOut = RuledOut.NOTHING;
        lastWithChild = Optional.empty();
    }

    private void moveTo(Placed placed) {
        if (place.filter(before -> !before.equals(placed.position())).isPresent()) {
            beginAnew();
        } else {
            forgetRuledOut();
        }
        place = Optional.of(placed.position());
    }

    private void read(Stamped<Fact> entry) {
        Fact fact = entry.value();
        boolean look = fact instanceof AngleRead || fact instanceof LevelRead;
        // The same once more with nothing done between is one look, unless it was asked for again.
        boolean repeated = look
                && lastLook.filter(fact::equals).isPresent()
                && learned.lookAgain().isEmpty();
        if (repeated) {
            return;
        }
        lastLook = look ? Optional.of(fact) : isAnAct(fact) ? Optional.empty() : lastLook;
        if (fact instanceof Placed placed) {
            moveTo(placed);
        } else if (fact instanceof DeviceSet set && !settings.isEmpty()) {
            step = settings.stream()
                    .filter(each -> each.name().equals(set.step()))
                    .findFirst();
            lastWithChild = Optional.empty();
        } else if (fact instanceof RollPlaced placed) {
            roll = Optional.of(placed);
            forgetRuledOut();
        } else if (fact instanceof Acted acted) {
            acted(acted.act());
        } else if (fact instanceof AngleRead read) {
            number(read, entry.seq());
        } else if (fact instanceof LevelRead read) {
            zone(read, entry.seq());
        }
    }

    /** What can have changed the angle between two looks. */
    private static boolean isAnAct(Fact fact) {
        return fact instanceof Placed
                || fact instanceof DeviceSet
                || fact instanceof RollPlaced
                || fact instanceof Acted
                || fact instanceof Fact.Weighed
                || fact instanceof Fact.GroundMeasured
                || fact instanceof Fact.SillsRead;
    }

    private void acted(Act act) {
        boolean pressed = act == Act.TIGHTENED || act == Act.PRESSED_OR_ROCKED;
        foam = pressed && !setUp.isRigid() ? setUp.model().foam() : foam;
        if (act == Act.BELT_TOUCHED || act == Act.ANCHOR_TOUCHED) {
            forgetRuledOut();
        }
    }

    private void number(AngleRead read, int seq) {
        Angle spread = read.source() == AngleSource.GAUGE ? GAUGE_SPREAD : Look.OfNumber.USUAL_SPREAD;
        expect(read.stage(), false, seq)
                .ifPresent(expected -> learned = learned.and(new Look.OfNumber(expected, read.angle(), spread)));
        remember(read.stage());
    }

    private void zone(LevelRead read, int seq) {
        if (zones.isPresent()) {
            expect(read.stage(), true, seq)
                    .ifPresent(expected -> learned =
                            learned.and(new Look.OfZone(expected, zones.get().zone(read.reading()))));
        }
        if (read.stage() == Stage.CHILD) {
            withChild(read.reading(), seq);
        }
        remember(read.stage());
    }

    /** On a slope the indicator rules nothing out. */
    private void withChild(Reading reading, int seq) {
        lastWithChild = Optional.of(reading);
        boolean level = GroundLevel.pitchAt(situation, seq).absolute().degrees() <= 1;
        boolean failed = setUp.indicator()
                .filter(indicator -> !indicator.passes(reading))
                .isPresent();
        int at = step.map(settings::indexOf).orElse(-1);
        if (level && failed && at >= 0) {
            ruledOut = reading.isUpright() ? ruledOut.tooUprightAt(at) : ruledOut.tooReclinedAt(at);
        }
    }

    private Optional<Expectation> expect(Stage stage, boolean byIndicator, int seq) {
        Angle ground = GroundLevel.pitchAt(situation, seq);
        return step.flatMap(each ->
                setUp.expect(each, roll, stage, byIndicator, ground, stage == Stage.LOOSE ? foam : Depths.NONE));
    }

    /** Foam keeps a press. */
    private void remember(Stage stage) {
        foam = stage == Stage.LOOSE || setUp.isRigid() ? foam : setUp.model().foam();
    }
}
