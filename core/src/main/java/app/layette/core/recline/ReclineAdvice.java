package app.layette.core.recline;

import app.layette.core.child.Child;
import app.layette.core.entry.Fact.LevelRead;
import app.layette.core.entry.Fact.RollPlaced;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Complete;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.practice.PracticeProfile.NewbornTarget;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.recline.learn.Belief;
import app.layette.core.recline.learn.Expectation;
import app.layette.core.recline.learn.Learned;
import app.layette.core.recline.learn.Prediction;
import app.layette.core.recline.learn.SettingChoice;
import app.layette.core.recline.learn.Zone;
import app.layette.core.seat.Indicator.Band;
import app.layette.core.seat.Indicator.Borders;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.SettingId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * Which setting of the recline device to try, how likely it lands in the band with the child in, and where to press (REC-1,
 * REC-4, REC-5, REC-7). Advice on level ground: the indicator on the seat overrules it.
 *
 * @param settings every setting, from the most upright on
 * @param band the band aimed at; empty when nobody knows one in degrees
 * @param basis what the advice rests on
 * @param settingNow name of the setting it stands at; empty when nobody set it
 * @param byRoll whether there is no device and the settings are the lifts of a roll, in mm
 * @param recommended name of the setting to try; empty when none can be named
 * @param offered after a pass, the next more reclined setting where it is at least as likely as not: it gives the airway
 *     more room, and is never demanded
 * @param press where to press while tightening
 * @param looks how many looks it has learned from
 * @param lookAgain whether the last look contradicts everything known and should be repeated
 * @param outOfReach whether, after a look, no setting reaches the band
 * @param waysOut what would reach it, in the order in which it is worth trying
 * @param tips whether the loaded base would tip over an end
 */
