package app.layette.core.look;

import app.layette.core.entry.Change;
import app.layette.core.entry.Question;
import app.layette.core.entry.TeachItem;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.gate.Spoils;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Step;
import app.layette.core.step.Ask;
import app.layette.core.step.LookKey;
import app.layette.core.step.Phase;
import app.layette.core.step.StepKey;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What can be seen from one standing place with nothing touched between, drawn as it should be: whoever looks says what
 * is not so, and then that the rest is as drawn.
 *
 * @param key which look
 * @param marks two to six, in the order in which they are kept
 */
public record OneLook(LookKey key, List<Mark> marks) {
    /** More than this is not one look any more. */
    public static final int MOST_MARKS = 6;

    private static final int FEWEST_MARKS = 2;

    /** The result of a test and what must not be passed over are told one by one. */
    private static final Set<Ask.Kind> ONE_BY_ONE = Set.of(
            Ask.Kind.LEVEL,
            Ask.Kind.MOVEMENT,
            Ask.Kind.ORDER,
            Ask.Kind.SCREENING,
            Ask.Kind.WEIGHT,
            Ask.Kind.LENGTH,
            Ask.Kind.LABEL,
            Ask.Kind.PLACE,
            Ask.Kind.PAGE,
            Ask.Kind.END,
            Ask.Kind.COUNTERSIGN);

    public OneLook {
        marks = List.copyOf(marks);
    }

    static boolean isAskedByItself(Ask.Kind kind, String key) {
        return ONE_BY_ONE.contains(kind)
                || kind == Ask.Kind.QUESTION && Question.valueOf(key).asked().byItself();
    }

    /**
     * The look that is due at a step: what its next ask belongs to, and all that is seen with it; empty where the next ask
     * stands by itself.
     */
    public static Optional<OneLook> at(FittingPlan plan, StepKey at) {
        Optional<Step> step = plan.run().step(at);
        Drawn drawn = new Drawn(plan);
        Optional<Ask> next = step.flatMap(here -> here.asks().stream()
                .filter(ask -> !ask.answered() && !ask.optional() && !isToldOtherwise(ask, drawn))
                .findFirst());
        Optional<LookTable.Row> row = next.flatMap(LookTable::rowOf);
        if (row.isEmpty()) {
            return Optional.empty();
        }
        boolean recheck = plan.situation().isAsBefore() && at != StepKey.TEACH;
        LookKey key = isAgain(plan, step.get(), next.get())
                ? LookKey.AGAIN
                : recheck ? LookKey.RECHECK : keyAt(at, next.get(), row.get());
        if (mark(key, at, next.get(), drawn).isEmpty()) {
            return Optional.empty();
        }
        List<Mark> marks = switch (key) {
            case AGAIN -> again(plan, drawn);
            case RECHECK -> onwards(plan, at, drawn);
            default -> together(plan, key, at, drawn);
        };
        return marks.size() < FEWEST_MARKS ? Optional.empty() : Optional.of(new OneLook(key, marks));
    }

    private static boolean isToldOtherwise(Ask ask, Drawn drawn) {
        return LookTable.rowOf(ask)
                .flatMap(row -> drawn.of(row, ask))
                .filter(answer -> drawn.isToldOtherwise(ask, answer))
                .isPresent();
    }

    /**
     * The marks that somebody told as drawn, in the order in which they are kept.
     *
     * @param tokens of {@link Mark#token()}
     * @return empty where there is none or too many, or one of them is asked no more, is drawn otherwise by now or is of
     *     another look
     */
    public static Optional<List<Mark>> told(FittingPlan plan, LookKey key, Set<String> tokens) {
        Drawn drawn = new Drawn(plan);
        List<Placed> found = new ArrayList<>();
        boolean due = key != LookKey.RECHECK || plan.situation().isAsBefore();
        for (Step step : plan.run().steps()) {
            boolean here = due && (key != LookKey.AGAIN || step.state() == Step.State.REOPENED);
            for (Ask ask : step.asks()) {
                if (here && !ask.answered() && !ask.optional()) {
                    mark(key, step.key(), ask, drawn)
                            .filter(each -> tokens.contains(each.mark().token()))
                            .ifPresent(found::add);
                }
            }
        }
        boolean whole = found.size() == tokens.size() && !tokens.isEmpty() && tokens.size() <= MOST_MARKS;
        return whole ? Optional.of(firstOf(found)) : Optional.empty();
    }

