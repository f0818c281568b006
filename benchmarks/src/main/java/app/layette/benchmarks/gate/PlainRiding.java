package app.layette.benchmarks.gate;

import app.layette.benchmarks.gate.PlainLog.Line;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.TeachItem;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.measure.Mass;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatKind;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What has to be so with the child in, and at the end. */
final class PlainRiding extends PlainFitting {
    private static final double HAND_MM = 30;

    PlainRiding(PlainFitting fitting) {
        super(fitting);
    }

    void withChild(List<String> wrong, Method method) {
        require(wrong, "clothing", looked(Question.CLOTHING, "CLOTHING", "THIN", "COAT_TESTED", "SET_BEFORE_COAT"));
        require(wrong, "snug", seat.harness().snugTest().isLooked() && looked(Question.SNUG, "SNUG_TEST", "SNUG"));
        boolean statedNone = seat.harness().clip().value().filter(has -> !has).isPresent();
        boolean noneSeen = seat.harness().clip().isSilent() && looked(Question.CLIP, "CLIP", "NONE_HERE");
        require(wrong, "clip", statedNone || noneSeen || looked(Question.CLIP, "CLIP", "ARMPIT"));
        boolean rolls =
                may.allow(PermissionKey.ROLLS_BESIDE_CHILD) && looked(Question.SUPPORT, "SUPPORT", "ROLLS_BESIDE");
        boolean cloth = may.allow(PermissionKey.CROTCH_CLOTH) && looked(Question.SUPPORT, "SUPPORT", "CROTCH_CLOTH");
        require(wrong, "support", rolls || cloth || looked(Question.SUPPORT, "SUPPORT", "NONE"));
        if (method == Method.CAR_BED || method == Method.LAY_FLAT) {
            var head = method == Method.CAR_BED
                    ? seat.carBed().headDirection()
                    : seat.layFlat().headDirection();
            require(
                    wrong,
                    "lies flat",
                    head.value().isPresent() && looked(Question.LIES_FLAT, "LIES_FLAT", "FLAT_HEAD_AS_SHEET"));
        } else {
            require(wrong, "level", level());
            require(wrong, "gap", gap());
        }
        if (method.isOnBase() || method.isBaseless() || method == Method.LAY_FLAT) {
            require(wrong, "handle", handle());
        }
    }

    private boolean level() {
        Optional<Line> read = log.best(Fact.LevelRead.class, fact -> fact.stage() == Fact.Stage.CHILD)
                .filter(Line::isHere);
        Optional<Indicator> indicator = seat.recline().indicator().value();
        if (read.isEmpty() || indicator.isEmpty() || weight() == null || born() == null) {
            return false;
        }
        Indicator here = indicator.get();
        Indicator.Band now = band(here, weight(), today);
        if (now == null || !counts(read.get(), "LEVEL")) {
            return false;
        }
        LocalDate on = read.get().day().orElse(today);
        Mass then = weightSeen(read.get());
        if (then == null || !now.equals(band(here, then, on))) {
            return false;
        }
        String sides = said(Question.SIDES);
        boolean asked = here.sides() != Indicator.Sides.ONE;
        if (asked || !sides.isEmpty()) {
            boolean oneOnly = here.sides() == Indicator.Sides.ONE && looked(Question.SIDES, "LEVEL", "ONE_ONLY");
            if (!oneOnly && !looked(Question.SIDES, "LEVEL", "ALIKE")) {
                return false;
            }
        }
        String reading = ((Fact.LevelRead) read.get().fact()).reading().name();
        boolean part = reading.equals("PART_UPRIGHT") || reading.equals("PART_RECLINED");
        return reading.equals("INSIDE") || part && here.pass() == Indicator.Pass.ANY_PART;
    }

    private static Indicator.Band band(Indicator indicator, Mass weight, LocalDate on, LocalDate born) {
        long days = ChronoUnit.DAYS.between(born, on);
        for (Indicator.Band band : indicator.bands()) {
            if (isIn(band.weights().from(), band.weights().below(), weight)
                    && isOfAge(band.ageMonths().from(), band.ageMonths().below(), days)) {
                return band;
            }
        }
        return null;
    }

    private Indicator.Band band(Indicator indicator, Mass weight, LocalDate on) {
        return band(indicator, weight, on, born().born());
    }

