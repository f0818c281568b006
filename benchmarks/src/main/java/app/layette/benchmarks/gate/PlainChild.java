package app.layette.benchmarks.gate;

import app.layette.benchmarks.gate.PlainLog.Line;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.Mode;
import app.layette.core.seat.SeatKind;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;

/** What has to be so of the child in this restraint. */
final class PlainChild extends PlainFitting {
    private static final double LOW_WEIGHT_GRAMS = 2500;
    private static final int TERM_DAYS = 37 * 7;
    private static final long FIRST_WEEKS_DAYS = 35;
    /** Where growth curves end. */
    private static final long CURVE_DAYS = 700;

    PlainChild(PlainFitting fitting) {
        super(fitting);
    }

    void child(List<String> wrong, Method method) {
        Optional<Line> body = log.best(Fact.LengthMeasured.class, fact -> fact.what() == Fact.Dimension.BODY);
        if (born() == null || weight() == null || body.isEmpty()) {
            wrong.add("nobody was described, weighed or measured");
            return;
        }
        Mass min = limit(seat.limits().weightMin(), Mode::weightMin);
        Mass max = limit(seat.limits().weightMax(), Mode::weightMax);
        require(
                wrong,
                "weight",
                min != null && max != null && grams(weight()) >= grams(min) && grams(weight()) <= grams(max));
        require(wrong, "age of the weight", weightIsFresh());
        Length length = ((Fact.LengthMeasured) body.get().fact()).length();
        LengthLimit lengthLimit = limit(seat.limits().lengthMax(), Mode::lengthMax);
        Length longest = lengthLimit == null ? null : lengthLimit.max().orElse(null);
        boolean limited = longest != null;
        require(wrong, "length", lengthLimit != null && (!limited || mm(length) <= mm(longest)));
        require(wrong, "age of the length", lengthIsFresh(body.get(), limited ? mm(longest) : 0));
        require(wrong, "orders", orders());
        require(wrong, "screening", screening());
        require(wrong, "insert", insert());
        if (method.isReclined()) {
            boolean feet = may.allow(PermissionKey.FEET_PAST_END) || looked(Question.FEET, "FEET", "WITHIN");
            require(wrong, "feet", feet);
        }
    }

    /** What the sheet says for every mode, else what it says for the rear-facing one. */
    private <T> T limit(Evidence<T> ofAll, Function<Mode, Evidence<T>> ofMode) {
        if (ofAll.isLooked()) {
            return ofAll.value().orElse(null);
        }
        for (Mode mode : seat.modes()) {
            if (mode.isRearFacing()) {
                return ofMode.apply(mode).value().orElse(null);
            }
        }
        return null;
    }

    private boolean isToldSince(Line inForce, Predicate<Fact> same) {
        Line last = null;
        for (Line line : log.lines()) {
            last = line.rank() < 3 && same.test(line.fact()) ? line : last;
        }
        return last != null
                && last.seq() > inForce.seq()
                && last.rank() == 2
                && inForce.isHere()
                && !last.day().orElse(today).isBefore(inForce.day().orElse(LocalDate.MIN));
    }

    private boolean weightIsFresh() {
        Line line = weighed().orElseThrow();
        if (line.day().isEmpty() || isToldSince(line, fact -> fact instanceof Fact.Weighed)) {
            return false;
        }
        long old = ChronoUnit.DAYS.between(line.day().get(), today);
        if (old == 0) {
            return true;
        }
        if (ageDays(line.day().get()) < 14 && old > 3) {
            return false;
        }
        doubt(ageDays(today) > CURVE_DAYS);
        double least = grams(weight()) * 0.8;
        // A newborn may come back to its weight at birth from one day to the next.
        boolean newborn = ageDays(line.day().get()) < FIRST_WEEKS_DAYS;
        double most = grams(weight()) + 120.0 * old + (newborn ? 1800 : 300);
        for (double border : borders()) {
            // A curve would have to say whether it was crossed.
            doubt(border > least && border <= most);
        }
        return true;
    }

    private List<Double> borders() {
        List<Double> borders = new ArrayList<>();
        add(
                borders,
                limit(seat.limits().weightMin(), Mode::weightMin),
                limit(seat.limits().weightMax(), Mode::weightMax));
        for (InsertPiece piece : seat.insert().value().orElse(List.of())) {
            piece.bands()
                    .forEach(band ->
                            add(borders, band.weights().from(), band.weights().below()));
        }
        seat.shell()
                .crotch()
                .value()
                .orElse(List.of())
                .forEach(each ->
                        add(borders, each.weights().from(), each.weights().below()));
        seat.recline()
                .indicator()
                .value()
                .map(Indicator::bands)
                .orElse(List.of())
                .forEach(band ->
                        add(borders, band.weights().from(), band.weights().below()));
        seat.harness().shortestSnugFrom().value().ifPresent(each -> borders.add(grams(each)));
        Double limit = anchorLimitGrams();
        Double restraint = restraintGrams();
        if (!placed.method().isByBelt() && limit != null && restraint != null) {
            borders.add(limit - restraint);
        }
        return borders;
    }