    /** At the step of the teach-back all that is left of it is told together. */
    private static LookKey keyAt(StepKey at, Ask next, LookTable.Row first) {
        boolean taught = at == StepKey.TEACH && next.kind() == Ask.Kind.TEACH;
        return taught ? LookKey.FAMILY : first.look();
    }

    private static List<Mark> together(FittingPlan plan, LookKey key, StepKey at, Drawn drawn) {
        List<Placed> found = new ArrayList<>();
        boolean here = false;
        boolean reaches = true;
        for (Step step : plan.run().steps()) {
            here = here || step.key() == at;
            if (!here && step.state() != Step.State.REOPENED) {
                continue;
            }
            for (Ask ask : step.asks()) {
                boolean taught = ask.kind() == Ask.Kind.TEACH && at != StepKey.TEACH;
                if (taught && wouldReopen(plan, ask)) {
                    continue;
                }
                if (!ask.answered() && !ask.optional() && (reaches || taught)) {
                    mark(key, step.key(), ask, drawn).ifPresent(found::add);
                }
            }
            boolean still = step.state() == Step.State.DONE || LookKey.touchesNothing(step.key());
            boolean ofThis = found.stream().anyMatch(each -> each.mark().step() == step.key());
            reaches = reaches && (!here || still || ofThis || step.key() == at);
        }
        return firstOf(found);
    }

    /**
     * Whether an item of the teach-back would ask for looks once more that were taken already: then it is told at the end,
     * and not beside a look that has nothing to do with its act.
     */
    private static boolean wouldReopen(FittingPlan plan, Ask ask) {
        Optional<Change> change = TeachItem.valueOf(ask.key()).change();
        return change.isPresent()
                && plan.gate().conclusions().stream()
                        // What a turning base shows is looked at after harnessing in any case.
                        .filter(state -> !state.conclusion().equals(Conclusion.WINDOWS))
                        .filter(state -> state.passed() && state.since() > 0)
                        .anyMatch(state ->
                                Spoils.of(state.conclusion(), plan.situation()).contains(change.get()));
    }

    /**
     * On a re-check everything that is seen from one place, wherever in the run it stands: past tests that touch nothing,
     * and not past those that do.
     */
    private static List<Mark> onwards(FittingPlan plan, StepKey at, Drawn drawn) {
        List<Mark> marks = new ArrayList<>();
        boolean here = false;
        Phase phase = at.phase();
        for (Step step : plan.run().steps()) {
            here = here || step.key() == at;
            if (!here) {
                continue;
            }
            boolean otherPlace = isOtherPlace(phase, step.key().phase());
            if (otherPlace && marks.size() >= FEWEST_MARKS) {
                break;
            }
            phase = step.key().phase();
            boolean tested = false;
            for (Ask ask : step.asks()) {
                boolean due = !ask.answered() && !ask.optional() && ask.kind() != Ask.Kind.END;
                if (due && step.key() == StepKey.LEG_AND_WINDOWS && isShownAfterTurning(plan, ask)) {
                    continue;
                }
                Optional<Placed> mark = due && ask.kind() != Ask.Kind.TEACH
                        ? mark(LookKey.RECHECK, step.key(), ask, drawn)
                        : Optional.empty();
                mark.ifPresent(each -> marks.add(each.mark()));
                tested = tested || due && mark.isEmpty() && ask.kind() != Ask.Kind.TEACH;
            }
            if (tested && !LookKey.touchesNothing(step.key()) && step.key() != StepKey.HARNESS) {
                break;
            }
        }
        for (int most = Math.min(MOST_MARKS, marks.size()); most > 0; most--) {
            List<Mark> looked = marks.subList(0, most);
            List<Mark> all = new ArrayList<>(taughtWith(plan, looked, drawn));
            all.addAll(looked);
            if (all.size() <= MOST_MARKS) {
                return List.copyOf(all);
            }
        }
        return List.copyOf(marks.subList(0, Math.min(MOST_MARKS, marks.size())));
    }

