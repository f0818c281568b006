package app.layette.benchmarks.gate;

import app.layette.core.child.Sex;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.UnitId;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.Harness;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;

/** Draws fittings: another child, another school, other orders and looks, another order of the work, and other mistakes. */
final class Generator {
    private final Bases bases;
    private final Random random;

    Generator(Bases bases, long seed) {
        this.bases = bases;
        this.random = new Random(seed * 0x9E3779B97F4A7C15L);
    }

    /** A fitting with what it was made from. */
    record Drawn(Bases.Base base, Fitting fitting) {}

    Drawn next() {
        Bases.Base base = bases.all().get(random.nextInt(bases.all().size()));
        SeatSheet seat = oneOf(base.seats(), 0.12);
        VehicleSheet car = oneOf(base.cars(), 0.1);
        PracticeProfile profile =
                bases.profiles().get(random.nextInt(bases.profiles().size()));
        String law = happens(0.9) ? base.law() : List.of("CA", "GB", "DE", "JP").get(random.nextInt(4));
        List<Entry> entries = ofAnotherChild(base, seat);
        if (happens(0.15)) {
            Entry moved = entries.remove(random.nextInt(entries.size()));
            entries.add(random.nextInt(entries.size() + 1), moved);
        }
        if (happens(0.12)) {
            traineeAtWork(entries);
        }
        if (happens(0.1)) {
            elsewhere(entries, car);
        }
        Fitting fitting =
                Fitting.of(new Practice(profile, law, base.zone()), seat, car, Fitting.numbered(entries), base.day());
        while (happens(0.3)) {
            List<Changed.Mutation> all = Changed.of(base, fitting);
            fitting = all.get(random.nextInt(all.size())).apply().apply(fitting);
        }
        return new Drawn(base, fitting);
    }

    private boolean happens(double chance) {
        return random.nextDouble() < chance;
    }

