package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.UnitId;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingState;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.look.OneLook;
import app.layette.core.recheck.CarriedOver;
import app.layette.core.recheck.LastSetUp;
import app.layette.core.run.AskedBesides;
import app.layette.core.step.LookKey;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Viewing;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Fittings: beginning one, adding entries, planning. */
@Service
public class Fittings {
    /**
     * An actual seat of a fitting with everything that follows from its entries today.
     *
     * @param others the other seats of the same fitting
     */
    public record Planned(UUID id, String reference, String childName, FittingPlan plan, List<Beside> others) {
        /** One that stands alone. */
        public Planned(UUID id, String reference, String childName, FittingPlan plan) {
            this(id, reference, childName, plan, List.of());
        }
    }

    /**
     * Another seat of the same fitting, or the same seat in another car.
     *
     * @param car the name of that other car; empty where nobody said it yet, and for a seat of its own
     */
    public record Beside(UUID id, String childName, FittingState state, boolean sameSeat, Optional<String> car) {}

    /**
     * An entry in its place, the fitting after it, and what that changed.
     *
     * @param isNew false where the same entry had come before
     */
    public record Appended(int seq, boolean isNew, Planned after, PlanDifference changed) {}

    private final FittingRows fittings;
    private final EntryRows entries;
    private final FittingPlans plans;
    private final FittingWriter writer;
    private final Viewing viewing;
    private final ApplicationEventPublisher events;

    Fittings(
            FittingRows fittings,
            EntryRows entries,
            FittingPlans plans,
            FittingWriter writer,
            Viewing viewing,
            ApplicationEventPublisher events) {
        this.fittings = fittings;
        this.entries = entries;
        this.plans = plans;
        this.writer = writer;
        this.viewing = viewing;
        this.events = events;
    }

    /**
     * Adds an entry. Sending the same one twice is harmless.
     *
     * @return the place of the entry, and the fitting as it stands after it
     * @throws RefusedEntryException when a field is not allowed, the fitting is closed, the gate is shut, or it corrects
     *     something and says not why
     */
    @Transactional
    public Appended append(UUID fittingId, EntryDraft draft, UUID pointId, Author author) {
        return add(writer.lock(fittingId, pointId), List.of(draft), author);
    }

    /**
     * Adds what one press told of the fitting as it stands, all of it or nothing; several as {@link #appendTogether}.
     *
     * @param told reads what was sent beside the plan of that moment; at least one draft
     * @throws RefusedEntryException as for a single entry, and whatever {@code told} refuses
     */
    @Transactional
    public Appended tell(UUID fittingId, UUID pointId, Author author, Function<FittingPlan, List<EntryDraft>> told) {
        FittingWriter.Locked fitting = writer.lock(fittingId, pointId);
        return add(fitting, told.apply(fitting.plan()), author);
    }

    private Appended add(FittingWriter.Locked fitting, List<EntryDraft> drafts, Author author) {
        if (drafts.size() > 1) {
            return addTogether(fitting, drafts, author);
        }
        EntryDraft draft = drafts.get(0);
        List<EntryDraft> carried = carriedBy(draft, fitting);
        return addTogether(fitting, carried.isEmpty() ? List.of(draft) : carried, author);
    }

    /** Nothing was done to the seat since: with that answer comes what the earlier fitting says, as one whole. */
    private List<EntryDraft> carriedBy(EntryDraft draft, FittingWriter.Locked fitting) {
        boolean asBefore = draft.fact() instanceof Fact.Answered answered
                && answered.question() == Question.SINCE
                && answered.answer().equals(AskedBesides.Since.NOTHING.name());
        Situation now = fitting.plan().situation();
        Optional<FittingRow> earlier = now.cameBack()
                .filter(back -> asBefore && now.label(Fact.Part.CARRIER).isEmpty())
                .flatMap(back ->
                        fittings.find(back.value().fitting(), fitting.point().id()))
                .filter(row -> row.family().equals(fitting.row().family()));
        if (earlier.isEmpty()) {
            return List.of();
        }
        List<EntryDraft> drafts = new ArrayList<>();
        drafts.add(new EntryDraft(
                draft.id(), draft.seen(), draft.at(), draft.how(), null, draft.fact(), draft.waited(), draft.id()));
        for (CarriedOver each :
                CarriedOver.of(plans.of(earlier.get(), fitting.point()).situation(), now)) {
            UUID own = UUID.nameUUIDFromBytes((draft.id() + " " + drafts.size()).getBytes(StandardCharsets.UTF_8));
            drafts.add(new EntryDraft(
                    own, draft.seen(), draft.at(), each.how(), null, each.fact(), draft.waited(), draft.id()));
        }
        return drafts;
    }

