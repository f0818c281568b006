package app.layette.core.placing;

import app.layette.core.belt.Reach;
import app.layette.core.cabin.FloorAndLeg;
import app.layette.core.cabin.GapToFrontSeat;
import app.layette.core.cabin.MethodOfKind;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.gate.Gate;
import app.layette.core.gate.Required;
import app.layette.core.gate.RuleBook;
import app.layette.core.practice.PracticeProfile.RoutingFirst;
import app.layette.core.recline.GapAhead;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rules;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * Asks the rules of the gate about every place and method, as if it had been chosen, and ranks what they answer (CAB-13).
 *
 * @param answers the best first
 */
public record CabinAnswers(List<PlaceAnswer> answers) {
    private static final Function<Situation, CabinAnswers> BY_SHIPPED_RULES =
            situation -> of(situation, RuleBook.shipped());

    public CabinAnswers {
        answers = List.copyOf(answers);
    }

    /** The answers for a fitting; none while neither seat nor car is known. */
    public static CabinAnswers of(Situation situation) {
        return situation.once(BY_SHIPPED_RULES);
    }

    static CabinAnswers of(Situation situation, RuleBook rules) {
        if (situation.seat().isEmpty() || situation.car().isEmpty()) {
            return new CabinAnswers(List.of());
        }
        List<PlaceAnswer> answers = new ArrayList<>();
        for (SeatingPosition position : situation.car().get().positions()) {
            for (Method method : methods(situation.seat().get())) {
                answers.add(answer(situation.asIfPlaced(position.id(), method), position, rules));
            }
        }
        answers.sort(rank(situation.practice().profile().routingFirst()));
        return new CabinAnswers(answers);
    }

    /**
     * What is allowed before what is not, the back before the front row, (a) what installs best, (b) the middle of the back,
     * (c) the kerb side; with its base before without; of the routings the profile's first.
     */
    private static Comparator<PlaceAnswer> rank(RoutingFirst routing) {
        boolean roundBehind = routing == RoutingFirst.EUROPEAN;
        return Comparator.<PlaceAnswer>comparingInt(each -> rank(each.answer()))
                .thenComparing(each -> each.place().isFrontRow())
                .thenComparingInt(PlaceAnswer::doubts)
                .thenComparing(each -> each.method().isBaseless())
                .thenComparing(
                        each -> each.method().isBaseless() && each.method().isRoundBehindShell() != roundBehind)
                .thenComparing(each -> !each.isMiddle())
                .thenComparing(each -> !each.isKerbSide())
                .thenComparing(PlaceAnswer::method)
                .thenComparing(each -> each.place().row())
                .thenComparing(each -> each.place().side());
    }

    private static int rank(Permission answer) {
        return switch (answer) {
            case ALLOWED -> 0;
            case NOT_KNOWN -> 1;
            case NOT_ALLOWED -> 2;
        };
    }

    /** The methods that this restraint is made for, as far as is known. */
    public static List<Method> methods(SeatSheet seat) {
        return MethodOfKind.methods(seat);
    }

    /** The answer about one place and method. */
    public Optional<PlaceAnswer> about(PositionId place, Method method) {
        return answers.stream()
                .filter(each -> each.place().equals(place) && each.method() == method)
                .findFirst();
    }

    /** Everything about one place, the best method first. */
    public List<PlaceAnswer> at(PositionId place) {
        return answers.stream().filter(each -> each.place().equals(place)).toList();
    }

    /** The place and method to offer first; empty when nothing is allowed. */
    public Optional<PlaceAnswer> first() {
        return answers.stream()
                .filter(each -> each.answer() == Permission.ALLOWED)
                .findFirst();
    }

