package app.layette.formats.taps;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.TeachItem;
import app.layette.core.entry.UnitId;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.look.OneLook;
import app.layette.core.recheck.CarriedOver;
import app.layette.core.recline.LevelWithChild;
import app.layette.core.run.Run;
import app.layette.core.run.Step;
import app.layette.core.seat.Harness;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import app.layette.formats.document.CaseDocument;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;

/**
 * Somebody who carries a fitting through as the screen asks it: what belongs to one look with one press, everything else as
 * a document of the same fitting says it, each question once.
 */
final class Walker {
    private static final Author TECHNICIAN = new Author("marit", Author.Role.TECHNICIAN);
    private static final int MOST = 90;

    private final CaseDocument example;
    private final List<Entry> said;
    private final List<Entry> entries = new ArrayList<>();
    private final List<String> presses = new ArrayList<>();
    private FittingPlan earlier;
    private int typed;
    private int pages;
    private int moves;

    /**
     * What a walk took.
     *
     * @param presses what was pressed, in order; each is one answer
     * @param typed values that were typed
     * @param pages pages of manuals that were read
     * @param moves from one step to another
     */
    record Walked(List<String> presses, int typed, int pages, int moves, FittingPlan plan) {}

    Walker(CaseDocument example, Predicate<Fact> before) {
        this.example = example;
        this.said = example.record().entries();
        said.stream().filter(entry -> before.test(entry.fact())).forEach(entry -> add(entry.fact(), entry.how(), null));
    }

    /** What is entered with <em>Begin</em>, seat and car from the shelf. */
    static boolean isOfBegin(Fact fact) {
        return fact instanceof Fact.SheetAdopted
                || fact instanceof Fact.BoxChosen
                || fact instanceof Fact.ChildDescribed
                || fact instanceof Fact.Weighed
                || fact instanceof Fact.LengthMeasured length && length.what() == Fact.Dimension.BODY;
    }

    /** The family of an earlier fitting that was handed over comes back with its seat. */
    static Walker comingBack(CaseDocument example, FittingPlan earlier) {
        Walker walker = new Walker(example, fact -> fact instanceof Fact.SheetAdopted);
        walker.earlier = earlier;
        Situation before = earlier.situation();
        String day = before.today().minusDays(20).toString();
        How carried = new How(How.Kind.CARRIED_FROM, day);
        before.newest(Fact.ChildDescribed.class).ifPresent(child -> walker.add(child.value(), carried, null));
        before.newest(Fact.Weighed.class).ifPresent(weight -> walker.add(weight.value(), carried, null));
        Fact.LabelRead label = before.label(Fact.Part.CARRIER).orElseThrow().value();
        return walker.with(new Fact.CameBack(
                UnitId.FIRST, new UUID(3, 3), before.today().minusDays(20), label.model(), label.made()));
    }

    Walker with(Fact fact) {
        add(fact, How.MEASURED, null);
        return this;
    }

    FittingPlan plan() {
        FittingRecord record =
                new FittingRecord(example.record().riders(), example.record().units(), entries);
        return new FittingPlanner().plan(example.practice(), example.sheets(), record, example.date());
    }

    /** Walks until nothing is left but the signature. */
    Walked toTheSignature() {
        StepKey at = plan().run().current().orElseThrow().key();
        while (presses.size() < MOST) {
            Run run = plan().run();
            Step step = run.step(at).orElseThrow();
            boolean more = step.asks().stream().anyMatch(Walker::isToAnswer);
            if (!more) {
                Optional<Step> next =
                        run.after(at).filter(each -> each.asks().stream().anyMatch(Walker::isToAnswer));
                if (next.isEmpty()) {
                    break;
                }
                at = next.get().key();
                moves++;
                continue;
            }
            press(at, step);
        }
        return new Walked(List.copyOf(presses), typed, pages, moves, plan());
    }

    private static boolean isToAnswer(Ask ask) {
        return !ask.answered() && !ask.optional() && ask.kind() != Ask.Kind.END;
    }

    private void press(StepKey at, Step step) {
        Optional<OneLook> look = OneLook.at(plan(), at);
        if (look.isPresent()) {
            UUID whole = UUID.randomUUID();
            look.get().marks().forEach(mark -> add(mark.fact(), mark.how(), whole));
            presses.add(look.get().key() + " (" + look.get().marks().size() + ")");
            return;
        }
        Ask ask = step.asks().stream().filter(Walker::isToAnswer).findFirst().orElseThrow();
        if (ask.question().equals(Question.SINCE.name())) {
            asBefore();
            return;
        }
        if (ask.kind() == Ask.Kind.SLOTS) {
            add(allAtShoulder(), How.MEASURED, null);
            presses.add("SLOTS");
            return;
        }
        Entry answer = entries.stream()
                .filter(entry -> ask.kind() == Ask.Kind.SHOULDER && entry.fact() instanceof Fact.ShoulderSeen)
                .reduce((first, second) -> second)
                .or(() -> said.stream()
                        .filter(entry -> answers(ask, entry.fact()))
                        .reduce((first, second) -> second))
                .orElseThrow(() -> new IllegalStateException("Nobody said " + ask + " at " + at));
        if (ask.kind() == Ask.Kind.LABEL) {
            typed += 2;
        }
        if (ask.kind() == Ask.Kind.PAGE) {
            typed++;
            pages++;
        }
        if (answer.fact() instanceof Fact.LengthMeasured || answer.fact() instanceof Fact.Weighed) {
            typed++;
        }
        add(answer.fact(), answer.how(), null);
        withIt(ask, answer);
        if (ask.kind() == Ask.Kind.LEVEL && LevelWithChild.areSidesAsked(plan().situation())) {
            // An indicator on both sides is read with one press: the same on both.
            add(new Fact.Answered(plan().situation().unit().id(), Question.SIDES, "ALIKE"), How.MEASURED, null);
        }
        presses.add(ask.kind() == Ask.Kind.QUESTION ? ask.question() : ask.kind() + suffix(ask));
    }

