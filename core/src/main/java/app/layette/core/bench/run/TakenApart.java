package app.layette.core.bench.run;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.act.Senses;
import app.layette.core.bench.fault.Staging;
import app.layette.core.bench.hands.Sensed;
import app.layette.core.bench.lesson.Caregiver.Turn;
import app.layette.core.entry.Area;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.core.finding.RuleCode;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.ConclusionState.State;
import app.layette.core.misuse.Misuses;
import app.layette.core.rule.Conclusion;
import app.layette.core.step.Phase;
import app.layette.core.trial.TrialAndError;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * A run taken apart against the planner's own: what was missed, what was spoiled afterwards, what was looked at again in
 * time, and what it cost.
 *
 * @param points what there is to say, what matters most first
 * @param goes how often it was tightened
 * @param looks at the indicator
 * @param plannersGoes the same of the planner's own run over the same scene; 0 where there is none to compare with
 * @param plannersLooks at the indicator
 * @param trialAndErrorCycles goes and looks of somebody who tries settings one after the other; 0 where no device sets it
 * @param seconds by phase
 */
public record TakenApart(
        List<Point> points,
        int goes,
        int looks,
        int plannersGoes,
        int plannersLooks,
        int trialAndErrorCycles,
        Map<Phase, Long> seconds) {
    /** What a point says. */
    public enum Sort {
        /** Wrong, and left in. */
        LEFT_IN,
        /** Never looked at. */
        MISSED,
        /** Looked at, and spoiled by something done later. */
        SPOILED,
        /** The caregiver was stopped where nothing was wrong. */
        FALSE_ALARM,
        /** Spoiled, and looked at again in time. */
        AGAIN_IN_TIME,
        /** Wrong, and put right. */
        PUT_RIGHT
    }

    /**
     * One thing to say.
     *
     * @param about name of a misuse or of a conclusion
     * @param isMisuse which of the two it names
     * @param rule whose page says more
     * @param moment of the run where to look, from 1; 0 for its beginning
     */
    public record Point(Sort sort, String about, boolean isMisuse, RuleCode rule, int moment) {
        static Point of(Sort sort, Misuse misuse, int moment) {
            return new Point(
                    sort, misuse.name(), true, Misuses.of(misuse).putRightBy().code(), moment);
        }

        static Point of(Sort sort, Conclusion conclusion, int moment) {
            return new Point(sort, conclusion.name(), false, conclusion.code(), moment);
        }

        public boolean isGood() {
            return sort == Sort.AGAIN_IN_TIME || sort == Sort.PUT_RIGHT;
        }

        /** The area of the rules that it is practised in: the part of its code before the number. */
        public String area() {
            return rule.name().substring(0, rule.name().indexOf('_'));
        }
    }

    public TakenApart {
        points = List.copyOf(points);
        seconds = Map.copyOf(seconds);
    }

    /**
     * Takes a run apart.
     *
     * @param at seconds since it began, of each doing
     */
    public static TakenApart of(Task task, DryRun run, List<Long> at) {
        List<Point> points = switch (task.kind()) {
            case FIT -> fitted(run);
            case FIND -> found(run);
            case TEACH -> taught(run);
            case CHOOSE -> List.of();
        };
        boolean compared = task.kind() == Task.Kind.FIT;
        List<DryRun.Moment> planners = compared ? plannersOwn(task) : List.of();
        return new TakenApart(
                points,
                goes(run.moments()),
                looks(run.moments()),
                goes(planners),
                looks(planners),
                compared && run.scene().hasDevice() ? trialAndError(run) : 0,
                seconds(run, at));
    }

    private static List<DryRun.Moment> plannersOwn(Task task) {
        DryRun run = task.begin();
        PlannersHands.finish(run);
        return run.moments();
    }

    private static int goes(List<DryRun.Moment> moments) {
        return (int) moments.stream()
                .filter(each -> each.doing().pull() > 0 || each.doing().hand() == Hand.WALK_ARMS_IN)
                .count();
    }

    private static int looks(List<DryRun.Moment> moments) {
        return (int) moments.stream()
                .filter(each -> each.doing().hand() == Hand.LEVEL)
                .count();
    }

    private static int trialAndError(DryRun run) {
        BenchCar car =
                new BenchCar(run.scene().trialCar(), new Random(run.scene().seed()));
        return new TrialAndError().search(car, run.scene().band()).cycles();
    }

    /** What the gate says of what was found out, and what is so. */
    private static List<Point> fitted(DryRun run) {
        List<Point> points = left(run);
        Map<Conclusion, Integer> spoiledAt = new LinkedHashMap<>();
        Map<Conclusion, State> last = new LinkedHashMap<>();
        for (int moment = 1; moment <= run.moments().size(); moment++) {
            if (run.moments().get(moment - 1).outcome().facts().isEmpty()) {
                continue;
            }
            for (ConclusionState each : run.planAfter(
                            run.moments().get(moment - 1).entries())
                    .gate()
                    .conclusions()) {
                boolean turned = each.state() == State.STALE && last.get(each.conclusion()) != State.STALE;
                if (turned) {
                    spoiledAt.put(each.conclusion(), moment);
                }
                last.put(each.conclusion(), each.state());
            }
        }
        List<Point> again = new ArrayList<>();
        for (ConclusionState each : run.plan().gate().conclusions()) {
            Conclusion conclusion = each.conclusion();
            if (each.passed()) {
                if (spoiledAt.containsKey(conclusion)) {
                    again.add(Point.of(Sort.AGAIN_IN_TIME, conclusion, spoiledAt.get(conclusion)));
                }
            } else if (each.state() == State.STALE) {
                points.add(Point.of(Sort.SPOILED, conclusion, spoiledAt.getOrDefault(conclusion, 0)));
            } else if (each.state() != State.FAILED || !isNamed(points, conclusion)) {
                points.add(Point.of(
                        each.state() == State.FAILED ? Sort.LEFT_IN : Sort.MISSED,
                        conclusion,
                        run.moments().size()));
            }
        }
        points.addAll(again);
        return points;
    }

    private static boolean isNamed(List<Point> points, Conclusion conclusion) {
        return points.stream()
                .anyMatch(point -> point.isMisuse()
                        && Misuses.of(Misuse.valueOf(point.about())).putRightBy() == conclusion);
    }

    private static List<Point> left(DryRun run) {
        List<Point> points = new ArrayList<>();
        for (Misuse misuse : new Staging(run.scene()).there(run.now())) {
            points.add(Point.of(Sort.LEFT_IN, misuse, run.moments().size()));
        }
        return points;
    }

    /**
     * What was wrong when it came is put right, or said to rule the restraint out, or left; what was not is newly wrong. To
     * rule a restraint out for nothing is a false alarm.
     */
    private static List<Point> found(DryRun run) {
        Map<Misuse, Integer> ruledOut = new EnumMap<>(Misuse.class);
        for (int moment = 1; moment <= run.moments().size(); moment++) {
            Doing doing = run.moments().get(moment - 1).doing();
            if (doing.hand() == Hand.RULE_OUT) {
                ruledOut.put(Misuse.valueOf(doing.what()), moment);
            }
        }
        Staging staging = new Staging(run.scene());
        List<Misuse> left = staging.there(run.now());
        List<Point> points = new ArrayList<>();
        for (Point point : left(run)) {
            Misuse misuse = Misuse.valueOf(point.about());
            points.add(ruledOut.containsKey(misuse) ? Point.of(Sort.PUT_RIGHT, misuse, ruledOut.get(misuse)) : point);
        }
        ruledOut.forEach((misuse, moment) -> {
            if (!left.contains(misuse)) {
                points.add(Point.of(Sort.FALSE_ALARM, misuse, moment));
            }
        });
        for (Misuse misuse : staging.there(run.scene().truth())) {
            if (!left.contains(misuse)) {
                points.add(Point.of(Sort.PUT_RIGHT, misuse, putRightAt(run, staging, misuse)));
            }
        }
        return points;
    }

    private static int putRightAt(DryRun run, Staging staging, Misuse misuse) {
        for (int moment = run.moments().size(); moment > 0; moment--) {
            if (staging.isThere(
                    moment > 1
                            ? run.moments().get(moment - 2).outcome().truth()
                            : run.scene().truth(),
                    misuse)) {
                return moment;
            }
        }
        return 0;
    }

    /** Slips seen and not seen, and stops where nothing was wrong. */
    private static List<Point> taught(DryRun run) {
        List<Point> points = new ArrayList<>();
        List<Point> good = new ArrayList<>();
        for (int moment = 1; moment <= run.moments().size(); moment++) {
            DryRun.Moment each = run.moments().get(moment - 1);
            if (each.doing().hand() == Hand.STOP) {
                Misuse misuse = Misuse.valueOf(each.doing().what());
                if (each.outcome().sensed().contains(new Sensed("STOP", "PUT_RIGHT"))) {
                    good.add(Point.of(Sort.PUT_RIGHT, misuse, moment));
                } else {
                    points.add(Point.of(Sort.FALSE_ALARM, misuse, moment));
                }
            }
        }
        for (Turn turn : run.turnsSoFar()) {
            turn.slip()
                    .filter(slip ->
                            good.stream().noneMatch(point -> point.about().equals(slip.name())))
                    .ifPresent(slip -> points.add(Point.of(Sort.LEFT_IN, slip, momentOf(run, turn))));
        }
        points.addAll(good);
        return points;
    }

    private static int momentOf(DryRun run, Turn turn) {
        int turns = 0;
        for (int moment = 1; moment <= run.moments().size(); moment++) {
            if (run.moments().get(moment - 1).doing().hand() == Hand.GO_ON
                    && run.turnsSoFar().indexOf(turn) == turns++) {
                return moment;
            }
        }
        return 0;
    }

    private static Map<Phase, Long> seconds(DryRun run, List<Long> at) {
        Map<Phase, Long> seconds = new EnumMap<>(Phase.class);
        long before = 0;
        for (int i = 0; i < run.moments().size() && i < at.size(); i++) {
            seconds.merge(phase(run.moments().get(i).doing()), Math.max(0, at.get(i) - before), Long::sum);
            before = at.get(i);
        }
        return seconds;
    }

    /** The part of the work that a doing belongs to. */
    static Phase phase(Doing doing) {
        return switch (doing.hand()) {
            case ASK_FAMILY, READ_LABEL, READ_MANUALS, LOOK_UP_RECALL, WEIGH, MEASURE, INSERT, THREAD, CROTCH ->
                Phase.SEAT_AND_CHILD;
            case PREPARE, MOVE_FRONT_SEAT -> Phase.CAR;
            case LATCH, LIFT_AT_HIPS, PULL_TAIL, LET_OUT, CARRIER_ON, CARRIER_OFF, HANDLE, PINCH, LIFT, LEVEL ->
                Phase.CHILD;
            case TEACH, CAUTION, GO_ON, STOP, RULE_OUT -> Phase.FAMILY;
            case LOOK -> of(Area.valueOf(doing.what()));
            case MAKE ->
                of(Senses.of(Question.valueOf(doing.what().split("=")[0])).area());
            case PUT_RIGHT -> of(Misuses.of(Misuse.valueOf(doing.what())).area());
            default -> Phase.BASE;
        };
    }

    private static Phase of(Area area) {
        return switch (area) {
            case LABEL -> Phase.SEAT_AND_CHILD;
            case CHILD, HARNESS, HANDLE -> Phase.CHILD;
            case PLACE -> Phase.CAR;
            default -> Phase.BASE;
        };
    }

    /** Whether nothing was left, missed, spoiled or stopped for nothing. */
    public boolean isClean() {
        return points.stream().allMatch(Point::isGood);
    }
}