    private static PlaceAnswer answer(Situation there, SeatingPosition position, RuleBook rules) {
        Method method = there.usualMethod();
        List<Finding> findings = new ArrayList<>();
        for (Conclusion conclusion : Required.by(method)) {
            if (Rules.card(conclusion).isSaidBeforehand()) {
                findings.addAll(found(there, conclusion, rules));
            }
        }
        if (Required.by(method).contains(Conclusion.FLOOR_AND_LEG)) {
            findings.add(FloorAndLeg.beforehand(there));
        }
        // OUT-4: where another seat of this fitting stands there is no place.
        found(there, Conclusion.WHOLE_FITTING, rules).stream()
                .filter(each -> each.weight() == Weight.STOP)
                .forEach(findings::add);
        armrest(position).ifPresent(findings::add);
        reach(there, position).ifPresent(findings::add);
        findings.sort(Comparator.comparing(Finding::weight));
        Optional<ReclineAdvice> advice = ReclineAdvice.of(there);
        Optional<GapAhead.Standing> standing =
                advice.flatMap(ReclineAdvice::toTry).flatMap(setting -> GapAhead.standing(there, setting));
        boolean enough = standing.flatMap(GapAhead.Standing::gap)
                .flatMap(each -> GapToFrontSeat.asked(there).map(asked -> !each.isLessThan(asked)))
                .orElse(true);
        return PlaceAnswerParts.builder()
                .place(position.id())
                .method(method)
                .answer(Finding.together(findings))
                .findings(findings)
                .likelihood(advice.filter(each -> each.band().isPresent()).map(CabinAnswers::best))
                .standing(standing)
                .gapEnough(enough)
                .reach(reach(there, method, position))
                .isMiddle(position.id().side() == Side.MIDDLE)
                .isKerbSide(isKerbSide(there, position))
                .build();
    }

    private static double best(ReclineAdvice advice) {
        return advice.settings().stream()
                .mapToDouble(ReclineAdvice.Setting::likelihood)
                .max()
                .orElse(0);
    }

    private static boolean isKerbSide(Situation there, SeatingPosition position) {
        return there.car()
                .map(VehicleSheet::kerbSide)
                .filter(side -> side == position.id().side())
                .isPresent();
    }

    private static Optional<Reach> reach(Situation there, Method method, SeatingPosition position) {
        if (!method.isBaseless()) {
            return Optional.empty();
        }
        Reach.Way way = method.isRoundBehindShell() ? Reach.Way.EUROPEAN_BUCKLE_LAST : Reach.Way.AMERICAN;
        return Reach.of(position.belt(), there.seat().orElseThrow().routing()).stream()
                .filter(each -> each.way() == way)
                .findFirst();
    }

    /** CAB-13 e: a place that the caregiver can hardly reach ranks lower; they have the last word. */
    private static Optional<Finding> reach(Situation there, SeatingPosition position) {
        Optional<CaregiverReach> answer =
                there.said(Question.REACH, CaregiverReach.class).map(Stamped::value);
        boolean middle = position.id().side() == Side.MIDDLE;
        boolean farDoor =
                answer.filter(reach -> reach == CaregiverReach.KERB_DOOR_ONLY).isPresent()
                        && !middle
                        && !isKerbSide(there, position);
        boolean tooFarIn =
                answer.filter(reach -> reach == CaregiverReach.NO_LEANING_IN).isPresent() && middle;
        return farDoor || tooFarIn
                ? Optional.of(Finding.of(Weight.ADVISE, "finding.CAB-13.hardToReach")
                        .changedBy("OTHER_PLACE")
                        .build())
                : Optional.empty();
    }

    /** CAB-9: a fold-down armrest behind a low restraint is put to the caregiver. */
    private static Optional<Finding> armrest(SeatingPosition position) {
        return position.armrest()
                .value()
                .filter(there -> there)
                .map(there -> Finding.of(Weight.ADVISE, "finding.CAB-9.armrestBehind")
                        .from(position.armrest())
                        .changedBy("OTHER_PLACE")
                        .build());
    }

    /** A rule that has nothing to judge yet makes a place not known, never allowed. */
    private static List<Finding> found(Situation there, Conclusion conclusion, RuleBook rules) {
        List<Finding> findings = Gate.judge(conclusion, rules, there).findings();
        if (!findings.isEmpty()) {
            return findings;
        }
        // What the rule asks by eye would tell, else the car's manual.
        String look = Rules.card(conclusion).asked().stream()
                .findFirst()
                .map(asked -> asked.question().name())
                .orElse("CAR_MANUAL");
        return List.of(Finding.of(Weight.NOT_KNOWN, "finding.CAB-13.notLookedYet")
                .changedBy(look)
                .build());
    }
}
