package app.layette.benchmarks.gate;

import app.layette.core.entry.Act;
import app.layette.core.entry.Answers;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.EntryParts;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactQuickCarSeenParts;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.Rights;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.UnitId;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.Side;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;

/** Everything single that can go otherwise in a fitting; each of these is one mutation. */
final class Changed {
    private static final Author TRAINEE = new Author("pim", Author.Role.TRAINEE);
    private static final List<How> OTHERWISE_KNOWN = List.of(How.TOLD, new How(How.Kind.ESTIMATED, ""), How.manual(""));
    private static final int LONG_AGO_DAYS = 45;

    /** One mutation, with its name for a report. */
    record Mutation(String name, Function<Fitting, Fitting> apply) {}

    private final Bases.Base base;
    private final List<Mutation> all = new ArrayList<>();

    private Changed(Bases.Base base) {
        this.base = base;
    }

    /** Every single mutation of a fitting of this base. */
    static List<Mutation> of(Bases.Base base, Fitting fitting) {
        Changed changed = new Changed(base);
        changed.sheets();
        for (int i = 0; i < fitting.entries().size(); i++) {
            changed.entry(fitting.entries().get(i), i);
        }
        changed.after(fitting);
        changed.aroundIt(fitting);
        return changed.all;
    }

    private void add(String name, Function<Fitting, Fitting> apply) {
        all.add(new Mutation(name, apply));
    }

    private void sheets() {
        for (int i = 1; i < base.seats().size(); i++) {
            var seat = base.seats().get(i);
            add(
                    "seat sheet " + i,
                    fitting -> fitting.with(
                            new Sheets(List.of(seat), fitting.sheets().cars())));
        }
        for (int i = 1; i < base.cars().size(); i++) {
            var car = base.cars().get(i);
            add(
                    "vehicle sheet " + i,
                    fitting -> fitting.with(new Sheets(fitting.sheets().seats(), List.of(car))));
        }
    }

    private void entry(Entry entry, int at) {
        String name = entry.seq() + " " + entry.fact().getClass().getSimpleName();
        add("without " + name, fitting -> fitting.with(without(fitting.entries(), at)));
        for (How how : OTHERWISE_KNOWN) {
            add(name + " " + how.kind(), fitting -> fitting.with(replaced(fitting.entries(), at, known(entry, how))));
        }
        add(name + " unseen", fitting -> fitting.with(replaced(fitting.entries(), at, seen(entry, 0))));
        add(
                name + " long ago",
                fitting -> fitting.with(
                        replaced(fitting.entries(), at, at(entry, entry.at().minusDays(LONG_AGO_DAYS), null))));
        add(
                name + " by a wrong clock",
                fitting -> fitting.with(replaced(
                        fitting.entries(), at, at(entry, entry.at(), entry.at().plusDays(2)))));
        if (entry.fact() instanceof Fact.Answered answered) {
            for (String other : Answers.to(answered.question())) {
                Fact said = new Fact.Answered(answered.of(), answered.question(), other, answered.place());
                add(
                        name + " " + other,
                        fitting -> fitting.with(replaced(fitting.entries(), at, Fitting.saying(entry, said))));
            }
        }
        if (Rights.canBeWithdrawn(entry.fact())) {
            add(
                    name + " withdrawn",
                    fitting -> fitting.with(followed(
                            fitting,
                            correcting(entry, new Fact.Withdrawn(entry.fact().of())))));
        }
    }

