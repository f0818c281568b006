package app.layette.core.unsaid;

import app.layette.core.cabin.MethodOfKind;
import app.layette.core.entry.Answers;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.Situation;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.finding.Weight;
import app.layette.core.gate.ConclusionState;
import app.layette.core.gate.Gate;
import app.layette.core.gate.RuleBook;
import app.layette.core.measure.Length;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.practice.Practice;
import app.layette.core.run.PageAsks;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import app.layette.core.table.Copies;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * Plans a sheet over standard children, cars and every method of its kind, as if all that hands and eyes tell were in
 * order, and counts what of the seat's own papers would still be asked for.
 */
public final class LeftUnsaid {
    private static final String OF_THE_SEAT = ":SEAT";
    private static final Author NOBODY = new Author("nobody", Author.Role.TECHNICIAN);

    private final SeatSheet seat;
    private final Practice practice;
    private final LocalDate today;
    private final RuleBook rules = RuleBook.shipped();
    private final Map<String, Integer> blocked = new LinkedHashMap<>();
    private int fittings;

    /**
     * What came out.
     *
     * @param fittings how many were planned
     * @param gaps what would block, the most frequent first
     */
    public record Result(int fittings, List<Gap> gaps) {
        public Result {
            gaps = List.copyOf(gaps);
        }
    }

    /**
     * A value that nobody looked up.
     *
     * @param key as a step asks for it: {@code PERMISSION:TOWEL:SEAT}, {@code QUANTITY:HEAD_ROOM:SEAT}, {@code
     *     HANDLE:UP}, or a {@link app.layette.core.evidence.SheetValue}
     * @param fittings in how many it would block
     */
    public record Gap(String key, int fittings) {}

    private LeftUnsaid(SeatSheet seat, Practice practice, LocalDate today) {
        this.seat = Copies.with(seat, "status", SheetStatus.CONFIRMED);
        this.practice = practice;
        this.today = today;
    }

    /**
     * What a sheet leaves unknown; a draft is tried as if it were confirmed.
     *
     * @param cars to try it in
     * @param today the day on which it is tried
     */
    public static Result of(
            SeatSheet seat, List<StandardChild> children, List<VehicleSheet> cars, Practice practice, LocalDate today) {
        LeftUnsaid tried = new LeftUnsaid(seat, practice, today);
        for (StandardChild child : children) {
            for (VehicleSheet car : cars) {
                for (Method method : MethodOfKind.methods(tried.seat)) {
                    tried.fitting(child, Copies.with(car, "status", SheetStatus.CONFIRMED), method);
                }
            }
        }
        return new Result(tried.fittings, ranked(tried.blocked));
    }

    /**
     * What a vehicle's sheet leaves unknown, with restraints whose own sheets say everything that these do.
     *
     * @param seats to try in it, at each of its places, by every method of theirs
     */
    public static Result ofCar(
            VehicleSheet car, List<SeatSheet> seats, StandardChild child, Practice practice, LocalDate today) {
        VehicleSheet confirmed = Copies.with(car, "status", SheetStatus.CONFIRMED);
        Map<String, Integer> blocked = new LinkedHashMap<>();
        int fittings = 0;
        for (SeatSheet seat : seats) {
            LeftUnsaid tried = new LeftUnsaid(seat, practice, today);
            for (Method method : MethodOfKind.methods(tried.seat)) {
                for (SeatingPosition place : confirmed.positions()) {
                    tried.asked(child, confirmed, place.id(), method).stream()
                            .filter(key -> !isOfSeat(key))
                            .forEach(key -> blocked.merge(key, 1, Integer::sum));
                    fittings++;
                }
            }
        }
        return new Result(fittings, ranked(blocked));
    }

    private static List<Gap> ranked(Map<String, Integer> blocked) {
        return blocked.entrySet().stream()
                .map(each -> new Gap(each.getKey(), each.getValue()))
                .sorted(Comparator.comparingInt(Gap::fittings).reversed())
                .toList();
    }

    private void fitting(StandardChild child, VehicleSheet car, Method method) {
        Situation before = situation(car, child(child));
        Optional<PlaceAnswer> place = CabinAnswers.of(before).answers().stream()
                .filter(each -> each.method() == method)
                .findFirst();
        if (place.isEmpty()) {
            return;
        }
        fittings++;
        asked(child, car, place.get().place(), method).stream()
                .filter(LeftUnsaid::isOfSeat)
                .forEach(key -> blocked.merge(key, 1, Integer::sum));
    }

    /** What papers would still be asked for there. */
    private Set<String> asked(StandardChild child, VehicleSheet car, PositionId place, Method method) {
        Set<String> asked = new LinkedHashSet<>();
        // An answer that holds by itself and one that a rule looks into lead to different pages: both are tried.
        for (boolean byItself : new boolean[] {false, true}) {
            List<Fact> facts = new ArrayList<>(child(child));
            facts.add(new Fact.Placed(UnitId.FIRST, place, method));
            facts.addAll(inOrder(child, byItself));
            asked.addAll(asked(situation(car, facts), method));
        }
        return asked;
    }