@Complete
public record ReclineAdvice(
        List<Setting> settings,
        Optional<Borders> band,
        Basis basis,
        Optional<SettingId> settingNow,
        boolean byRoll,
        Optional<SettingId> recommended,
        Optional<SettingId> offered,
        Optional<PressPoint> press,
        int looks,
        boolean lookAgain,
        boolean outOfReach,
        List<WayOut> waysOut,
        boolean tips) {
    private static final Function<Situation, Optional<ReclineAdvice>> COMPUTED = ReclineAdvice::compute;

    private static final long MOST_ROLL_MM = 80;
    private static final long ROLL_STEP_MM = 10;
    /** Band that is advice only, for a seat without any indicator or band (REC-1). */
    private static final Borders ADVICE_ONLY = new Borders(Angle.ofDegrees(30), Angle.ofDegrees(45));

    public ReclineAdvice {
        settings = List.copyOf(settings);
        waysOut = List.copyOf(waysOut);
    }

    /** What the advice rests on. */
    public enum Basis {
        /** The sheet's band in degrees. */
        BAND,
        /** No band is known anywhere: 30° to 45° as advice, marked so. */
        ADVICE_BAND,
        /** The zones are only relative: step and look, without a likelihood. */
        STEP_AND_LOOK
    }

    /** Where to press while tightening (REC-7). */
    public enum PressPoint {
        /** Makes more upright. */
        FOOT_END(0.2),
        MIDDLE(0.5),
        /** Reclines more. */
        HEAD_END(0.8);

        private final double at;

        PressPoint(double at) {
            this.at = at;
        }

        /** p, from the foot end (0) to the head end (1). */
        public double at() {
            return at;
        }
    }

    /**
     * One setting of the device.
     *
     * @param name as printed on the seat
     * @param lift ℓ at the foot end, a roll included
     * @param slide σ
     * @param recline θ expected with the child in, on level ground
     * @param spread 1 sd of it
     * @param tight θ expected after tightening
     * @param likelihood that it lands in the band; 0 when no band is known
     * @param shows what the indicator should show with the child in; empty when the zones are not in degrees
     */
    public record Setting(
            SettingId name,
            Length lift,
            Angle slide,
            Angle recline,
            Angle spread,
            Angle tight,
            double likelihood,
            Optional<Reading> shows) {}

    /** Computes the advice; empty when the sheet lacks θ0 or L, or nobody knows the cushion's slope. */
    public static Optional<ReclineAdvice> of(Situation situation) {
        return situation.once(COMPUTED);
    }

    private static Optional<ReclineAdvice> compute(Situation situation) {
        boolean predicted =
                situation.usualMethod().isReclined() && !situation.usualMethod().isBaseless();
        return ReclineSetUp.of(situation)
                .filter(setUp -> predicted)
                .map(setUp -> new Adviser(situation, setUp).advise());
    }

    /** The band of the seat's indicator for the child's weight. */
    public static Optional<Band> band(Situation situation) {
        return situation
                .seat()
                .map(SeatSheet::recline)
                .map(Recline::indicator)
                .flatMap(Evidence::value)
                .flatMap(indicator ->
                        situation.weight().flatMap(weight -> indicator.bandFor(weight.value(), situation.ageDays())));
    }

    /** The zones of the seat's indicator for the child's weight; empty when they are not known in degrees. */
    public static Optional<IndicatorZones> zones(Situation situation) {
        return band(situation)
                .flatMap(Band::borders)
                .map(band -> new IndicatorZones(
                        situation
                                .seat()
                                .flatMap(seat -> seat.recline().indicator().value())
                                .orElseThrow(),
                        band));
    }

    /** Whether the child is to ride as reclined as the band allows. */
    public static boolean wantsMostReclined(Situation situation) {
        Optional<Child> child = situation.child().map(Stamped::value);
        boolean newborn = child.map(each -> each.correctedAgeDays(situation.today())
                        < situation.practice().profile().newbornDays())
                .orElse(true);
        return newborn && situation.practice().profile().newbornTarget() == NewbornTarget.MOST_RECLINED;
    }

    /** The setting with this name. */
    public Optional<Setting> setting(SettingId name) {
        return settings.stream().filter(each -> each.name().equals(name)).findFirst();
    }

    /** The setting it stands at. */
    public Optional<Setting> now() {
        return settingNow.flatMap(this::setting);
    }

    /** The setting to try. */
    public Optional<Setting> toTry() {
        return recommended.flatMap(this::setting);
    }

    private static final class Adviser {
        private final Situation situation;
        private final ReclineSetUp setUp;
        private final Optional<IndicatorZones> zones;
        private final Optional<RollPlaced> roll;
        private final Learned learned;
        private final ReclineLooks.Seen seen;
        private final Basis basis;
        private final Optional<Borders> band;
        private final List<Recline.Step> steps;

        Adviser(Situation situation, ReclineSetUp setUp) {
            this.situation = situation;
            this.setUp = setUp;
            this.zones = zones(situation);
            this.roll = situation.newest(RollPlaced.class).map(Stamped::value);
            this.seen = ReclineLooks.in(situation, setUp, zones);
            this.learned = seen.learned();
            this.basis = zones.isPresent()
                    ? Basis.BAND
                    : setUp.indicator().isPresent() ? Basis.STEP_AND_LOOK : Basis.ADVICE_BAND;
            this.band = switch (basis) {
                case BAND -> zones.map(IndicatorZones::band);
                case ADVICE_BAND -> Optional.of(ADVICE_ONLY);
                case STEP_AND_LOOK -> Optional.empty();
            };
            this.steps = setUp.isByRoll() ? rolls() : orPlain(ReclineSetUp.settings(situation));
        }

        private static List<Recline.Step> orPlain(List<Recline.Step> steps) {
            return steps.isEmpty() ? List.of(Recline.Step.PLAIN) : steps;
        }

        /** With no device a roll sets the angle: none, every centimetre, and the one that lies there now. */
        private List<Recline.Step> rolls() {
            TreeSet<Long> lifts = new TreeSet<>();
            for (long lift = 0; lift <= MOST_ROLL_MM; lift += ROLL_STEP_MM) {
                lifts.add(lift);
            }
            lifts.add(rollNow());
            return lifts.stream()
                    .map(lift -> new Recline.Step(
                            new SettingId(String.valueOf(lift)), Length.ofMillimetres(lift), Angle.ZERO))
                    .toList();
        }

        private long rollNow() {
            return Math.round(setUp.lift(Recline.Step.PLAIN, roll).millimetres());
        }

        private Optional<SettingId> nameNow() {
            return setUp.isByRoll()
                    ? Optional.of(new SettingId(String.valueOf(rollNow())))
                    : ReclineSetUp.stepNow(situation).map(Recline.Step::name);
        }

        ReclineAdvice advise() {
            List<Setting> settings = new ArrayList<>();
            for (Recline.Step step : steps) {
                setting(step).ifPresent(settings::add);
            }
            Optional<Setting> chosen = chosen(settings);
            // Until somebody has looked, the sheet's word on the cushion alone says that nothing can be reached.
            boolean outOfReach = basis != Basis.STEP_AND_LOOK
                    && learned.looks() > 0
                    && !seen.passedNow()
                    && (chosen.isEmpty()
                            || IntStream.range(0, settings.size())
                                    .filter(seen.ruledOut()::leaves)
                                    .allMatch(i -> settings.get(i).likelihood() < SettingChoice.OUT_OF_REACH));
            if (outOfReach) {
                chosen = Optional.empty();
            }
            return ReclineAdviceParts.builder()
                    .settings(List.copyOf(settings))
                    .band(band)
                    .basis(basis)
                    .settingNow(nameNow())
                    .byRoll(setUp.isByRoll())
                    .recommended(chosen.map(Setting::name))
                    .offered(offered(settings).map(Setting::name))
                    .press(setUp.isRigid() ? Optional.empty() : chosen.map(this::pressPoint))
                    .looks(learned.looks())
                    .lookAgain(learned.lookAgain().isPresent())
                    .outOfReach(outOfReach)
                    .waysOut(outOfReach ? new WaysOut(situation, setUp, learned, band.get()).find() : List.of())
                    .tips(setUp.tips())
                    .build();
        }

        private Optional<Setting> setting(Recline.Step step) {
            Optional<Expectation> child = expect(step, Stage.CHILD, false);
            Optional<Expectation> seen = expect(step, Stage.CHILD, true);
            Optional<Expectation> tight = expect(step, Stage.TIGHT, false);
            if (child.isEmpty()) {
                return Optional.empty();
            }
            Belief belief = learned.belief();
            Prediction expected = belief.predict(child.get());
            double likelihood =
                    zone().map(zone -> belief.likelihood(seen.get(), zone)).orElse(0.0);
            return Optional.of(new Setting(
                    step.name(),
                    setUp.lift(step, rollBesides()),
                    step.slide(),
                    expected.mean(),
                    expected.spread(),
                    belief.predict(tight.get()).mean(),
                    likelihood,
                    zones.map(each -> each.reading(belief.predict(seen.get()).mean()))));
        }

        private Optional<Expectation> expect(Recline.Step step, Stage stage, boolean seen) {
            return setUp.expect(step, rollBesides(), stage, seen, Angle.ZERO, Depths.NONE);
        }

        /** A roll that lies there besides the device; where the roll is the device each setting is one of its own. */
        private Optional<RollPlaced> rollBesides() {
            return setUp.isByRoll() ? Optional.empty() : roll;
        }

        private Optional<Zone> zone() {
            return band.map(each -> Zone.between(each.from(), each.to()));
        }

        /** A pass ends the search; else what the likelihoods or, without them, the last look says. */
        private Optional<Setting> chosen(List<Setting> settings) {
            Optional<Setting> passed = nameNow()
                    .filter(name -> seen.passedNow())
                    .flatMap(name -> settings.stream()
                            .filter(each -> each.name().equals(name))
                            .findFirst());
            if (passed.isPresent()) {
                return passed;
            }
            return basis == Basis.STEP_AND_LOOK ? stepAndLook(settings) : likeliest(settings);
        }

        private Optional<Setting> likeliest(List<Setting> settings) {
            List<Double> likelihoods =
                    settings.stream().map(Setting::likelihood).toList();
            OptionalInt choice = SettingChoice.of(likelihoods, seen.ruledOut(), wantsMostReclined(situation));
            return choice.isPresent() ? Optional.of(settings.get(choice.getAsInt())) : Optional.empty();
        }

        /** One more step after a pass, where it is at least as likely as not. */
        private Optional<Setting> offered(List<Setting> settings) {
            Optional<SettingId> now = nameNow().filter(name -> seen.passedNow());
            int here = settings.stream().map(Setting::name).toList().indexOf(now.orElse(null));
            int next = here + 1;
            boolean worth = here >= 0
                    && next < settings.size()
                    && seen.ruledOut().leaves(next)
                    && settings.get(next).likelihood() >= SettingChoice.WORTH_OFFERING
                    && wantsMostReclined(situation);
            return worth ? Optional.of(settings.get(next)) : Optional.empty();
        }

        /** Most reclined first; after a look one step the right way from where it stands. */
        private Optional<Setting> stepAndLook(List<Setting> settings) {
            Optional<SettingId> now = nameNow();
            Optional<Reading> last =
                    situation.newest(LevelRead.class).map(read -> read.value().reading());
            if (settings.isEmpty()) {
                return Optional.empty();
            }
            if (now.isEmpty() || last.isEmpty()) {
                return Optional.of(settings.get(settings.size() - 1));
            }
            int here = steps.stream().map(Recline.Step::name).toList().indexOf(now.get());
            int way =
                    setUp.indicator().get().passes(last.get()) ? 0 : last.get().isUpright() ? 1 : -1;
            int next = here + way;
            boolean left =
                    next >= 0 && next < settings.size() && seen.ruledOut().leaves(next);
            return left ? Optional.of(settings.get(next)) : Optional.empty();
        }

        /** Another press point is worth a word only when it helps by more than one in ten. */
        private PressPoint pressPoint(Setting chosen) {
            if (zone().isEmpty()) {
                return PressPoint.MIDDLE;
            }
            PressPoint best = PressPoint.MIDDLE;
            double most = likelihoodPressed(chosen, best) + 0.1;
            for (PressPoint point : new PressPoint[] {PressPoint.FOOT_END, PressPoint.HEAD_END}) {
                double likelihood = likelihoodPressed(chosen, point);
                if (likelihood > most) {
                    best = point;
                    most = likelihood;
                }
            }
            return best;
        }

        private double likelihoodPressed(Setting chosen, PressPoint point) {
            Recline.Step step = steps.stream()
                    .filter(each -> each.name().equals(chosen.name()))
                    .findFirst()
                    .orElseThrow();
            return setUp.pressedAt(point.at())
                    .expect(step, rollBesides(), Stage.CHILD, true, Angle.ZERO, Depths.NONE)
                    .map(expected -> learned.belief().likelihood(expected, zone().orElseThrow()))
                    .orElse(0.0);
        }
    }
}