    /**
     * Adds what one press told, all of it or nothing. Each is an entry of its own; a later one has seen the earlier ones,
     * unless somebody else's came between the look and its arrival. Sending them twice is harmless.
     *
     * @param drafts at least one, in the order in which they are kept
     * @throws RefusedEntryException as for a single entry
     */
    @Transactional
    public Appended appendTogether(UUID fittingId, List<EntryDraft> drafts, UUID pointId, Author author) {
        return addTogether(writer.lock(fittingId, pointId), drafts, author);
    }

    /**
     * Adds the marks of a look that are as drawn. What is drawn is computed from the fitting as it stands.
     *
     * @param tokens of the marks, as the look named them
     * @throws RefusedEntryException when one of them is not asked any more or is drawn otherwise by now; none is kept then
     */
    @Transactional
    public Appended appendLook(
            UUID fittingId, EntryForm form, LookKey look, Set<String> tokens, UUID pointId, Author author) {
        FittingWriter.Locked fitting = writer.lock(fittingId, pointId);
        FittingPlan before = fitting.plan();
        boolean had = before.situation().everything().stream()
                .anyMatch(each -> form.id().equals(each.look()));
        if (had) {
            int seq = fitting.row().lastSeq();
            return new Appended(seq, false, planned(fitting.row(), before), PlanDifference.between(before, before));
        }
        List<EntryDraft> drafts =
                OneLook.told(before, look, tokens)
                        .orElseThrow(() -> RefusedEntryException.because("LOOK_CHANGED"))
                        .stream()
                        .map(mark -> form.markOfLook(mark.token(), mark.fact(), mark.how()))
                        .toList();
        return addTogether(fitting, drafts, author);
    }

    private Appended addTogether(FittingWriter.Locked locked, List<EntryDraft> drafts, Author author) {
        FittingWriter.Locked fitting = locked;
        boolean alone =
                drafts.size() > 1 && drafts.get(0).seen() >= fitting.row().lastSeq();
        List<Added> all = new ArrayList<>();
        for (EntryDraft draft : drafts) {
            if (draft.corrects() != null) {
                throw RefusedEntryException.because("NO_REASON");
            }
            all.add(add(fitting, alone ? draft.seeing(fitting.row().lastSeq()) : draft, author));
            fitting = fitting.with(all.get(all.size() - 1).after());
        }
        return whole(locked, all);
    }

    /**
     * What one press told, told: what lists show and what comes due follow from all of it, once, for this seat and those
     * beside it.
     */
    private Appended whole(FittingWriter.Locked fitting, List<Added> all) {
        FittingRow row = fitting.row();
        Added last = all.get(all.size() - 1);
        if (all.stream().anyMatch(Added::isNew)) {
            FittingWriter.project(row, last.after());
            events.publishEvent(new FittingPlanned(row.id(), fitting.point().id(), last.after()));
            writer.refreshBeside(row, fitting.point(), last.after());
            plans.keep(row, fitting.point(), last.after());
        }
        return new Appended(
                last.seq(),
                last.isNew(),
                planned(row, last.after()),
                PlanDifference.between(fitting.plan(), last.after()));
    }

    /** An entry in its place, and the plan after it; not new where the same entry had come before. */
    private record Added(int seq, boolean isNew, FittingPlan after) {}

    private Added add(FittingWriter.Locked fitting, EntryDraft sent, Author author) {
        FittingRow row = fitting.row();
        FittingPlan before = fitting.plan();
        EntryDraft draft = sent.inTheCarOf(before.situation());
        Optional<EntryRow> held = entries.findByPointIdAndId(fitting.point().id(), draft.id());
        if (held.isPresent()) {
            if (!held.get().key().fittingId().equals(row.recordId())) {
                throw RefusedEntryException.because("ID_TAKEN");
            }
            return new Added(held.get().key().seq(), false, before);
        }
        FittingPlan then = asOfItsDay(fitting, draft);
        Admission.check(draft, then, author);
        Entry entry = writer.store(row, draft, author, fitting.point(), then);
        FittingPlan after = plans.after(row, fitting.point(), before, entry);
        row.touch(viewing.clock().instant());
        events.publishEvent(new FittingChanged(row.id(), fitting.point().id(), entry, after));
        if (Bedside.isAllTaught(after, author)) {
            EntryDraft taught = EntryDraft.now(
                    How.MEASURED, entry.seq(), new Fact.Ended(row.unit(), Fact.Ending.TAUGHT, null, null, null));
            return new Added(
                    entry.seq(), true, add(fitting.with(after), taught, author).after());
        }
        return new Added(entry.seq(), true, after);
    }

