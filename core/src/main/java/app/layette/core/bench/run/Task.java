package app.layette.core.bench.run;

import app.layette.core.bench.fault.Staging;
import app.layette.core.bench.lesson.Caregiver;
import app.layette.core.bench.scene.BenchPractice;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.scene.Shelf;
import app.layette.core.bench.state.Hold;
import app.layette.core.bench.state.Straps;
import app.layette.core.bench.state.Truth;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * What is to be practised: a kind and a number. The same two are the same run for everybody.
 *
 * @param number 1 to {@link #MOST}; how hard it is follows from it
 */
public record Task(Kind kind, long number) {
    /** The largest number. */
    public static final long MOST = 999_999;

    /** Everybody's runs are of one day, so that a number stays the same run. */
    private static final LocalDate DAY = LocalDate.of(2026, 3, 10);

    private static final int LEVELS = 6;
    private static final long KINDS_APART = 1_000_003;
    /** Rarely perfect hands go in circles; the next scene then takes its place. */
    private static final int TRIES = 20;

    private static final long NEXT_SCENE = 15_485_863;

    private static final List<Method> FIRST = List.of(Method.BASE_FLEXIBLE_ANCHORS, Method.BASE_BELT);
    private static final List<Method> THEN = List.of(
            Method.BASE_FLEXIBLE_ANCHORS,
            Method.BASE_BELT,
            Method.BASE_RIGID_LEG,
            Method.CONVERTIBLE_BELT,
            Method.BASELESS_EUROPEAN);

    /** Kinds of dry run. */
    public enum Kind {
        /** A family, a restraint, a car: fit it. */
        FIT,
        /** Something is wrong with it: find it and put it right. */
        FIND,
        /** Which restraint, which place. */
        CHOOSE,
        /** A caregiver does it and slips. */
        TEACH
    }

    public Task {
        if (number < 1 || number > MOST) {
            throw new IllegalArgumentException("A number of a run (" + number + ") must lie in 1 to " + MOST);
        }
    }

    /** How hard it is, 1 to 6: so many faults, and the rarer methods. */
    public int level() {
        return 1 + (int) (number % LEVELS);
    }

    /** A number of this level at or after another. */
    public static long ofLevel(long from, int level) {
        long number = Math.max(1, Math.min(MOST - LEVELS, from));
        while (1 + number % LEVELS != level) {
            number++;
        }
        return number;
    }

    private Method method(Random random) {
        List<Method> among = level() <= 2 ? FIRST : level() <= 4 ? THEN : List.of(Method.values());
        return among.get(random.nextInt(among.size()));
    }

    /**
     * How a run begins.
     *
     * @param caregiver who does it while somebody watches; empty in the other kinds
     */
    public record Start(Scene scene, Optional<Caregiver> caregiver) {
        /** A run from there; nothing is done yet. */
        public DryRun run() {
            return new DryRun(scene, BenchPractice.usual(), caregiver);
        }
    }

    /** The run as it begins; nothing is done yet. */
    public DryRun begin() {
        return start().run();
    }

    /** What the run begins with. That of a choice is its shelf. */
    public Start start() {
        Random random = new Random(number * KINDS_APART + kind.ordinal());
        Method method = method(random);
        if (kind == Kind.FIT) {
            return new Start(Scene.of(number, method, DAY), Optional.empty());
        }
        Scene done = done(method);
        if (kind == Kind.TEACH) {
            Scene watched = done.beginning(taughtFrom(done));
            return new Start(watched, Optional.of(Caregiver.slipping(watched, 1 + level() / 2, random)));
        }
        return new Start(done.beginning(spoiled(done, random)), Optional.empty());
    }

    /** A scene as the planner's own run leaves it. */
    private Scene done(Method method) {
        for (int i = 0; i < TRIES; i++) {
            Scene scene = Scene.of(number + i * NEXT_SCENE, method, DAY);
            DryRun run = new DryRun(scene, BenchPractice.usual());
            if (PlannersHands.finish(run) && new Staging(scene).there(run.now()).isEmpty()) {
                return scene.beginning(run.now());
            }
        }
        throw new IllegalStateException("No scene of " + this + " can be finished");
    }

    private Truth spoiled(Scene done, Random random) {
        Staging staging = new Staging(done);
        Truth truth = done.truth();
        for (Misuse misuse : staging.draw(level(), random)) {
            truth = staging.stage(truth, misuse);
        }
        return truth;
    }

    /** Before the child is in: straps open, carrier off, webbing let out. */
    private static Truth taughtFrom(Scene done) {
        Hold open = done.truth().hold().loaded(false);
        Truth truth = done.truth().with(open).with(Straps.OPEN);
        return done.has(Question.CLICK) ? truth.with(Question.CLICK, Scene.NOT_YET) : truth;
    }

    /** The restraints to choose from. */
    public Shelf shelf() {
        return Shelf.of(number, DAY);
    }

    /** The misuses that a run of this number draws from; quicker than {@link #staged}, and no promise. */
    public List<Misuse> mayStage() {
        Random random = new Random(number * KINDS_APART + kind.ordinal());
        Scene scene = Scene.of(number, method(random), DAY);
        return new Staging(scene).draw(level(), random);
    }

    /** The misuses that were staged; for who takes it apart afterwards. */
    public List<Misuse> staged() {
        DryRun run = begin();
        return kind == Kind.FIND ? new Staging(run.scene()).there(run.now()) : List.of();
    }
}