    private <T> T oneOf(List<T> all, double otherThanFirst) {
        return happens(otherThanFirst) ? all.get(random.nextInt(all.size())) : all.get(0);
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private List<Entry> ofAnotherChild(Bases.Base base, SeatSheet seat) {
        double min = seat.limits().weightMin().value().map(Mass::grams).orElse(2000.0);
        double max = seat.limits().weightMax().value().map(Mass::grams).orElse(12_000.0);
        Mass weight = Mass.ofGrams(Math.round(
                happens(0.06) ? between(1500, max * 1.1) : between(min, Math.min(max, min + (max - min) * 0.6))));
        Mass birth = Mass.ofGrams(Math.round(between(2300, 4300)));
        int gestation = happens(0.85) ? 259 + random.nextInt(30) : 225 + random.nextInt(34);
        LocalDate born = base.day().minusDays(ageDays(weight));
        List<Length> slots = seat.shell().slots().value().orElse(List.of());
        int slot = slots.isEmpty() ? 1 : 1 + random.nextInt(slots.size());
        double low = slots.isEmpty() ? 200 : slots.get(slot - 1).millimetres();
        double high = slots.size() > slot ? slots.get(slot).millimetres() : low + 30;
        Length shoulder = Length.ofMillimetres(Math.round(between(low, high)));
        boolean screened = happens(0.8);
        List<Entry> entries = new ArrayList<>();
        for (Entry entry : base.entries()) {
            Fact fact = entry.fact();
            Fact other = fact;
            if (fact instanceof Fact.ChildDescribed child) {
                other = new Fact.ChildDescribed(
                        child.of(),
                        born,
                        happens(0.95) ? Integer.valueOf(gestation) : null,
                        happens(0.8) ? Sex.MALE : null,
                        happens(0.93) ? birth : null);
            } else if (fact instanceof Fact.Weighed weighed) {
                other = new Fact.Weighed(weighed.of(), weight);
            } else if (fact instanceof Fact.LengthMeasured length) {
                other = height(length, seat, shoulder, weight);
            } else if (fact instanceof Fact.SlotsSet set) {
                other = threaded(set, seat, happens(0.95) ? slot : 1);
            } else if (fact instanceof Fact.InsertSet set) {
                other = insert(set, seat, weight, born, base.day());
            } else if (fact instanceof Fact.CrotchSet set) {
                other = new Fact.CrotchSet(set.of(), happens(0.96) ? opening(seat, weight) : 1);
            }
            Entry said = Fitting.saying(entry, other);
            boolean measure = fact instanceof Fact.Weighed || fact instanceof Fact.LengthMeasured;
            entries.add(measure && happens(0.08) ? earlier(said) : said);
            if (fact instanceof Fact.ChildDescribed && screened) {
                String model = happens(0.9) ? seat.identity().modelNumbers().get(0) : "ZZ-1";
                entries.add(Changed.then(
                        How.TOLD,
                        entry,
                        new Fact.Screened(RiderId.FIRST, Fact.ScreeningResult.PASSED, null, base.day(), model)));
            }
        }
        return entries;
    }

    /** An age at which a child may well weigh so much. */
    private int ageDays(Mass weight) {
        double over = Math.max(0, weight.grams() - 3300) / 1000;
        return (int) Math.round(1 + random.nextInt(18) + over * over * 9 + over * between(15, 30));
    }

    private Entry earlier(Entry entry) {
        OffsetDateTime at = entry.at().minusDays(1 + random.nextInt(happens(0.5) ? 3 : 25));
        if (happens(0.3)) {
            return Changed.known(
                    entry, new How(How.Kind.CARRIED_FROM, at.toLocalDate().toString()));
        }
        return Changed.at(entry, at, null);
    }

    private static Fact height(Fact.LengthMeasured length, SeatSheet seat, Length shoulder, Mass weight) {
        return switch (length.what()) {
            case BODY -> {
                double kilograms = weight.grams() / 1000;
                double usual = kilograms < 3.3 ? 50 - (3.3 - kilograms) * 4 : 50 + (kilograms - 3.3) * 3.6;
                yield new Fact.LengthMeasured(
                        length.of(), length.what(), Length.ofCentimetres(Math.round(usual)), length.insert());
            }
            case SHOULDER -> new Fact.LengthMeasured(length.of(), length.what(), shoulder, length.insert());
            case CROWN -> {
                double top = seat.shell().top().value().map(Length::millimetres).orElse(500.0);
                double crown = Math.min(shoulder.millimetres() + 125, top - 20);
                yield new Fact.LengthMeasured(length.of(), length.what(), Length.ofMillimetres(crown), length.insert());
            }
            default -> length;
        };
    }

    private static Fact threaded(Fact.SlotsSet set, SeatSheet seat, int slot) {
        String loop = seat.harness().loops().value().orElse(List.of()).stream()
                .filter(each -> slot >= each.fromSlot() && slot <= each.toSlot())
                .map(Harness.Loop::name)
                .findFirst()
                .orElse(set.loop());
        return new Fact.SlotsSet(set.of(), slot, slot, slot, slot, loop);
    }

    private Fact insert(Fact.InsertSet set, SeatSheet seat, Mass weight, LocalDate born, LocalDate day) {
        boolean in = seat.insert().value().orElse(List.of()).stream()
                .filter(piece -> piece.key().equals(set.piece()))
                .flatMap(piece -> piece.bands().stream())
                .filter(band -> band.weights().contains(weight))
                .findFirst()
                .map(band -> band.use() == InsertPiece.Use.REQUIRED
                        || band.use() == InsertPiece.Use.OPTIONAL && happens(0.5))
                .orElse(set.in());
        return new Fact.InsertSet(set.of(), set.piece(), happens(0.97) == in);
    }

    private static int opening(SeatSheet seat, Mass weight) {
        List<CrotchOpening> openings = seat.shell().crotch().value().orElse(List.of());
        for (int i = 0; i < openings.size(); i++) {
            if (openings.get(i).weights().contains(weight)) {
                return i + 1;
            }
        }
        return 1;
    }

    private void traineeAtWork(List<Entry> entries) {
        int at = random.nextInt(entries.size());
        entries.set(at, Changed.by(entries.get(at), new Author("pim", Author.Role.TRAINEE)));
        if (happens(0.8)) {
            Entry last = entries.get(entries.size() - 1);
            entries.add(Changed.then(How.MEASURED, last, new Fact.Countersigned(UnitId.FIRST)));
        }
    }

    private void elsewhere(List<Entry> entries, VehicleSheet car) {
        List<SeatingPosition> places = car.positions();
        SeatingPosition other = places.get(random.nextInt(places.size()));
        List<Entry> moved = entries.stream()
                .map(entry -> entry.fact() instanceof Fact.Placed placed
                        ? Fitting.saying(entry, new Fact.Placed(placed.of(), other.id(), placed.method()))
                        : entry)
                .collect(Collectors.toList());
        entries.clear();
        entries.addAll(moved);
    }
}