    private Set<String> asked(Situation whole, Method method) {
        Set<String> asked = new LinkedHashSet<>();
        for (ConclusionState state : Gate.judge(rules, whole, method).conclusions()) {
            if (state.state() == ConclusionState.State.NOT_KNOWN) {
                asked.addAll(PageAsks.papers(state, whole));
            }
        }
        return asked;
    }

    private static boolean isOfSeat(String key) {
        boolean ofSpeaker = key.startsWith("PERMISSION:") || key.startsWith("QUANTITY:");
        return ofSpeaker ? key.endsWith(OF_THE_SEAT) : !key.contains("@");
    }

    private List<Fact> child(StandardChild child) {
        return List.of(
                new Fact.SheetAdopted(seat.sheet(), Fact.Adoption.ADOPTED, null),
                new Fact.ChildDescribed(
                        RiderId.FIRST, today.minusDays(child.days()), child.gestationDays(), null, null),
                new Fact.Weighed(RiderId.FIRST, child.weight()),
                new Fact.LengthMeasured(RiderId.FIRST, Fact.Dimension.BODY, child.length(), null),
                new Fact.LengthMeasured(RiderId.FIRST, Fact.Dimension.CROWN, child.crown(), null),
                new Fact.LengthMeasured(RiderId.FIRST, Fact.Dimension.SHOULDER, child.shoulder(), null));
    }

    /** All that hands and eyes tell, as it should be. */
    private List<Fact> inOrder(StandardChild child, boolean byItself) {
        List<Fact> facts = new ArrayList<>();
        String model = seat.identity().modelNumbers().get(0);
        facts.add(new Fact.LabelRead(UnitId.FIRST, Fact.Part.CARRIER, model, null, null));
        String base = seat.bases().value().orElse(List.of()).stream()
                .map(BaseFit::modelNumbers)
                .flatMap(List::stream)
                .findFirst()
                .orElse("a base");
        facts.add(new Fact.LabelRead(UnitId.FIRST, Fact.Part.BASE, base, null, null));
        for (InsertPiece piece : seat.insert().value().orElse(List.of())) {
            facts.add(new Fact.InsertSet(UnitId.FIRST, piece.key(), false));
        }
        List<Length> slots = seat.shell().slots().value().orElse(List.of());
        int slot = (int) Math.max(
                1,
                slots.stream()
                        .filter(each -> !each.isMoreThan(child.shoulder()))
                        .count());
        facts.add(new Fact.SlotsSet(UnitId.FIRST, slot, slot, slot, slot, null));
        facts.add(new Fact.CrotchSet(UnitId.FIRST, 1));
        HandlePosition handle = seat.handle()
                .value()
                .filter(list -> !list.isEmpty())
                .map(list -> list.get(0))
                .orElse(HandlePosition.UP);
        facts.add(new Fact.HandleSet(UnitId.FIRST, handle));
        facts.add(new Fact.LevelRead(UnitId.FIRST, Fact.Stage.CHILD, Indicator.Reading.INSIDE));
        for (Question question : Question.values()) {
            facts.add(new Fact.Answered(UnitId.FIRST, question, best(question, byItself), null));
        }
        return facts;
    }

    /** An answer that holds by itself, or the first that a rule has to look further into; the other where there is none. */
    private static String best(Question question, boolean byItself) {
        List<String> answers = Answers.to(question);
        Optional<String> further = answers.stream()
                .filter(each -> Answers.weight(question, each).isEmpty())
                .findFirst();
        Optional<String> holds = answers.stream()
                .filter(each -> Answers.weight(question, each)
                        .filter(weight -> weight == Weight.HOLDS)
                        .isPresent())
                .findFirst();
        return (byItself ? holds.or(() -> further) : further.or(() -> holds)).orElse(answers.get(0));
    }

    private Situation situation(VehicleSheet car, List<Fact> facts) {
        List<Entry> entries = new ArrayList<>();
        List<Fact> all = new ArrayList<>(facts);
        all.add(1, new Fact.SheetAdopted(car.sheet(), Fact.Adoption.ADOPTED, null));
        for (Fact fact : all) {
            int seq = entries.size() + 1;
            entries.add(new Entry(
                    UUID.nameUUIDFromBytes(("unsaid" + seq).getBytes(StandardCharsets.UTF_8)),
                    seq,
                    seq - 1,
                    today.atStartOfDay().atOffset(ZoneOffset.UTC),
                    NOBODY,
                    How.MEASURED,
                    null,
                    fact));
        }
        FittingRecord record = new FittingRecord(
                List.of(RiderId.FIRST), List.of(FittingRecord.Unit.first(SheetId.of(seat.sheet()))), entries);
        return Situation.of(practice, new Sheets(List.of(seat), List.of(car)), record, today);
    }
}
