package app.layette.core.bench.run;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.hands.Hands;
import app.layette.core.bench.hands.Outcome;
import app.layette.core.bench.hands.Sensed;
import app.layette.core.bench.lesson.Caregiver;
import app.layette.core.bench.lesson.Caregiver.Turn;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Truth;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.UnitId;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.practice.Practice;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
    private final Optional<Caregiver> caregiver;
    private int turns;

    /**
     * What was done, and what came of it.
     *
     * @param entries how many entries there were afterwards
     */
    public record Moment(Doing doing, Outcome outcome, int entries) {}

    public DryRun(Scene scene, Practice practice) {
        this(scene, practice, Optional.empty());
    }

    /** A run in which a caregiver does it, and somebody watches. */
    public DryRun(Scene scene, Practice practice, Optional<Caregiver> caregiver) {
        this.scene = scene;
        this.caregiver = caregiver;
        this.practice = practice;
        this.hands = new Hands(scene);
        write(new Fact.SheetAdopted(scene.seat().sheet(), Fact.Adoption.ADOPTED, null));
        write(new Fact.SheetAdopted(scene.car().sheet(), Fact.Adoption.ADOPTED, null));
        write(new Fact.Placed(UnitId.FIRST, scene.place(), scene.method()));
    }

    /**
     * Does one more thing.
     *
     * @throws IllegalArgumentException when there is nothing of the kind here; then nothing was done
     */
    public Outcome does(Doing doing) {
        int number = moments.size() + 1;
        Outcome outcome = switch (doing.hand()) {
            case GO_ON -> goesOn(number);
            case STOP -> stops(Misuse.valueOf(doing.what()), number);
            default -> hands.does(now(), doing, number);
        };
        outcome.facts().forEach(this::write);
        moments.add(new Moment(doing, outcome, entries.size()));
        return outcome;
    }

    private Caregiver caregiver() {
        return caregiver.orElseThrow(() -> new IllegalArgumentException("Nobody is taught in this run"));
    }

    /** The caregiver's next turn; empty when they are done, and where nobody is taught. */
    public Optional<Turn> nextTurn() {
        return caregiver.flatMap(each -> each.turns().stream().skip(turns).findFirst());
    }

    /** The turns that the caregiver had. */
    public List<Turn> turnsSoFar() {
        return caregiver.map(each -> each.turns().subList(0, turns)).orElse(List.of());
    }

    private Outcome goesOn(int number) {
        Turn turn = nextTurn().orElseThrow(() -> new IllegalArgumentException("The caregiver is done"));
        turns++;
        return played(turn.done(), number, new Sensed("TURN", turn.word()));
    }

    /** What is not right is put right by the caregiver, as they were shown. */
    private Outcome stops(Misuse misuse, int number) {
        Optional<Turn> slipped = caregiver().turns().stream()
                .limit(turns)
                .filter(turn -> turn.slip().filter(slip -> slip == misuse).isPresent())
                .findFirst();
        if (slipped.isEmpty() || isStopped(misuse)) {
            return new Outcome(now(), List.of(new Sensed("STOP", "NOTHING_OF_THE_KIND")), List.of());
        }
        return played(slipped.get().rightly(), number, new Sensed("STOP", "PUT_RIGHT"));
    }

    private boolean isStopped(Misuse misuse) {
        return moments.stream()
                .anyMatch(each -> each.doing().hand() == Hand.STOP
                        && each.doing().what().equals(misuse.name())
                        && each.outcome().sensed().contains(new Sensed("STOP", "PUT_RIGHT")));
    }

    private Outcome played(List<Doing> doings, int number, Sensed first) {
        Truth truth = now();
        List<Sensed> sensed = new ArrayList<>(List.of(first));
        for (Doing each : doings) {
            Outcome outcome = hands.does(truth, each, number);
            truth = outcome.truth();
            // A click is heard by whoever stands beside it.
            outcome.sensed().stream()
                    .filter(heard -> heard.about().equals(Hand.CARRIER_ON.name()))
                    .forEach(sensed::add);
        }
        return new Outcome(truth, sensed, List.of());
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
                List.of(RiderId.FIRST),
                List.of(FittingRecord.Unit.first(SheetId.of(scene.seat().sheet()))),
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