    /** What waited for a connection is judged as of the day on which it was made: the family has gone since. */
    private FittingPlan asOfItsDay(FittingWriter.Locked fitting, EntryDraft draft) {
        if (!draft.waited() || draft.at() == null) {
            return fitting.plan();
        }
        LocalDate day = draft.at().atZoneSameInstant(fitting.point().zone()).toLocalDate();
        Situation now = fitting.plan().situation();
        return day.isBefore(now.today())
                ? plans.of(fitting.row(), fitting.point(), now.everything(), day)
                : fitting.plan();
    }

    /**
     * Corrects an entry and says why, both or neither. Sending the same correction twice is harmless.
     *
     * @throws RefusedEntryException when either is not allowed
     */
    @Transactional
    public Appended correct(UUID fittingId, EntryDraft correction, String reason, UUID pointId, Author author) {
        FittingWriter.Locked fitting = writer.lock(fittingId, pointId);
        return whole(fitting, corrected(fitting, correction, reason, author));
    }

    /** The reason, then the correction. */
    private List<Added> corrected(FittingWriter.Locked fitting, EntryDraft correction, String reason, Author author) {
        Fact.Noted why = new Fact.Noted(fitting.row().unit(), correction.corrects(), reason);
        UUID whyId = UUID.nameUUIDFromBytes(("why " + correction.id()).getBytes(StandardCharsets.UTF_8));
        EntryDraft said = new EntryDraft(whyId, correction.seen(), null, How.MEASURED, null, why);
        Added reasoned = add(fitting, said, author);
        // What is stored and not yet certain is handed on, never read back: a reader might keep it.
        return List.of(reasoned, add(fitting.with(reasoned.after()), correction, author));
    }

    /**
     * Takes the last answer back as a slip of the hand: an entry, or all that one look told. Sending the same twice is
     * harmless.
     *
     * @param draft the withdrawal; which entries it corrects is found here
     * @throws RefusedEntryException when something came after it, somebody else made it, or it cannot be withdrawn
     */
    @Transactional
    public Appended undo(UUID fittingId, EntryDraft draft, UUID pointId, Author author) {
        FittingWriter.Locked fitting = writer.lock(fittingId, pointId);
        FittingPlan before = fitting.plan();
        List<Entry> record = before.situation().own();
        boolean done = record.stream().anyMatch(each -> each.id().equals(draft.id()));
        List<Entry> whole = Undoing.whole(record, author.id());
        if (done) {
            int seq = fitting.row().lastSeq();
            return new Appended(seq, false, planned(fitting.row(), before), PlanDifference.between(before, before));
        }
        if (whole.isEmpty()) {
            throw RefusedEntryException.because("NOTHING_TO_UNDO");
        }
        FittingWriter.Locked now = fitting;
        List<Added> all = new ArrayList<>();
        for (Entry undone : whole) {
            boolean first = undone == whole.get(0);
            UUID id = first
                    ? draft.id()
                    : UUID.nameUUIDFromBytes((draft.id() + " " + undone.id()).getBytes(StandardCharsets.UTF_8));
            EntryDraft withdrawal = new EntryDraft(
                    id, draft.seen(), draft.at(), draft.how(), undone.id(), draft.fact(), draft.waited());
            all.addAll(corrected(now, withdrawal, Undoing.REASON, author));
            now = now.with(all.get(all.size() - 1).after());
        }
        return whole(fitting, all);
    }

    /**
     * Plans a fitting again because the day or a sheet changed, not because anybody entered anything: what lists show
     * and what comes due follow.
     */
    @Transactional
    public void refresh(UUID pointId, UUID fittingId) {
        FittingWriter.Locked fitting = writer.lock(fittingId, pointId);
        FittingWriter.project(fitting.row(), fitting.plan());
        events.publishEvent(new FittingPlanned(fittingId, pointId, fitting.plan()));
    }