    private static void add(List<Double> borders, Mass from, Mass below) {
        if (from != null) {
            borders.add(grams(from));
        }
        if (below != null) {
            borders.add(grams(below));
        }
    }

    private boolean lengthIsFresh(Line line, double longest) {
        boolean toldSince = isToldSince(
                line, fact -> fact instanceof Fact.LengthMeasured length && length.what() == Fact.Dimension.BODY);
        if (line.day().isEmpty() || toldSince) {
            return false;
        }
        long old = ChronoUnit.DAYS.between(line.day().get(), today);
        double now = mm(((Fact.LengthMeasured) line.fact()).length());
        boolean near = longest > 0 && now <= longest && now + 5.0 * old + 40 > longest;
        doubt(old > 0 && (near || ageDays(line.day().get()) < 0 || ageDays(today) > CURVE_DAYS));
        return true;
    }

    private boolean orders() {
        Fact.Ordered standing = null;
        int rank = 0;
        for (Line line : log.lines()) {
            if (!(line.fact() instanceof Fact.Ordered next) || line.rank() == 3) {
                continue;
            }
            boolean isSome = standing != null && standing.order() != Fact.OrderKind.NONE;
            boolean lifted = next.order() == Fact.OrderKind.NONE
                    && (next.role() == null || next.role().isBlank());
            if (isSome && (lifted || line.rank() > rank)) {
                continue;
            }
            standing = next;
            rank = line.rank();
        }
        if (standing == null) {
            return false;
        }
        if (standing.order() == Fact.OrderKind.NONE) {
            return true;
        }
        boolean whole = standing.role() != null
                && !standing.role().isBlank()
                && standing.on() != null
                && standing.reviewOn() != null;
        if (!whole || today.isAfter(standing.reviewOn())) {
            return false;
        }
        return switch (standing.order()) {
            case NONE -> true;
            case FLAT -> seat.kind() == SeatKind.CAR_BED || seat.kind() == SeatKind.LAY_FLAT;
            case SEMI_RECLINED -> seat.kind() != SeatKind.CAR_BED;
            case AS_SCREENED -> {
                Fact.Screened screened = screened();
                yield screened != null && isPassedHere(screened);
            }
        };
    }

    private Fact.Screened screened() {
        return log.best(Fact.Screened.class)
                .map(line -> (Fact.Screened) line.fact())
                .orElse(null);
    }

    private boolean isPassedHere(Fact.Screened screened) {
        return screened.result() == Fact.ScreeningResult.PASSED
                && screened.restraint() != null
                && isAmong(screened.restraint(), seat.identity().modelNumbers());
    }

    private boolean screening() {
        if (answered(Question.CONDITION).isEmpty()) {
            return false;
        }
        Fact.ChildDescribed child = born();
        boolean asked = practice.profile().screening().name().equals("EVERYONE")
                || child.gestationDays() == null
                || child.gestationDays() < TERM_DAYS
                || child.birthWeight() == null
                || grams(child.birthWeight()) < LOW_WEIGHT_GRAMS
                || grams(weight()) < LOW_WEIGHT_GRAMS
                || !said(Question.CONDITION).equals("NONE");
        if (!asked) {
            return true;
        }
        Fact.Screened screened = screened();
        if (screened == null) {
            return false;
        }
        boolean informed = screened.result() == Fact.ScreeningResult.NOT_OFFERED_CLINICIAN_INFORMED
                && screened.who() != null
                && !screened.who().isBlank()
                && screened.on() != null;
        return informed || isPassedHere(screened);
    }

    private boolean insert() {
        if (seat.insert().value().isEmpty()) {
            return false;
        }
        for (InsertPiece piece : seat.insert().value().get()) {
            Optional<Line> set = insertSet(piece);
            if (set.isEmpty() || !counts(set.get(), "INSERT")) {
                return false;
            }
            boolean in = ((Fact.InsertSet) set.get().fact()).in();
            Optional<InsertPiece.Band> band = piece.bands().stream()
                    .filter(each -> isIn(each.weights().from(), each.weights().below(), weight()))
                    .filter(each ->
                            isOfAge(each.ageMonths().from(), each.ageMonths().below(), ageDays(today)))
                    .findFirst();
            boolean wrong = band.isEmpty()
                    || band.get().use() == InsertPiece.Use.REQUIRED && !in
                    || band.get().use() == InsertPiece.Use.MUST_BE_OUT && in;
            if (wrong) {
                return false;
            }
        }
        return true;
    }
}