    /** The one button that puts both straps, in shell and pad, where the shoulder is. */
    private Fact allAtShoulder() {
        Situation now = plan().situation();
        int best = ShoulderAndSlots.in(now).orElseThrow().best();
        String loop = now.seat().flatMap(seat -> seat.harness().loops().value()).orElse(List.of()).stream()
                .filter(each -> each.isFor(best))
                .map(Harness.Loop::name)
                .findFirst()
                .orElse(null);
        return new Fact.SlotsSet(UnitId.FIRST, best, best, best, best, loop);
    }

    /** The family says that nothing was done to the seat, and what the earlier fitting says comes with it. */
    private void asBefore() {
        Situation now = plan().situation();
        add(new Fact.Answered(UnitId.FIRST, Question.SINCE, "NOTHING"), How.TOLD, null);
        CarriedOver.of(earlier.situation(), now).forEach(each -> add(each.fact(), each.how(), null));
        presses.add("SINCE");
    }

    /** A test by the caregiver's own hand, or the length with the weight, is one press with it. */
    private void withIt(Ask ask, Entry answer) {
        boolean comesBack = earlier != null;
        if (ask.kind() == Ask.Kind.LEVEL && comesBack) {
            add(new Fact.Taught(UnitId.FIRST, TeachItem.READ_LEVEL, Fact.TeachOutcome.DONE, null), How.MEASURED, null);
        }
        if (ask.kind() == Ask.Kind.MOVEMENT && comesBack) {
            add(new Fact.Taught(UnitId.FIRST, TeachItem.INCH_TEST, Fact.TeachOutcome.DONE, null), How.MEASURED, null);
        }
        if (answer.fact() instanceof Fact.Weighed) {
            said.stream()
                    .filter(entry -> isLength(entry.fact(), Fact.Dimension.BODY))
                    .findFirst()
                    .ifPresent(length -> {
                        add(length.fact(), How.MEASURED, null);
                        typed++;
                    });
        }
    }

    private static String suffix(Ask ask) {
        return ask.key().isEmpty() ? "" : " " + ask.key();
    }

    static boolean answers(Ask ask, Fact fact) {
        return switch (ask.kind()) {
            case QUESTION -> isAbout(Question.valueOf(ask.question()), fact);
            case GROUND -> isAbout(Question.GROUND, fact);
            case MOVEMENT -> isAbout(Question.MOVEMENT, fact);
            case GAP -> isAbout(Question.GAP, fact) || isLength(fact, Fact.Dimension.GAP);
            case HEAD_ROOM -> isAbout(Question.HEAD_ROOM, fact) || isLength(fact, Fact.Dimension.CROWN);
            case SHOULDER -> fact instanceof Fact.ShoulderSeen || isLength(fact, Fact.Dimension.SHOULDER);
            case WEIGHT -> fact instanceof Fact.Weighed;
            case LENGTH -> isLength(fact, Fact.Dimension.BODY);
            case ORDER -> fact instanceof Fact.Ordered;
            case SCREENING -> fact instanceof Fact.Screened;
            case LABEL ->
                fact instanceof Fact.LabelRead label && label.part().name().equals(ask.key());
            case INSERT ->
                fact instanceof Fact.InsertSet piece && piece.piece().text().equals(ask.key());
            case SLOTS -> fact instanceof Fact.SlotsSet;
            case CROTCH -> fact instanceof Fact.CrotchSet;
            case PLACE -> fact instanceof Fact.Placed;
            case ACT -> fact instanceof Fact.Acted acted && acted.act().name().equals(ask.key());
            case DEVICE -> fact instanceof Fact.DeviceSet;
            case ROLL -> fact instanceof Fact.RollPlaced;
            case LEVEL ->
                fact instanceof Fact.LevelRead level && level.stage().name().equals(ask.key());
            case HANDLE -> fact instanceof Fact.HandleSet;
            case TEACH ->
                fact instanceof Fact.Taught taught && taught.item().name().equals(ask.key());
            case PAGE -> fact instanceof Fact.HandlePositionRead;
            default -> false;
        };
    }

    private static boolean isAbout(Question question, Fact fact) {
        return fact instanceof Fact.Answered answered && answered.question() == question;
    }

    private static boolean isLength(Fact fact, Fact.Dimension what) {
        return fact instanceof Fact.LengthMeasured length && length.what() == what;
    }

    private void add(Fact fact, How how, UUID look) {
        int seq = entries.size() + 1;
        OffsetDateTime at = example.date().atTime(9, 0).atOffset(ZoneOffset.UTC).plusSeconds(seq);
        entries.add(new Entry(new UUID(9, seq), seq, seq - 1, at, TECHNICIAN, how, null, fact).inLook(look));
    }
}