    /** The fitting as it stands today. */
    @Transactional(readOnly = true)
    public Planned planned(UUID id, UUID pointId) {
        FittingRow row = fittings.find(id, pointId).orElseThrow(NoSuchFittingException::new);
        return planned(row, plans.of(row, viewing.point(pointId)));
    }

    /** What the seat of a fitting needed in its car the last time here, in whichever family. */
    @Transactional(readOnly = true)
    public Optional<LastSetUp> lastSetUp(Planned fitting, UUID pointId) {
        Situation now = fitting.plan().situation();
        return now.car()
                .flatMap(car ->
                        fittings
                                .handedOver(
                                        pointId, now.unit().sheet().text(), car.fullName(), fitting.id(), Limit.of(1))
                                .stream()
                                .findFirst()
                                .flatMap(row -> LastSetUp.of(
                                        plans.of(row, viewing.point(pointId)).situation(), now)));
    }

    /** The documents of a fitting's entries as they are stored, in their order; for the seal, which is over these. */
    @Transactional(readOnly = true)
    public List<String> documents(UUID pointId, UUID id) {
        UUID record = fittings.recordOf(pointId, id).orElseThrow(NoSuchFittingException::new);
        return entries.documents(pointId, record);
    }

    /** The fittings of all seats that are fitted together with this one, itself among them. */
    @Transactional(readOnly = true)
    public List<UUID> together(UUID pointId, UUID fitting) {
        return fittings
                .recordOf(pointId, fitting)
                .map(record -> fittings.together(pointId, record))
                .orElse(List.of())
                .stream()
                .map(FittingRow::id)
                .toList();
    }

    /** What the actual seat of a fitting is called in its entries. */
    @Transactional(readOnly = true)
    public UnitId unit(UUID id, UUID pointId) {
        return fittings.find(id, pointId)
                .orElseThrow(NoSuchFittingException::new)
                .unit();
    }

    /** The last place of a fitting, for asking whether anybody added to it. */
    @Transactional(readOnly = true)
    public int lastSeq(UUID id, UUID pointId) {
        return fittings.find(id, pointId)
                .orElseThrow(NoSuchFittingException::new)
                .lastSeq();
    }

    private static Beside beside(Situation here, FittingRow other) {
        boolean sameSeat = here.neighbours().inOtherCars().stream()
                .anyMatch(each -> each.id().equals(other.unit()));
        FittingRow.Overview overview = other.overview();
        return new Beside(
                other.id(),
                other.childName(),
                overview.state(),
                sameSeat,
                Optional.ofNullable(overview.car()).filter(car -> sameSeat && !car.isBlank()));
    }

    private Planned planned(FittingRow row, FittingPlan plan) {
        boolean one = plan.situation().neighbours().isAlone();
        List<Beside> others = one
                ? List.of()
                : fittings.together(row.pointId(), row.recordId()).stream()
                        .filter(each -> each != row)
                        .map(each -> beside(plan.situation(), each))
                        .toList();
        return new Planned(row.id(), row.family().reference(), row.childName(), plan, others);
    }

    /**
     * Reads a correction from the fields of a form. It is known no better than what it corrects: an estimate that is
     * corrected stays an estimate, and a page stays a page.
     *
     * @param before the entries of the fitting
     * @param today the fitting point's day
     * @throws RefusedEntryException with every problem found, or when it corrects nothing
     */
    public EntryDraft correctionOf(Map<String, String> fields, List<Entry> before, LocalDate today) {
        Fact fact = FactForm.read(fields, today);
        Entry corrected = before.stream()
                .filter(each -> each.id().toString().equals(fields.get("corrects")))
                .findFirst()
                .orElseThrow(() -> RefusedEntryException.because("CORRECTS_NOTHING"));
        String last = fields.getOrDefault("seen", "0");
        int seen = last.matches("\\d{1,9}") ? Integer.parseInt(last) : 0;
        String id = fields.getOrDefault("entry", "");
        UUID own = id.matches("[0-9a-fA-F-]{36}") ? UUID.fromString(id) : UUID.randomUUID();
        return new EntryDraft(own, seen, null, corrected.how(), corrected.id(), fact);
    }

    /** Says why an entry was refused, a sentence for each problem. */
    public static List<String> say(RefusedEntryException refused, Wording words) {
        return refused.reason().isEmpty()
                ? refused.problems().stream().map(each -> words.say(each)).toList()
                : List.of(words.say("refused." + refused.reason()));
    }
}
