package app.layette.core.bench.scene;

import app.layette.core.bench.scene.MadeUpSeat.Differs;
import app.layette.core.child.Sex;
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
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.SeatSheet;
import app.layette.core.suit.ScreeningDone;
import app.layette.core.trial.TrialBand;
import app.layette.core.trial.TrialCar;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.Firmness;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Three restraints, one child and one car to choose from: one suits, each of the others fails by something of its own.
 *
 * @param seats in the order in which they stand on the shelf
 * @param present the child as measured and the car, before anything is chosen
 */
public record Shelf(List<SeatSheet> seats, Situation present) {
    private static final TrialBand BAND = TrialBand.of(35, 45);
    private static final double TOO_HEAVY_BY_GRAMS = 700;
    private static final double TOO_LONG_BY_MM = 15;
    private static final double LOWEST_SLOT_MM = 170;
    private static final double LONG_MM = 760;
    private static final String SUITS = "bench-suits";

    public Shelf {
        seats = List.copyOf(seats);
    }

    /** The shelf of a number. */
    public static Shelf of(long number, LocalDate today) {
        Random random = new Random(number * 104_729 + 3);
        TrialCar trial = TrialCar.random(BAND, 1, random);
        double grams = 2100 + 10 * random.nextInt(120);
        double length = 450 + 5 * random.nextInt(10);
        double shoulder = LOWEST_SLOT_MM + 12 + 10 * random.nextInt(3);
        Mass light = Mass.ofKilograms(1.8);
        Length most = Length.ofMillimetres(LONG_MM);
        boolean flat = random.nextInt(3) == 0;
        List<Differs> chosen = new ArrayList<>(List.of(
                new Differs(SUITS, light, most, LOWEST_SLOT_MM),
                flat
                        ? new Differs("bench-other", light, most, LOWEST_SLOT_MM)
                        : new Differs(
                                "bench-too-heavy", Mass.ofGrams(grams + TOO_HEAVY_BY_GRAMS), most, LOWEST_SLOT_MM),
                new Differs("bench-too-short", light, Length.ofMillimetres(length - TOO_LONG_BY_MM), LOWEST_SLOT_MM)));
        Collections.shuffle(chosen, random);
        PositionId place = new PositionId(2, Side.RIGHT);
        List<SeatSheet> seats = new ArrayList<>();
        for (Differs each : chosen) {
            Method usual = random.nextInt(3) == 0 ? Method.CONVERTIBLE_BELT : Method.BASE_FLEXIBLE_ANCHORS;
            // Only what carries a child lying flat follows a clinician's order to.
            Method method = flat && each.id().equals(SUITS) ? Method.CAR_BED : usual;
            seats.add(new MadeUpSeat(method, BAND, random, each)
                    .sheet(
                            trial.seat().theta0(),
                            trial.seat().contact(),
                            trial.seat().lifts(),
                            place));
        }
        VehicleSheet car = MadeUpCar.sheet(place, trial.sheetSlope(), Firmness.MEDIUM, random);
        return new Shelf(seats, present(number, seats, car, flat, new double[] {grams, length, shoulder}, today));
    }

    private static Situation present(
            long number, List<SeatSheet> seats, VehicleSheet car, boolean flat, double[] sizes, LocalDate today) {
        List<Fact> facts = List.of(
                new Fact.SheetAdopted(seats.get(0).sheet(), Fact.Adoption.ADOPTED, null),
                new Fact.SheetAdopted(car.sheet(), Fact.Adoption.ADOPTED, null),
                new Fact.ChildDescribed(RiderId.FIRST, today.minusDays(4), 276, Sex.MALE, Mass.ofGrams(sizes[0])),
                new Fact.Answered(UnitId.FIRST, Question.CONDITION, ScreeningDone.Answer.NONE),
                flat
                        ? new Fact.Ordered(
                                RiderId.FIRST,
                                Fact.OrderKind.FLAT,
                                "neonatologist",
                                today.minusDays(1),
                                today.plusDays(14))
                        : new Fact.Ordered(RiderId.FIRST, Fact.OrderKind.NONE, null, null, null),
                new Fact.Weighed(RiderId.FIRST, Mass.ofGrams(sizes[0])),
                height(Fact.Dimension.BODY, sizes[1], null),
                height(Fact.Dimension.SHOULDER, sizes[2], Fact.InsertState.AS_IT_WILL_BE),
                height(Fact.Dimension.CROWN, sizes[2] + 120, Fact.InsertState.AS_IT_WILL_BE));
        List<Entry> entries = new ArrayList<>();
        for (Fact fact : facts) {
            int seq = entries.size() + 1;
            entries.add(new Entry(
                    new UUID(number, seq),
                    seq,
                    seq - 1,
                    OffsetDateTime.of(today, LocalTime.of(9, 0), ZoneOffset.UTC).plusSeconds(seq),
                    new Author("bench", Author.Role.TECHNICIAN),
                    How.MEASURED,
                    null,
                    fact));
        }
        FittingRecord record = new FittingRecord(
                List.of(RiderId.FIRST),
                List.of(FittingRecord.Unit.first(SheetId.of(seats.get(0).sheet()))),
                entries);
        return Situation.of(BenchPractice.usual(), new Sheets(seats, List.of(car)), record, today);
    }

    private static Fact height(Fact.Dimension what, double millimetres, Fact.@Nullable InsertState insert) {
        return new Fact.LengthMeasured(RiderId.FIRST, what, Length.ofMillimetres(millimetres), insert);
    }
}
