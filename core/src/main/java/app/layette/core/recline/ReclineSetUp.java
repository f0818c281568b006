package app.layette.core.recline;

import app.layette.core.condition.BaseFitsCarrier;
import app.layette.core.entry.Fact.CushionMeasured;
import app.layette.core.entry.Fact.DeviceSet;
import app.layette.core.entry.Fact.RollPlaced;
import app.layette.core.entry.Fact.Softness;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.PlaceNow;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Force;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.recline.cushion.Cushion;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.cushion.Load;
import app.layette.core.recline.cushion.Press;
import app.layette.core.recline.cushion.Tightening;
import app.layette.core.recline.learn.Belief;
import app.layette.core.recline.learn.Expectation;
import app.layette.core.recline.learn.ReclineModel;
import app.layette.core.recline.learn.Setting;
import app.layette.core.recline.rigid.RigidArms;
import app.layette.core.recline.roll.Noodle;
import app.layette.core.recline.roll.Roll;
import app.layette.core.recline.roll.Towel;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Firmness;
import java.util.List;
import java.util.Optional;

/**
 * One seat at one place, as far as its sheets, the tape and the level tell: what the recline is computed from.
 *
 * <p>Where nobody looked, the usual values of the handbook, section 6, stand in for a number that only advises: medium
 * cushion, pull at 0.4, weights of 40 and 112 N at 0.5. They never decide a check.
 */
public final class ReclineSetUp {
    private static final Force USUAL_BASE = Force.ofNewtons(40);
    private static final Force USUAL_LOADED = Force.ofNewtons(112);
    private static final double USUAL_LOAD_POINT = 0.5;
    /** Variance of a base on rigid arms that no measure takes away: play of arms and leg, (0.3°)². */
    private static final double RIGID_NOISE = 0.09;

    private final PlaceNow situation;
    private final Recline recline;
    private final Angle theta0;
    private final Angle slope;
    private final Length contact;
    private final ReclineModel model;
    private final Optional<Recline.Arms> arms;

    private ReclineSetUp(
            PlaceNow situation, Recline recline, Angle theta0, Angle slope, Length contact, double pressAt) {
        this.situation = situation;
        this.recline = recline;
        this.theta0 = theta0;
        this.slope = slope;
        this.contact = contact;
        this.arms = recline.arms().value();
        this.model = new ReclineModel(contact, tightening(), Press.USUAL.movedTo(pressAt));
    }

    /** Reads the situation; empty when the sheet lacks θ0 or L, or nobody knows the cushion's slope. */
    public static Optional<ReclineSetUp> of(PlaceNow situation) {
        return of(situation, cushionSlope(situation));
    }

    /** The same seat on a cushion of another slope. */
    public static Optional<ReclineSetUp> of(PlaceNow situation, Optional<Angle> slope) {
        Optional<Recline> recline = situation.seat().map(SeatSheet::recline);
        Optional<BaseFit> base =
                situation.usualMethod().isOnBase() ? BaseFitsCarrier.fitting(situation) : Optional.empty();
        Optional<Angle> theta0 = base.map(BaseFit::theta0)
                .or(() -> recline.flatMap(each -> each.theta0().value()));
        Optional<Length> contact = base.map(BaseFit::contact)
                .or(() -> recline.flatMap(each -> each.contact().value()));
        boolean rigid = recline.flatMap(each -> each.arms().value()).isPresent();
        Optional<Angle> needed = rigid ? Optional.of(slope.orElse(Angle.ZERO)) : slope;
        if (theta0.isEmpty()
                || contact.isEmpty()
                || needed.isEmpty()
                || rigid && anchorHeight(situation).isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new ReclineSetUp(
                situation, recline.get(), theta0.get(), needed.get(), contact.get(), Press.USUAL.at()));
    }

    /** The same, pressed elsewhere while it is tightened: 0 foot end, 1 head end. */
    ReclineSetUp pressedAt(double point) {
        return new ReclineSetUp(situation, recline, theta0, slope, contact, point);
    }

    /** γ: as measured here less the ground's slope, or from the vehicle sheet. */
    public static Optional<Angle> cushionSlope(PlaceNow situation) {
        return situation
                .newest(CushionMeasured.class)
                .filter(measured -> measured.seen() >= situation.placeSince())
                .map(measured -> measured.value().slope().minus(GroundLevel.pitchAt(situation, measured.seq())))
                .or(() ->
                        situation.position().map(SeatingPosition::cushionSlope).flatMap(Evidence::value));
    }

    private static Optional<Length> anchorHeight(PlaceNow situation) {
        return situation.position().map(SeatingPosition::anchorHeight).flatMap(Evidence::value);
    }

    /** The setting that the recline device stands at; empty when nobody set it or the sheet does not have it. */
    public static Optional<Recline.Step> stepNow(PlaceNow situation) {
        return situation
                .newest(DeviceSet.class)
                .flatMap(set -> settings(situation).stream()
                        .filter(step -> step.name().equals(set.value().step()))
                        .findFirst());
    }

    /** Every setting of the recline device, from the most upright on; empty when the sheet has none. */
    public static List<Recline.Step> settings(PlaceNow situation) {
        return situation
                .seat()
                .flatMap(seat -> seat.recline().device().value())
                .map(Recline.Device::settings)
                .orElse(List.of());
    }

