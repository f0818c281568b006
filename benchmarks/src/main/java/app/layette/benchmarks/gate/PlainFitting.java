package app.layette.benchmarks.gate;

import app.layette.benchmarks.gate.PlainLog.Line;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Sheets;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;

/** One fitting as it lies open: its sheets, its log, and the plain questions that every subject asks of them. */
class PlainFitting {
    private static final Set<String> TOLD_IS_ENOUGH = Set.of("CONDITION", "HISTORY", "CRASH");
    private static final Set<String> READ_IS_ENOUGH = Set.of("APPROVAL", "RETRACTOR", "LATCH_PLATE");

    final Practice practice;
    final Sheets sheets;
    final FittingRecord record;
    final LocalDate today;
    final PlainLog log;
    final SeatSheet seat;
    final VehicleSheet car;
    final Fact.Placed placed;
    final PlainPermissions may;
    private final AtomicBoolean doubt;

    PlainFitting(Practice practice, Sheets sheets, FittingRecord record, LocalDate today) {
        this.practice = practice;
        this.sheets = sheets;
        this.record = record;
        this.today = today;
        Set<String> ids = new HashSet<>();
        sheets.seats().forEach(each -> ids.add(each.sheet().id()));
        sheets.cars().forEach(each -> ids.add(each.sheet().id()));
        this.log = new PlainLog(record, ids, practice.zone(), today);
        this.seat = adoptedSeat();
        this.car = adoptedCar();
        this.placed = log.best(Fact.Placed.class)
                .map(line -> (Fact.Placed) line.fact())
                .orElse(null);
        this.may = seat == null || car == null
                ? null
                : new PlainPermissions(seat, car, practice.profile().rollsBeside());
        this.doubt = new AtomicBoolean();
    }

    /** The same fitting, to be looked at for another subject. */
    PlainFitting(PlainFitting other) {
        this.practice = other.practice;
        this.sheets = other.sheets;
        this.record = other.record;
        this.today = other.today;
        this.log = other.log;
        this.seat = other.seat;
        this.car = other.car;
        this.placed = other.placed;
        this.may = other.may;
        this.doubt = other.doubt;
    }

    /** Whether there are a seat, a car and a place at all. */
    boolean isWhole() {
        return seat != null && car != null && placed != null && seat.status() != SheetStatus.DRAFT;
    }

    /** Notes that only a growth curve could tell. */
    void doubt(boolean so) {
        if (so) {
            doubt.set(true);
        }
    }

    boolean isInDoubt() {
        return doubt.get();
    }

    SeatSheet adoptedSeat() {
        String id = record.units().get(0).sheet().text();
        int version = 0;
        for (Line line : log.lines()) {
            if (line.fact() instanceof Fact.SheetAdopted adopted
                    && adopted.of().text().equals(id)
                    && adopted.adoption() == Fact.Adoption.ADOPTED) {
                version = adopted.version();
            }
        }
        for (SeatSheet each : sheets.seats()) {
            if (each.sheet().id().equals(id) && each.sheet().version() == version) {
                return each;
            }
        }
        return null;
    }

    /** A car that was only seen is nothing to fit into here: the fittings made for this never say enough of one. */
    VehicleSheet adoptedCar() {
        Fact last = null;
        for (Line line : log.lines()) {
            boolean ofCar = line.fact() instanceof Fact.SheetAdopted adopted
                    && !adopted.of().text().equals(record.units().get(0).sheet().text())
                    && adopted.adoption() == Fact.Adoption.ADOPTED;
            if (ofCar || line.fact() instanceof Fact.QuickCarSeen) {
                last = line.fact();
            }
        }
        if (!(last instanceof Fact.SheetAdopted adopted)) {
            return null;
        }
        for (VehicleSheet each : sheets.cars()) {
            boolean chosen = each.sheet().id().equals(adopted.of().text())
                    && each.sheet().version() == adopted.version();
            if (chosen) {
                return each.status() == SheetStatus.DRAFT ? null : each;
            }
        }
        return null;
    }

    static void require(List<String> wrong, String what, boolean so) {
        if (!so) {
            wrong.add(what);
        }
    }

    Optional<Line> answered(Question question) {
        return log.best(
                Fact.Answered.class,
                fact -> fact.question() == question
                        && (fact.place() == null || fact.place().equals(placed.position())));
    }

    boolean counts(Line line, String look) {
        boolean turns = seat.rotation().value().isEmpty()
                || !seat.rotation().value().get().name().equals("NONE");
        return log.lastTouched(PlainSpoils.of(look, turns), line.seq()) <= line.seen();
    }