    /** The weight that was known to whoever read the level, where another came since. */
    private Mass weightSeen(Line read) {
        if (log.lastTouched(Set.of("MEASURES_RENEWED"), 0) <= read.seen()) {
            return weight();
        }
        FittingRecord then = new FittingRecord(
                record.riders(),
                record.units(),
                record.entries().stream()
                        .filter(entry -> entry.seq() <= read.seen())
                        .filter(entry -> entry.fact() instanceof Fact.Weighed)
                        .toList());
        return new PlainLog(then, Set.of(), practice.zone(), today)
                .best(Fact.Weighed.class)
                .map(line -> ((Fact.Weighed) line.fact()).mass())
                .orElse(null);
    }

    private boolean gap() {
        Optional<Line> tape = log.best(Fact.LengthMeasured.class, fact -> fact.what() == Fact.Dimension.GAP)
                .filter(Line::isHere);
        Optional<Line> eye = answered(Question.GAP);
        boolean byTape = tape.isPresent()
                && (eye.isEmpty() || tape.get().seq() > eye.get().seq());
        if (!byTape && (eye.isEmpty() || !eye.get().isHere())) {
            return false;
        }
        Line look = byTape ? tape.get() : eye.get();
        if (!counts(look, "GAP")) {
            return false;
        }
        double gap = byTape ? mm(((Fact.LengthMeasured) look.fact()).length()) : -1;
        boolean touches =
                byTape ? gap == 0 : ((Fact.Answered) look.fact()).answer().equals("TOUCHES");
        if (touches) {
            return may.allow(PermissionKey.TOUCHING_FRONT_SEAT);
        }
        if (!seat.gap().isLooked() || !car.gap().isLooked()) {
            return false;
        }
        double asked = Math.max(
                seat.gap().value().map(PlainFitting::mm).orElse(0.0),
                car.gap().value().map(PlainFitting::mm).orElse(0.0));
        boolean school = seat.gap().value().isEmpty() && car.gap().value().isEmpty();
        asked = school ? mm(practice.profile().gap()) : asked;
        return byTape ? gap >= asked : ((Fact.Answered) look.fact()).answer().equals("FLAT_HAND") && asked <= HAND_MM;
    }

    private boolean handle() {
        Optional<Line> set = log.best(Fact.HandleSet.class).filter(Line::isHere);
        if (set.isEmpty() || !counts(set.get(), "HANDLE")) {
            return false;
        }
        var position = ((Fact.HandleSet) set.get().fact()).position();
        boolean listed =
                seat.handle().value().filter(list -> list.contains(position)).isPresent();
        var lying =
                seat.kind() == SeatKind.LAY_FLAT ? seat.layFlat().handle().value() : Optional.<HandlePosition>empty();
        boolean only = seat.handle().value().filter(list -> list.size() == 1).isPresent();
        if (seat.kind() != SeatKind.LAY_FLAT || lying.isEmpty() && only) {
            return listed;
        }
        return lying.filter(each -> each == position).isPresent()
                && (listed || !seat.handle().isLooked());
    }

    void handOver(List<String> wrong, Method method) {
        for (TeachItem item : TeachItem.values()) {
            boolean asked = switch (item) {
                case CARRIER_ON_AND_OFF -> method.isOnBase();
                case READ_LEVEL -> method.isReclined();
                case BASELESS_ONCE -> method.isBaseless();
                // Told at the bedside, where there is no car to show it in.
                case SLOT, INSERT, HANDLE_FOR_DRIVING, LIMITS, GROWING_OUT, ADDITIONS, REGISTRATION_CARD -> false;
                default -> true;
            };
            Optional<Line> taught =
                    log.best(Fact.Taught.class, fact -> fact.item() == item).filter(Line::isHere);
            boolean done = taught.map(line -> (Fact.Taught) line.fact())
                    .filter(each -> each.outcome() == Fact.TeachOutcome.DONE
                            || each.reason() != null && !each.reason().isBlank())
                    .isPresent();
            require(wrong, "teaching " + item, !asked || done);
        }
        Optional<Line> cautions = answered(Question.CAUTIONS);
        require(
                wrong,
                "cautions",
                cautions.filter(line -> line.isHere()
                                && ((Fact.Answered) line.fact()).answer().equals("GIVEN"))
                        .isPresent());
        int lastByTrainee = record.entries().stream()
                .filter(entry -> entry.by().isTrainee())
                .mapToInt(entry -> entry.seq())
                .max()
                .orElse(0);
        boolean signed = lastByTrainee == 0
                || record.entries().stream()
                        .anyMatch(entry -> entry.fact() instanceof Fact.Countersigned
                                && !entry.by().isTrainee()
                                && entry.seen() >= lastByTrainee);
        require(wrong, "countersigned", signed);
    }
}