    /** The table is one place to stand, and the open door the other: on a re-check the child sits in the car. */
    private static boolean isOtherPlace(Phase from, Phase to) {
        return from == Phase.SEAT_AND_CHILD && to != Phase.SEAT_AND_CHILD;
    }

    /** What a turning base shows is looked at once, when it is turned back. */
    private static boolean isShownAfterTurning(FittingPlan plan, Ask ask) {
        return ask.question().equals(Question.WINDOWS.name())
                && plan.run().step(StepKey.TURN_BACK).stream()
                        .flatMap(step -> step.asks().stream())
                        .anyMatch(each -> !each.answered() && !each.optional());
    }

    /** What the caregiver does with the acts that are looked at comes before what is looked at. */
    private static List<Mark> taughtWith(FittingPlan plan, List<Mark> marks, Drawn drawn) {
        List<LookKey> looks = marks.stream()
                .flatMap(mark -> LookTable.rowOf(mark.ask()).stream())
                .map(LookTable.Row::look)
                .distinct()
                .toList();
        return plan.run().step(StepKey.TEACH).stream()
                .flatMap(step -> step.asks().stream())
                .filter(ask -> ask.kind() == Ask.Kind.TEACH && !ask.answered() && !ask.optional())
                .filter(ask -> !wouldReopen(plan, ask) && !isToldWithItsTest(plan, ask))
                .filter(ask -> LookTable.rowOf(ask)
                        .filter(row -> looks.contains(row.look()))
                        .isPresent())
                .flatMap(ask -> mark(LookKey.RECHECK, StepKey.TEACH, ask, drawn).stream())
                .map(Placed::mark)
                .filter(mark -> marks.stream().noneMatch(each -> each.token().equals(mark.token())))
                .toList();
    }

    /** What the caregiver tests by their own hand is told with the test's result. */
    private static boolean isToldWithItsTest(FittingPlan plan, Ask ask) {
        StepKey test = switch (TeachItem.valueOf(ask.key())) {
            case READ_LEVEL -> StepKey.LEVEL_CHILD;
            case INCH_TEST -> StepKey.INCH;
            default -> null;
        };
        return plan.run().steps().stream()
                .filter(step -> step.key() == test)
                .anyMatch(step -> step.state() != Step.State.DONE);
    }

    /** After the last item of the teach-back: all that its acts re-opened, wherever it stands in the run. */
    private static List<Mark> again(FittingPlan plan, Drawn drawn) {
        List<Placed> found = new ArrayList<>();
        for (Step step : plan.run().steps()) {
            if (step.state() != Step.State.REOPENED) {
                continue;
            }
            for (Ask ask : step.asks()) {
                if (!ask.answered() && !ask.optional() && ask.kind() != Ask.Kind.TEACH) {
                    mark(LookKey.AGAIN, step.key(), ask, drawn).ifPresent(found::add);
                }
            }
        }
        return firstOf(found);
    }

    private static boolean isAgain(FittingPlan plan, Step step, Ask next) {
        boolean taught = plan.gate()
                .state(Conclusion.TEACH_BACK)
                .filter(state -> state.passed())
                .isPresent();
        return taught && step.state() == Step.State.REOPENED && next.kind() != Ask.Kind.TEACH;
    }

    /** A mark with the place of its row. */
    private record Placed(int row, Mark mark) {}

    private static Optional<Placed> mark(LookKey key, StepKey step, Ask ask, Drawn drawn) {
        boolean any = key == LookKey.AGAIN || key == LookKey.RECHECK;
        Optional<LookTable.Row> row = any ? LookTable.rowOf(ask) : LookTable.rowOf(key, ask);
        return row.flatMap(each -> drawn.of(each, ask)
                .filter(answer -> !drawn.isToldOtherwise(ask, answer))
                .map(answer ->
                        new Placed(each.place(), new Mark(step, ask, answer.drawn(), answer.fact(), each.how()))));
    }

    private static List<Mark> firstOf(List<Placed> found) {
        return found.stream()
                .sorted(Comparator.comparingInt(Placed::row))
                .limit(MOST_MARKS)
                .map(Placed::mark)
                .toList();
    }
}