    boolean isKnownWell(Line line, Question question) {
        if (TOLD_IS_ENOUGH.contains(question.name())) {
            return true;
        }
        return line.isHere() || READ_IS_ENOUGH.contains(question.name()) && line.isRead();
    }

    /** Answered in one of these ways, well enough known, and nothing touched since. */
    boolean looked(Question question, String look, String... fine) {
        Optional<Line> line = answered(question);
        return line.isPresent()
                && List.of(fine).contains(((Fact.Answered) line.get().fact()).answer())
                && isKnownWell(line.get(), question)
                && counts(line.get(), look);
    }

    /** A part that the sheet says is not there needs no look, one that is there a look, and nobody knows the rest. */
    boolean isThereAndLooked(Optional<Boolean> there, Question question, String look, String fine) {
        return there.isPresent() && (!there.get() || looked(question, look, fine));
    }

    String said(Question question) {
        return answered(question)
                .map(line -> ((Fact.Answered) line.fact()).answer())
                .orElse("");
    }

    Optional<Line> label(Fact.Part part) {
        return log.best(Fact.LabelRead.class, fact -> fact.part() == part)
                .filter(line -> line.isHere() || line.isRead());
    }

    static boolean isAmong(String model, List<String> models) {
        return models.stream().anyMatch(each -> PlainLog.flat(each).equals(PlainLog.flat(model)));
    }

    Optional<Line> weighed() {
        return log.best(Fact.Weighed.class);
    }

    Mass weight() {
        return weighed().map(line -> ((Fact.Weighed) line.fact()).mass()).orElse(null);
    }

    Fact.ChildDescribed born() {
        return log.best(Fact.ChildDescribed.class)
                .map(line -> (Fact.ChildDescribed) line.fact())
                .orElse(null);
    }

    long ageDays(LocalDate day) {
        return born() == null ? 0 : ChronoUnit.DAYS.between(born().born(), day);
    }

    static boolean isIn(Mass from, Mass below, Mass weight) {
        return (from == null || grams(weight) >= grams(from)) && (below == null || grams(weight) < grams(below));
    }

    static boolean isOfAge(Double from, Double below, long days) {
        double months = days / 30.4375;
        return (from == null || months >= from) && (below == null || months < below);
    }

    Optional<Line> insertSet(InsertPiece piece) {
        return log.best(Fact.InsertSet.class, fact -> fact.piece().equals(piece.key()))
                .filter(Line::isHere);
    }

    /** How many lock-offs can be used here; below zero where nobody knows what the only ones are on. */
    int lockOffs(SeatingPosition position, Method method) {
        boolean lapOnly =
                position.belt().kind().value().map(Enum::name).orElse("").equals("LAP_ONLY");
        boolean twoParts = seat.kind() == SeatKind.REAR_FACING_ONLY;
        String needed = method.isBaseless() ? "CARRIER" : "BASE";
        int usable = 0;
        boolean unknown = false;
        for (var each : seat.lockOffs().value().orElse(List.of())) {
            if (lapOnly && !each.part().name().equals("LAP")) {
                continue;
            }
            unknown |= twoParts && each.on() == null;
            boolean here = !twoParts || each.on() != null && each.on().name().equals(needed);
            usable += here ? 1 : 0;
        }
        return usable == 0 && unknown ? -1 : usable;
    }

    Double anchorLimitGrams() {
        if (!seat.anchorLimit().isLooked() || !car.anchorLimit().isLooked()) {
            return null;
        }
        double least = Double.MAX_VALUE;
        if (seat.anchorLimit().value().isPresent()) {
            least = grams(seat.anchorLimit().value().get());
        }
        if (car.anchorLimit().value().isPresent()) {
            least = Math.min(least, grams(car.anchorLimit().value().get()));
        }
        boolean inPounds = practice.profile().anchorLimit().name().startsWith("NORTH_AMERICA");
        return least < Double.MAX_VALUE ? least : inPounds ? 65 * 453.59237 : 33_000;
    }

    Double restraintGrams() {
        Mass shell = seat.shell().carrierMass().value().orElse(null);
        Mass base = seat.shell().baseMass().value().orElse(null);
        boolean needsBase = seat.kind() == SeatKind.REAR_FACING_ONLY;
        if (shell == null || needsBase && base == null) {
            return null;
        }
        return grams(shell) + (needsBase ? grams(base) : 0);
    }

    static double grams(Mass mass) {
        return mass.grams();
    }

    static double mm(Length length) {
        return length.millimetres();
    }
}
