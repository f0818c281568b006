package app.layette.core.bench.run;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.hands.Hands;
import app.layette.core.bench.hands.Outcome;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Truth;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.practice.Practice;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * A run on the bench: what was done to a scene, in its order, and what came of it. Replaying the same doings gives the
 * same again.
 */
public final class DryRun {
    private static final FittingPlanner PLANNER = new FittingPlanner();
    private static final Author HAND = new Author("bench", Author.Role.TECHNICIAN);
    private static final LocalTime BEGINS = LocalTime.of(9, 0);

    private final Scene scene;
    private final Practice practice;
    private final Hands hands;
    private final List<Moment> moments = new ArrayList<>();
    private final List<Entry> entries = new ArrayList<>();

    /**
     * What was done, and what came of it.
     *
     * @param entries how many entries there were afterwards
     */
    public record Moment(Doing doing, Outcome outcome, int entries) {}

    public DryRun(Scene scene, Practice practice) {
        this.scene = scene;
        this.practice = practice;
        this.hands = new Hands(scene);
        write(new Fact.SheetAdopted(scene.seat().sheet().id(), 1, Fact.Adoption.ADOPTED, null));
        write(new Fact.SheetAdopted(scene.car().sheet().id(), 1, Fact.Adoption.ADOPTED, null));
        write(new Fact.Placed("u1", scene.place(), scene.method()));
    }

    /** A scene with everything done that a list says. */
    public static DryRun replayed(Scene scene, Practice practice, List<Doing> doings) {
        DryRun run = new DryRun(scene, practice);
        doings.forEach(run::does);
        return run;
    }

    /**
     * Does one more thing.
     *
     * @throws IllegalArgumentException when there is nothing of the kind here; then nothing was done
     */
    public Outcome does(Doing doing) {
        Outcome outcome = hands.does(now(), doing, moments.size() + 1);
        outcome.facts().forEach(this::write);
        moments.add(new Moment(doing, outcome, entries.size()));
        return outcome;
    }

    private void write(Fact fact) {
        int seq = entries.size() + 1;
        OffsetDateTime at =
                OffsetDateTime.of(scene.today(), BEGINS, ZoneOffset.UTC).plusSeconds(seq);
        How how = fact instanceof Fact.LabelRead ? new How(How.Kind.LABEL, "label") : How.MEASURED;
        entries.add(new Entry(new UUID(scene.seed(), seq), seq, seq - 1, at, HAND, how, null, fact));
    }

    /** What is so now. */
    public Truth now() {
        return moments.isEmpty()
                ? scene.truth()
                : moments.get(moments.size() - 1).outcome().truth();
    }

    /** What the planner makes of what was found out. */
    public FittingPlan plan() {
        return planAfter(entries.size());
    }

    /** What it made of it when there were so many entries. */
    public FittingPlan planAfter(int count) {
        FittingRecord record = new FittingRecord(
                List.of("r1"),
                List.of(new FittingRecord.Unit("u1", "r1", scene.seat().sheet().id())),
                List.copyOf(entries.subList(0, count)));
        return PLANNER.plan(practice, scene.sheets(), record, scene.today());
    }

    public Scene scene() {
        return scene;
    }

    public Practice practice() {
        return practice;
    }

    public List<Moment> moments() {
        return List.copyOf(moments);
    }
}