    /** What may still happen when everything was in order. */
    private void after(Fitting fitting) {
        Entry last = fitting.entries().get(fitting.entries().size() - 1);
        for (Act act : Act.values()) {
            then(last, new Fact.Acted(UnitId.FIRST, act));
        }
        for (HandlePosition position : HandlePosition.values()) {
            then(last, new Fact.HandleSet(UnitId.FIRST, position));
        }
        for (Indicator.Reading reading : Indicator.Reading.values()) {
            then(last, new Fact.LevelRead(UnitId.FIRST, Fact.Stage.CHILD, reading));
        }
        then(last, new Fact.SlotsSet(UnitId.FIRST, 2, 2, 2, 2, null));
        then(last, new Fact.CrotchSet(UnitId.FIRST, 2));
        then(last, new Fact.ShoulderSeen(RiderId.FIRST, 0));
        then(last, new Fact.Weighed(RiderId.FIRST, Mass.ofGrams(1200)));
        then(last, new Fact.Weighed(RiderId.FIRST, Mass.ofGrams(14_900)));
        then(last, new Fact.LengthMeasured(RiderId.FIRST, Fact.Dimension.BODY, Length.ofCentimetres(95), null));
        then(last, new Fact.LengthMeasured(UnitId.FIRST, Fact.Dimension.MOVEMENT, Length.ofMillimetres(25.4), null));
        then(last, new Fact.LengthMeasured(UnitId.FIRST, Fact.Dimension.GAP, Length.ofMillimetres(4), null));
        then(
                last,
                new Fact.Ordered(
                        RiderId.FIRST,
                        Fact.OrderKind.FLAT,
                        "paediatrician",
                        base.day(),
                        base.day().plusDays(9)));
        then(
                last,
                new Fact.Ordered(
                        RiderId.FIRST,
                        Fact.OrderKind.SEMI_RECLINED,
                        "paediatrician",
                        base.day(),
                        base.day().plusDays(9)));
        then(last, new Fact.Ordered(RiderId.FIRST, Fact.OrderKind.FLAT, null, null, null));
        then(last, new Fact.Screened(RiderId.FIRST, Fact.ScreeningResult.NOT_PASSED, null, base.day(), null));
        then(
                last,
                FactQuickCarSeenParts.builder()
                        .of(UnitId.FIRST)
                        .name("Another")
                        .position(new PositionId(2, Side.RIGHT))
                        .build());
        then(last, new Fact.Placed(UnitId.FIRST, new PositionId(1, Side.RIGHT), method(fitting)));
        for (Entry entry : fitting.entries()) {
            if (entry.fact() instanceof Fact.Weighed) {
                Entry other = correcting(entry, new Fact.Weighed(RiderId.FIRST, Mass.ofGrams(3150)));
                add("weight corrected", each -> each.with(followed(each, other)));
                Entry told = known(
                        new Entry(
                                UUID.randomUUID(),
                                0 + entry.seq(),
                                0,
                                last.at(),
                                last.by(),
                                How.TOLD,
                                null,
                                entry.fact()),
                        How.TOLD);
                add("weight told later", each -> each.with(followed(each, told)));
            }
            if (entry.fact() instanceof Fact.LabelRead label) {
                Fact other = new Fact.LabelRead(label.of(), label.part(), "OTHER-1", label.made(), null);
                add("another label", each -> each.with(followed(each, then(entry.how(), last, other))));
            }
            if (entry.fact() instanceof Fact.InsertSet set) {
                then(last, new Fact.InsertSet(set.of(), set.piece(), !set.in()));
            }
        }
    }

    private static Method method(Fitting fitting) {
        return fitting.entries().stream()
                .map(Entry::fact)
                .filter(Fact.Placed.class::isInstance)
                .map(each -> ((Fact.Placed) each).method())
                .reduce((first, second) -> second)
                .orElse(Method.BASE_BELT);
    }

    private void then(Entry last, Fact fact) {
        add("then " + fact, fitting -> fitting.with(followed(fitting, then(How.MEASURED, last, fact))));
    }

    private void aroundIt(Fitting fitting) {
        int middle = fitting.entries().size() / 2;
        Entry byTrainee = by(fitting.entries().get(middle), TRAINEE);
        add("by a trainee", each -> each.with(replaced(each.entries(), middle, byTrainee)));
        add(
                "another rider",
                each -> new Fitting(
                        each.practice(),
                        each.sheets(),
                        List.of(RiderId.FIRST, new RiderId("r2")),
                        each.entries(),
                        each.today()));
        for (int days : new int[] {31, 200}) {
            LocalDate later = fitting.today().plusDays(days);
            add("in " + days + " days", each -> each.on(later));
        }
        add(
                "law of nobody",
                each -> new Fitting(
                        new Practice(
                                each.practice().profile(),
                                Optional.empty(),
                                each.practice().zone()),
                        each.sheets(),
                        each.riders(),
                        each.entries(),
                        each.today()));
        add(
                "law elsewhere",
                each -> new Fitting(
                        new Practice(
                                each.practice().profile(), "JP", each.practice().zone()),
                        each.sheets(),
                        each.riders(),
                        each.entries(),
                        each.today()));
    }

    // Entries.

    private static List<Entry> without(List<Entry> entries, int at) {
        List<Entry> less = new ArrayList<>(entries);
        less.remove(at);
        return less;
    }

    private static List<Entry> replaced(List<Entry> entries, int at, Entry other) {
        List<Entry> others = new ArrayList<>(entries);
        others.set(at, other);
        return others;
    }

    /** With one more at the end, by somebody who had seen all of it. */
    static List<Entry> followed(Fitting fitting, Entry more) {
        List<Entry> all = new ArrayList<>(fitting.entries());
        int last = all.isEmpty() ? 0 : all.get(all.size() - 1).seq();
        all.add(EntryParts.builder(more).seq(last + 1).seen(last).build());
        return all;
    }

    static Entry then(How how, Entry last, Fact fact) {
        return new Entry(
                UUID.randomUUID(), last.seq() + 1, last.seq(), last.at().plusSeconds(20), last.by(), how, null, fact);
    }

    private static Entry correcting(Entry entry, Fact fact) {
        return new Entry(
                UUID.randomUUID(),
                entry.seq(),
                entry.seen(),
                entry.at().plusSeconds(40),
                entry.by(),
                entry.how(),
                entry.id(),
                fact);
    }

    static Entry known(Entry entry, How how) {
        return EntryParts.builder(entry).how(how).build();
    }

    static Entry seen(Entry entry, int seen) {
        return EntryParts.builder(entry).seen(seen).build();
    }

    static Entry at(Entry entry, OffsetDateTime at, OffsetDateTime arrived) {
        return EntryParts.builder(entry).at(at).arrived(arrived).waited(null).build();
    }

    static Entry by(Entry entry, Author author) {
        return EntryParts.builder(entry).by(author).build();
    }
}