    /** The roll as it was put in; empty for none. */
    public static Optional<Roll> roll(RollPlaced placed) {
        double squash = placed.softness() == Softness.SOFT ? Noodle.SOFT : Noodle.FIRM;
        return switch (placed.roll()) {
            case NONE -> Optional.empty();
            case TOWEL -> towel(placed);
            case NOODLE -> noodle(placed, squash, Noodle.Bundle.ONE);
            case NOODLE_TRIANGLE -> noodle(placed, squash, Noodle.Bundle.TRIANGLE);
        };
    }

    private static Optional<Roll> towel(RollPlaced placed) {
        Length thickness = placed.thickness();
        Integer layers = placed.layers();
        Length rolled = placed.rolled();
        return thickness == null || layers == null || rolled == null
                ? Optional.empty()
                : Optional.of(new Towel(thickness, layers, rolled));
    }

    private static Optional<Roll> noodle(RollPlaced placed, double squash, Noodle.Bundle bundle) {
        return Optional.ofNullable(placed.diameter()).map(diameter -> new Noodle(diameter, squash, bundle));
    }

    private Tightening tightening() {
        Optional<SeatSheet> seat = situation.seat();
        Optional<Mass> carrier = seat.flatMap(each -> each.shell().carrierMass().value());
        Optional<Mass> base = seat.flatMap(each -> each.shell().baseMass().value());
        boolean onePiece =
                seat.filter(each -> each.kind() == SeatKind.CONVERTIBLE).isPresent();
        // W1 is the base, or a shell of one piece; W2 is everything with the child in.
        Optional<Mass> empty = onePiece ? carrier : base;
        Optional<Mass> restraint = onePiece ? carrier : base.flatMap(each -> carrier.map(each::plus));
        Optional<Mass> child = situation.weight().map(weight -> weight.value());
        Force alone = empty.map(Force::weightOf).orElse(USUAL_BASE);
        Force loaded = restraint
                .flatMap(each -> child.map(each::plus))
                .map(Force::weightOf)
                .orElse(USUAL_LOADED);
        double loadPoint = recline.loadFraction().value().orElse(USUAL_LOAD_POINT);
        return Tightening.usual(
                cushion(),
                recline.beltPullFraction().value().orElse(Tightening.USUAL_PULL),
                new Load(alone, USUAL_LOAD_POINT),
                new Load(loaded, loadPoint));
    }

    private Cushion cushion() {
        Firmness firmness = situation
                .position()
                .map(SeatingPosition::firmness)
                .flatMap(Evidence::value)
                .orElse(Firmness.MEDIUM);
        return Cushion.even(
                switch (firmness) {
                    case SOFT -> 8;
                    case MEDIUM -> 15;
                    case FIRM -> 30;
                });
    }

    public Angle theta0() {
        return theta0;
    }

    public Length contact() {
        return contact;
    }

    public Angle slope() {
        return slope;
    }

    /** Whether rigid arms and a leg hold the base, so that no cushion decides its angle. */
    public boolean isRigid() {
        return arms.isPresent();
    }

    /** Whether nothing but a roll sets the angle. */
    public boolean isByRoll() {
        return !isRigid()
                && recline.device()
                        .value()
                        .map(device -> device.kind() == Recline.DeviceKind.NONE)
                        .orElse(false);
    }

    public Optional<Indicator> indicator() {
        return recline.indicator().value();
    }

    /** Whether the loaded base would tip: its weight acts beyond an end. */
    public boolean tips() {
        return model.tightening().loaded().tips();
    }

    public ReclineModel model() {
        return model;
    }

    /** What is believed before any look: a = θ0 − γ; rigid arms do not feel the cushion. */
    public Belief prior() {
        return Belief.prior(isRigid() ? theta0 : theta0.minus(slope));
    }

    /** ℓ of a setting with a roll, if there is one. */
    public Length lift(Recline.Step step, Optional<RollPlaced> placed) {
        Optional<Roll> roll = placed.flatMap(ReclineSetUp::roll);
        return roll.map(each -> Roll.withFoot(
                        each.equivalentLift(contact, Length.ZERO),
                        step.lift(),
                        Boolean.TRUE.equals(placed.get().underFoot())))
                .orElse(step.lift());
    }

    /**
     * What is expected to be read.
     *
     * @param seen whether by the seat's own indicator, which on a base does not see a slide
     * @param ground δ, nose-up positive
     * @param before what the foam keeps from earlier presses
     * @return empty when rigid arms cannot stand on a leg of that length
     */
    public Optional<Expectation> expect(
            Recline.Step step, Optional<RollPlaced> placed, Stage stage, boolean seen, Angle ground, Depths before) {
        boolean seesSlide = !seen
                || indicator()
                        .map(each -> each.mount() == Indicator.Mount.CARRIER)
                        .orElse(true);
        Angle slide = seesSlide ? step.slide() : Angle.ZERO;
        if (isRigid()) {
            return rise(step)
                    .map(rise -> new Expectation(0, 0, slide.minus(rise).minus(ground), RIGID_NOISE));
        }
        Length lift = lift(step, placed);
        Length rolled = placed.flatMap(ReclineSetUp::roll).map(Roll::height).orElse(isByRoll() ? lift : Length.ZERO);
        Setting setting = new Setting(lift, slide, rolled);
        return Optional.of(model.at(setting, stage, ground, before));
    }

    /** φ of a base on rigid arms with a leg. */
    public Optional<Angle> rise(Recline.Step step) {
        return arms.flatMap(each -> Optional.ofNullable(step.leg())
                .flatMap(leg -> new RigidArms(each.anchorAlong(), each.anchorUp(), each.legAlong(), each.legUp())
                        .rise(anchorHeight(situation).orElseThrow(), leg)));
    }
}
