package app.layette.benchmarks.gate;

import app.layette.benchmarks.gate.PlainLog.Line;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.TeachItem;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.Practice;
import app.layette.core.seat.Connectors;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LegUse;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.Mode;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * Whether a fitting may be handed over, said in the plainest way: one long list of things that have to be so. Where only
 * a growth curve could tell, it says that it cannot.
 */
final class PlainChecker {
    /** What it says of a fitting. */
    enum Answer {
        OPEN,
        SHUT,
        /** Only a growth curve could tell. */
        CANNOT_SAY
    }

    private static final Set<String> TOLD_IS_ENOUGH = Set.of("CONDITION", "HISTORY", "CRASH");
    private static final Set<String> READ_IS_ENOUGH = Set.of("APPROVAL", "RETRACTOR", "LATCH_PLATE");
    private static final double LOW_WEIGHT_GRAMS = 2500;
    private static final int TERM_DAYS = 37 * 7;
    private static final double INCH_MM = 25.4;
    private static final double HAND_MM = 30;
    private static final long FIRST_WEEKS_DAYS = 35;
    /** Where growth curves end. */
    private static final long CURVE_DAYS = 700;

    private final Practice practice;
    private final FittingRecord record;
    private final LocalDate today;
    private final PlainLog log;
    private final Sheets sheets;

    private SeatSheet seat;
    private VehicleSheet car;
    private Fact.Placed placed;
    private PlainPermissions may;
    private boolean cannotSay;

    PlainChecker(Practice practice, Sheets sheets, FittingRecord record, LocalDate today) {
        this.practice = practice;
        this.sheets = sheets;
        this.record = record;
        this.today = today;
        Set<String> ids = new HashSet<>();
        sheets.seats().forEach(each -> ids.add(each.sheet().id()));
        sheets.cars().forEach(each -> ids.add(each.sheet().id()));
        this.log = new PlainLog(record, ids, practice.zone(), today);
    }

    /** What keeps it shut; for looking into a disagreement. */
    List<String> against() {
        List<String> wrong = new ArrayList<>();
        judge(wrong);
        return wrong;
    }

    Answer answer() {
        List<String> wrong = new ArrayList<>();
        judge(wrong);
        return !wrong.isEmpty() ? Answer.SHUT : cannotSay ? Answer.CANNOT_SAY : Answer.OPEN;
    }

    private void judge(List<String> wrong) {
        Optional<Line> place = log.best(Fact.Placed.class);
        seat = adoptedSeat();
        car = adoptedCar();
        if (seat == null || car == null || place.isEmpty() || seat.status() == SheetStatus.DRAFT) {
            wrong.add("no seat, no car, no place, or a draft");
            return;
        }
        placed = (Fact.Placed) place.get().fact();
        may = new PlainPermissions(seat, car, practice.profile().rollsBeside());
        Method method = placed.method();
        require(wrong, "one rider, one unit", record.riders().size() == 1 && record.units().size() == 1);
        require(wrong, "sheets", sheetsAreCurrent());
        condition(wrong, method);
        child(wrong, method);
        if (method != Method.CAR_BED) {
            harness(wrong, method);
        }
        place(wrong, method);
        securing(wrong, method);
        withChild(wrong, method);
        handOver(wrong, method);
    }

    private static void require(List<String> wrong, String what, boolean so) {
        if (!so) {
            wrong.add(what);
        }
    }

    // Sheets.

    private SeatSheet adoptedSeat() {
        String id = record.units().get(0).sheet();
        int version = 0;
        for (Line line : log.lines()) {
            if (line.fact() instanceof Fact.SheetAdopted adopted
                    && adopted.of().equals(id)
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
    private VehicleSheet adoptedCar() {
        Fact last = null;
        for (Line line : log.lines()) {
            boolean ofCar = line.fact() instanceof Fact.SheetAdopted adopted
                    && !adopted.of().equals(record.units().get(0).sheet())
                    && adopted.adoption() == Fact.Adoption.ADOPTED;
            if (ofCar || line.fact() instanceof Fact.QuickCarSeen) {
                last = line.fact();
            }
        }
        if (!(last instanceof Fact.SheetAdopted adopted)) {
            return null;
        }
        for (VehicleSheet each : sheets.cars()) {
            boolean chosen =
                    each.sheet().id().equals(adopted.of()) && each.sheet().version() == adopted.version();
            if (chosen) {
                return each.status() == SheetStatus.DRAFT ? null : each;
            }
        }
        return null;
    }

    private boolean sheetsAreCurrent() {
        return sheets.seats().stream()
                        .noneMatch(each -> each.sheet().id().equals(seat.sheet().id())
                                && each.sheet().version() > seat.sheet().version())
                && sheets.cars().stream()
                        .noneMatch(each -> each.sheet().id().equals(car.sheet().id())
                                && each.sheet().version() > car.sheet().version());
    }

    // Looks.

    private Optional<Line> answered(Question question) {
        return log.best(
                Fact.Answered.class,
                fact -> fact.question() == question
                        && (fact.place() == null || fact.place().equals(placed.position())));
    }

    private boolean counts(Line line, String look) {
        boolean turns = seat.rotation().value().isEmpty()
                || !seat.rotation().value().get().name().equals("NONE");
        return log.lastTouched(PlainSpoils.of(look, turns), line.seq()) <= line.seen();
    }

    private boolean isKnownWell(Line line, Question question) {
        if (TOLD_IS_ENOUGH.contains(question.name())) {
            return true;
        }
        return line.isHere() || READ_IS_ENOUGH.contains(question.name()) && line.isRead();
    }

    /** Answered in one of these ways, well enough known, and nothing touched since. */
    private boolean looked(Question question, String look, String... fine) {
        Optional<Line> line = answered(question);
        return line.isPresent()
                && List.of(fine).contains(((Fact.Answered) line.get().fact()).answer())
                && isKnownWell(line.get(), question)
                && counts(line.get(), look);
    }

    private String said(Question question) {
        return answered(question)
                .map(line -> ((Fact.Answered) line.fact()).answer())
                .orElse("");
    }

    // The restraint.

    private void condition(List<String> wrong, Method method) {
        Optional<Line> shell = label(Fact.Part.CARRIER);
        require(wrong, "label", shell.isPresent() && labelMatches((Fact.LabelRead) shell.get().fact()));
        require(wrong, "expiry of the shell", shell.isPresent() && isInDate((Fact.LabelRead) shell.get().fact()));
        if (method.isOnBase()) {
            Optional<Line> base = label(Fact.Part.BASE);
            require(wrong, "base", base.isPresent() && baseBelongs((Fact.LabelRead) base.get().fact()));
            require(wrong, "expiry of the base", base.isPresent() && isInDate((Fact.LabelRead) base.get().fact()));
        }
        require(wrong, "history", looked(Question.HISTORY, "HISTORY", "OWNED_FROM_NEW", "KNOWN_DONOR"));
        boolean minorStays = seat.crash().isLooked()
                && seat.crash().value().map(rule -> rule.name().equals("MINOR_MAY_STAY")).orElse(true);
        require(
                wrong,
                "crash",
                looked(Question.CRASH, "CRASH", "NONE")
                        || minorStays && looked(Question.CRASH, "CRASH", "MINOR"));
        require(wrong, "recall", recall());
        require(
                wrong,
                "parts",
                looked(Question.PARTS, "PARTS", "COMPLETE") && seat.parts().value().isPresent());
        require(wrong, "manuals", looked(Question.MANUALS, "MANUALS", "BOTH"));
        require(
                wrong,
                "approval",
                looked(Question.APPROVAL, "APPROVAL", "ON_LABEL")
                        && practice.lawCountry().isPresent()
                        && seat.approvals()
                                .value()
                                .filter(list -> list.contains(practice.lawCountry().get()))
                                .isPresent());
        boolean noConditions = seat.ownConditions().value().filter(List::isEmpty).isPresent();
        require(
                wrong,
                "own conditions",
                noConditions
                        || seat.ownConditions().value().isPresent()
                                && looked(Question.OWN_CONDITIONS, "OWN_CONDITIONS", "MET"));
    }

    private Optional<Line> label(Fact.Part part) {
        return log.best(Fact.LabelRead.class, fact -> fact.part() == part)
                .filter(line -> line.isHere() || line.isRead());
    }

    private boolean labelMatches(Fact.LabelRead label) {
        if (label.model() == null || label.model().isBlank() || label.made() == null) {
            return false;
        }
        LocalDate from = seat.identity().manufacturedFrom();
        LocalDate to = seat.identity().manufacturedTo();
        return isAmong(label.model(), seat.identity().modelNumbers())
                && (from == null || !label.made().firstDay().isBefore(from))
                && (to == null || !label.made().lastDay().isAfter(to));
    }

    private static boolean isAmong(String model, List<String> models) {
        return models.stream().anyMatch(each -> PlainLog.flat(each).equals(PlainLog.flat(model)));
    }

    private boolean isInDate(Fact.LabelRead label) {
        LocalDate last = label.doNotUseAfter() == null ? null : label.doNotUseAfter().lastDay();
        Integer years = seat.life().value().map(life -> life.years()).orElse(null);
        boolean known = seat.life().isLooked();
        boolean notStated = seat.life().isSilent()
                || seat.life().value().isPresent() && years == null;
        if (label.part() == Fact.Part.BASE && label.model() != null) {
            for (var base : seat.bases().value().orElse(List.of())) {
                if (isAmong(label.model(), base.modelNumbers()) && base.lifeYears() != null) {
                    years = base.lifeYears();
                    known = true;
                    notStated = false;
                    break;
                }
            }
        }
        if (years != null && label.made() != null) {
            LocalDate counted = label.made().firstDay().plusYears(years);
            last = last == null || counted.isBefore(last) ? counted : last;
        }
        if (last != null) {
            return !today.isAfter(last);
        }
        return known && notStated;
    }

    private boolean baseBelongs(Fact.LabelRead label) {
        if (label.model() == null || seat.bases().value().isEmpty()) {
            return false;
        }
        for (var base : seat.bases().value().get()) {
            if (isAmong(label.model(), base.modelNumbers())) {
                return base.setUp() == null || looked(Question.BASE_SET_UP, "BASE_FITS_CARRIER", "AS_SHEET");
            }
        }
        return false;
    }

    private boolean recall() {
        if (!looked(Question.RECALL, "RECALL", "NONE_OPEN", "REMEDY_DONE")) {
            return false;
        }
        Optional<LocalDate> on = answered(Question.RECALL).orElseThrow().day();
        return on.isPresent()
                && ChronoUnit.DAYS.between(on.get(), today) <= practice.profile().recallDays();
    }

    // The child.

    private Optional<Line> weighed() {
        return log.best(Fact.Weighed.class);
    }

    private Mass weight() {
        return weighed().map(line -> ((Fact.Weighed) line.fact()).mass()).orElse(null);
    }

    private Fact.ChildDescribed born() {
        return log.best(Fact.ChildDescribed.class)
                .map(line -> (Fact.ChildDescribed) line.fact())
                .orElse(null);
    }

    private long ageDays(LocalDate day) {
        return born() == null ? 0 : ChronoUnit.DAYS.between(born().born(), day);
    }

    private void child(List<String> wrong, Method method) {
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

    private boolean isToldSince(Line inForce, java.util.function.Predicate<Fact> same) {
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
        cannotSay |= ageDays(today) > CURVE_DAYS;
        double least = grams(weight()) * 0.8;
        // A newborn may come back to its weight at birth from one day to the next.
        boolean newborn = ageDays(line.day().get()) < FIRST_WEEKS_DAYS;
        double most = grams(weight()) + 120.0 * old + (newborn ? 1800 : 300);
        for (double border : borders()) {
            // A curve would have to say whether it was crossed.
            cannotSay |= border > least && border <= most;
        }
        return true;
    }

    private List<Double> borders() {
        List<Double> borders = new ArrayList<>();
        add(borders, limit(seat.limits().weightMin(), Mode::weightMin), limit(seat.limits().weightMax(), Mode::weightMax));
        for (InsertPiece piece : seat.insert().value().orElse(List.of())) {
            piece.bands().forEach(band -> add(borders, band.weights().from(), band.weights().below()));
        }
        seat.shell()
                .crotch()
                .value()
                .orElse(List.of())
                .forEach(each -> add(borders, each.weights().from(), each.weights().below()));
        seat.recline()
                .indicator()
                .value()
                .map(Indicator::bands)
                .orElse(List.of())
                .forEach(band -> add(borders, band.weights().from(), band.weights().below()));
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
                line,
                fact -> fact instanceof Fact.LengthMeasured length && length.what() == Fact.Dimension.BODY);
        if (line.day().isEmpty() || toldSince) {
            return false;
        }
        long old = ChronoUnit.DAYS.between(line.day().get(), today);
        double now = mm(((Fact.LengthMeasured) line.fact()).length());
        boolean near = longest > 0 && now <= longest && now + 5.0 * old + 40 > longest;
        cannotSay |= old > 0 && (near || ageDays(line.day().get()) < 0 || ageDays(today) > CURVE_DAYS);
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
            boolean lifted = next.order() == Fact.OrderKind.NONE && (next.role() == null || next.role().isBlank());
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
                    .filter(each -> isOfAge(each.ageMonths().from(), each.ageMonths().below(), ageDays(today)))
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

    private Optional<Line> insertSet(InsertPiece piece) {
        return log.best(Fact.InsertSet.class, fact -> fact.piece().equals(piece.key()))
                .filter(Line::isHere);
    }

    private static boolean isIn(Mass from, Mass below, Mass weight) {
        return (from == null || grams(weight) >= grams(from)) && (below == null || grams(weight) < grams(below));
    }

    private static boolean isOfAge(Double from, Double below, long days) {
        double months = days / 30.4375;
        return (from == null || months >= from) && (below == null || months < below);
    }

    // The harness.

    private void harness(List<String> wrong, Method method) {
        slot(wrong);
        require(wrong, "head room", headRoom());
        require(wrong, "crotch", crotch());
        require(wrong, "webbing", looked(Question.WEBBING, "WEBBING", "STRAIGHT_HOME_AND_FREE"));
        require(wrong, "snug at its shortest", looked(Question.SNUG_SHORTEST, "SNUG_AT_SHORTEST", "SNUG"));
        require(
                wrong,
                "covers",
                isThereAndLooked(
                        seat.harness().covers().value().map(each -> !each.name().equals("NONE")),
                        Question.COVERS,
                        "COVERS",
                        "AS_SHEET"));
    }

    /** A part that the sheet says is not there needs no look, one that is there a look, and nobody knows the rest. */
    private boolean isThereAndLooked(Optional<Boolean> there, Question question, String look, String fine) {
        return there.isPresent() && (!there.get() || looked(question, look, fine));
    }

    private void slot(List<String> wrong) {
        List<Length> slots = seat.shell().slots().value().orElse(List.of());
        Optional<Line> tape = height(Fact.Dimension.SHOULDER);
        Optional<Line> eye = log.best(Fact.ShoulderSeen.class).filter(line -> line.isHere() || line.rank() == 2)
                .filter(line -> line.how() != app.layette.core.entry.How.Kind.TOLD);
        Optional<Line> set = log.best(Fact.SlotsSet.class).filter(Line::isHere);
        if (slots.isEmpty() || set.isEmpty() || tape.isEmpty() && eye.isEmpty()) {
            wrong.add("slots, shoulder or threading not looked at");
            return;
        }
        boolean byTape = tape.isPresent() && (eye.isEmpty() || tape.get().seq() > eye.get().seq());
        Line look = byTape ? tape.get() : eye.get();
        int best = 0;
        if (byTape) {
            double height = alongBack(tape.get());
            for (int i = 0; i < slots.size(); i++) {
                best = mm(slots.get(i)) <= height ? i + 1 : best;
            }
        } else {
            best = Math.min(((Fact.ShoulderSeen) look.fact()).slotAtOrBelow(), slots.size());
        }
        Fact.SlotsSet threaded = (Fact.SlotsSet) set.get().fact();
        require(wrong, "shoulder look", counts(look, "SLOT_IN_REACH"));
        require(wrong, "slot in reach", best >= 1);
        require(wrong, "slot", threaded.leftShell() == best);
        int slot = threaded.leftShell();
        boolean alike = threaded.rightShell() == slot && threaded.leftPad() == slot && threaded.rightPad() == slot;
        require(wrong, "threaded alike", alike && counts(set.get(), "THREADED_ALIKE"));
        boolean moved = log.lines().stream()
                .anyMatch(line -> line.fact() instanceof Fact.WebbingMoved
                        && line.seq() > set.get().seen());
        require(wrong, "webbing moved", !moved);
        boolean loop = seat.harness().loops().isLooked();
        for (var each : seat.harness().loops().value().orElse(List.of())) {
            if (slot >= each.fromSlot() && slot <= each.toSlot()) {
                loop = each.name().equals(threaded.loop());
                break;
            }
        }
        require(wrong, "loop", loop);
        growing(wrong, look, byTape ? alongBack(look) : -1, slots);
    }

    private void growing(List<String> wrong, Line look, double height, List<Length> slots) {
        if (look.day().isEmpty()) {
            wrong.add("nobody knows when the shoulder was looked at");
            return;
        }
        long old = ChronoUnit.DAYS.between(look.day().get(), today);
        if (old == 0) {
            return;
        }
        cannotSay |= height < 0 || ageDays(today) > CURVE_DAYS;
        for (Length slot : slots) {
            cannotSay |= height >= 0 && mm(slot) > height - 15 && mm(slot) <= height + 15 + 3.0 * old;
        }
    }

    private Optional<Line> height(Fact.Dimension what) {
        return log.best(Fact.LengthMeasured.class, fact -> fact.what() == what)
                .filter(line -> line.isHere() || line.how() == app.layette.core.entry.How.Kind.CARRIED_FROM)
                .filter(line -> ((Fact.LengthMeasured) line.fact()).insert() != Fact.InsertState.BARE
                        || knowsInsert());
    }

    private boolean knowsInsert() {
        return seat.insert()
                .value()
                .filter(pieces -> pieces.stream().allMatch(piece -> insertSet(piece).isPresent()))
                .isPresent();
    }

    private double alongBack(Line line) {
        Fact.LengthMeasured height = (Fact.LengthMeasured) line.fact();
        double lift = 0;
        if (height.insert() == Fact.InsertState.BARE) {
            for (InsertPiece piece : seat.insert().value().orElse(List.of())) {
                boolean in = insertSet(piece)
                        .filter(set -> ((Fact.InsertSet) set.fact()).in())
                        .isPresent();
                lift += in ? mm(piece.lift()) : 0;
            }
        }
        return mm(height.length()) + lift;
    }

    private boolean headRoom() {
        if (!seat.shell().headRoom().isLooked()) {
            return false;
        }
        double asked = mm(seat.shell().headRoom().value().orElse(practice.profile().headRoom()));
        Optional<Line> tape = height(Fact.Dimension.CROWN);
        Optional<Line> eye = answered(Question.HEAD_ROOM).filter(Line::isHere);
        if (tape.isEmpty() && eye.isEmpty()) {
            return false;
        }
        boolean byTape = tape.isPresent() && (eye.isEmpty() || tape.get().seq() > eye.get().seq());
        Line look = byTape ? tape.get() : eye.get();
        if (byTape && seat.shell().top().value().isEmpty()) {
            return false;
        }
        double room = byTape
                ? mm(seat.shell().top().value().orElseThrow()) - alongBack(look)
                : switch (((Fact.Answered) look.fact()).answer()) {
                    case "AT_LEAST_50" -> 50;
                    case "AT_LEAST_25" -> 25;
                    default -> 0;
                };
        if (room < asked || !counts(look, "HEAD_ROOM") || look.day().isEmpty()) {
            return false;
        }
        long old = ChronoUnit.DAYS.between(look.day().get(), today);
        cannotSay |= old > 0 && (!byTape || ageDays(today) > CURVE_DAYS || room - asked < 25 + 5.0 * old);
        return true;
    }

    private boolean crotch() {
        Optional<Line> set = log.best(Fact.CrotchSet.class).filter(Line::isHere);
        var openings = seat.shell().crotch().value().orElse(List.of());
        if (set.isEmpty() || weight() == null) {
            return false;
        }
        int opening = ((Fact.CrotchSet) set.get().fact()).opening();
        return opening >= 1
                && opening <= openings.size()
                && isIn(
                        openings.get(opening - 1).weights().from(),
                        openings.get(opening - 1).weights().below(),
                        weight())
                && counts(set.get(), "CROTCH");
    }

    // The place.

    private void place(List<String> wrong, Method method) {
        Optional<SeatingPosition> position = car.position(placed.position());
        if (position.isEmpty()) {
            wrong.add("no such place");
            return;
        }
        require(wrong, "method", methodFits(method));
        atPlace(wrong, position.get(), method);
        if (placed.position().row() == 1) {
            require(wrong, "front row", may.allow(PermissionKey.FRONT_ROW));
            require(wrong, "back row", answered(Question.BACK_ROW).isEmpty()
                    || looked(Question.BACK_ROW, "FRONT_ROW", "NO_PLACE_CAN"));
            cannotSay |= answered(Question.BACK_ROW).isEmpty();
        }
        if (!method.isByBelt()) {
            require(wrong, "anchors", anchors(position.get()));
            Double limit = anchorLimitGrams();
            Double restraint = restraintGrams();
            require(
                    wrong,
                    "anchor limit",
                    limit != null && restraint != null && weight() != null && grams(weight()) + restraint <= limit);
        }
        if (method == Method.BASELESS_AMERICAN || method == Method.BASELESS_EUROPEAN) {
            require(wrong, "routing", routing(position.get(), method));
        }
        if (method == Method.CAR_BED) {
            var named = seat.carBed().positions().value();
            var whole = seat.says(PermissionKey.CAR_BED_POSITION);
            boolean said = named.filter(list -> list.contains(placed.position())).isPresent();
            boolean takenBack = whole.isLooked()
                    && whole.value().filter(each -> each.name().equals("ALLOWED")).isEmpty();
            boolean filled = named.isEmpty()
                    && whole.value().filter(each -> each.name().equals("ALLOWED")).isPresent();
            require(wrong, "place of the bed", filled || said && !takenBack);
        }
        if (method == Method.LAY_FLAT) {
            require(wrong, "lay-flat here", may.allow(PermissionKey.LAY_FLAT_POSITION));
            Optional<SeatingPosition> second = car.position(placed.position().besides());
            require(wrong, "second place", second.isPresent());
            second.ifPresent(each -> atPlace(wrong, each, method));
        }
        if (method.isReclined()) {
            require(wrong, "ground", looked(Question.GROUND, "LEVEL_GROUND", "LEVEL"));
        }
    }

    private boolean methodFits(Method method) {
        boolean onBaseOrBaseless = method.isOnBase()
                || method == Method.BASELESS_AMERICAN
                || method == Method.BASELESS_EUROPEAN;
        boolean convertible = method == Method.CONVERTIBLE_BELT || method == Method.CONVERTIBLE_ANCHORS;
        boolean kind = switch (seat.kind()) {
            case REAR_FACING_ONLY -> onBaseOrBaseless;
            case CONVERTIBLE -> convertible;
            case CAR_BED -> method == Method.CAR_BED;
            case LAY_FLAT -> method == Method.LAY_FLAT;
        };
        if (!kind || method.isByBelt()) {
            return kind;
        }
        if (seat.connectors().value().isEmpty()) {
            return false;
        }
        boolean rigid = seat.connectors().value().get().kind() == Connectors.Kind.RIGID_ARMS;
        return convertible || rigid == (method == Method.BASE_RIGID_LEG);
    }

    private void atPlace(List<String> wrong, SeatingPosition position, Method method) {
        String airbag = position.airbag().value().map(Enum::name).orElse("");
        boolean lamp = may.doesNotTakeBack(PermissionKey.FRONT_AIRBAG_OFF)
                && (position.airbag().source().filter(source -> source.isSeen()).isPresent()
                        || looked(Question.AIRBAG_LAMP, "AIRBAG", "OFF_SEEN"));
        require(wrong, "airbag", airbag.equals("NONE") || airbag.equals("OFF_CONFIRMED") && lamp);
        String facing = position.facing().value().map(Enum::name).orElse("");
        boolean unusual = facing.equals("SIDEWAYS") || facing.equals("REARWARD");
        require(
                wrong,
                "vehicle seat",
                facing.equals("FORWARD") || unusual && may.allow(PermissionKey.UNUSUAL_VEHICLE_SEAT));
        if (method.isByBelt()) {
            require(wrong, "belt locks", beltLocks(position, method));
            Optional<Boolean> inflatable = position.belt().inflatable().value();
            require(
                    wrong,
                    "inflatable belt",
                    inflatable.isPresent() && (!inflatable.get() || may.allow(PermissionKey.INFLATABLE_BELT)));
        }
    }

    private boolean beltLocks(SeatingPosition position, Method method) {
        String kind = position.belt().kind().value().map(Enum::name).orElse("");
        if (kind.isEmpty() || kind.equals("NONE") || seat.lockOffs().value().isEmpty()) {
            return false;
        }
        if (!may.doesNotTakeBack(PermissionKey.BELT_LOCKABLE)) {
            return false;
        }
        boolean withPanel = method == Method.BASE_BELT || method == Method.CONVERTIBLE_BELT;
        if (withPanel && seat.tensionPanel().value().orElse(false)) {
            return true;
        }
        String retractor = tested(
                Question.RETRACTOR, position.belt().retractor().value().map(Enum::name).orElse(""), "EMERGENCY_ONLY");
        boolean holdsByPlate = retractor.equals("NONE");
        if (lockOffs(position, method) > 0 && !holdsByPlate) {
            return true;
        }
        if (retractor.equals("SWITCHABLE") || retractor.equals("AUTOMATIC") || holdsByPlate) {
            return true;
        }
        String plate = position.belt().latchPlate().value().map(Enum::name).orElse("");
        String seen = tested(Question.LATCH_PLATE, plate, "SLIDING", "SEWN_ON", "CRASH_LOCKING");
        if (retractor.isEmpty() || seen.isEmpty()) {
            return false;
        }
        if (seen.equals("LOCKING") || seen.equals("SWITCHABLE")) {
            return true;
        }
        return lockOffs(position, method) == 0 && !seen.equals("SEWN_ON") && may.allow(PermissionKey.LOCKING_CLIP);
    }

    /** What the sheet says; a test here fills it, or says that it is worse. */
    private String tested(Question question, String bySheet, String... worse) {
        Optional<Line> line = answered(question).filter(each -> isKnownWell(each, question));
        String here = line.map(each -> ((Fact.Answered) each.fact()).answer()).orElse("");
        boolean known = !here.isEmpty() && !here.equals("UNSURE");
        return known && (bySheet.isEmpty() || List.of(worse).contains(here)) ? here : bySheet;
    }

    /** How many lock-offs can be used here; below zero where nobody knows what the only ones are on. */
    private int lockOffs(SeatingPosition position, Method method) {
        boolean lapOnly = position.belt().kind().value().map(Enum::name).orElse("").equals("LAP_ONLY");
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

    private boolean anchors(SeatingPosition position) {
        String anchors = position.anchors().value().map(Enum::name).orElse("");
        if (anchors.isEmpty() || !may.doesNotTakeBack(PermissionKey.LOWER_ANCHORS_AT_POSITION)) {
            return false;
        }
        if (anchors.equals("OWN_PAIR")) {
            return true;
        }
        boolean middle = position.id().side().name().equals("MIDDLE");
        long pairs = car.positions().stream()
                .filter(each -> each.id().row() == position.id().row()
                        && !each.id().side().name().equals("MIDDLE")
                        && each.anchors().value().map(Enum::name).orElse("").equals("OWN_PAIR"))
                .count();
        return middle
                && pairs == 2
                && may.allow(PermissionKey.BORROWED_INNER_ANCHORS)
                && car.borrowedSpacing().value().isPresent()
                && seat.borrowedSpacingMost().value().isPresent()
                && mm(car.borrowedSpacing().value().get())
                        <= mm(seat.borrowedSpacingMost().value().get());
    }

    private Double anchorLimitGrams() {
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

    private Double restraintGrams() {
        Mass shell = seat.shell().carrierMass().value().orElse(null);
        Mass base = seat.shell().baseMass().value().orElse(null);
        boolean needsBase = seat.kind() == SeatKind.REAR_FACING_ONLY;
        if (shell == null || needsBase && base == null) {
            return null;
        }
        return grams(shell) + (needsBase ? grams(base) : 0);
    }

    private boolean routing(SeatingPosition position, Method method) {
        if (!may.allow(PermissionKey.CARRIER_WITHOUT_BASE)) {
            return false;
        }
        if (method == Method.BASELESS_AMERICAN) {
            return may.allow(PermissionKey.AMERICAN_ROUTING);
        }
        String kind = position.belt().kind().value().map(Enum::name).orElse("");
        return !kind.isEmpty() && !kind.equals("LAP_ONLY") && may.allow(PermissionKey.EUROPEAN_ROUTING);
    }

    // Securing.

    private void securing(List<String> wrong, Method method) {
        require(wrong, "roll", roll(method));
        boolean whole = looked(Question.SITS_WHOLE, "SITS_WHOLE", "WHOLE")
                || may.allow(PermissionKey.OVERHANG) && looked(Question.SITS_WHOLE, "SITS_WHOLE", "OVERHANGS");
        require(wrong, "sits whole", whole);
        if (method.isByBelt()) {
            byBelt(wrong, method);
        } else {
            require(wrong, "clicked", looked(Question.ANCHORS_HOOKED, "ANCHORS_CLICKED", "BOTH_CLICKED"));
            if (method != Method.BASE_RIGID_LEG) {
                boolean strap = looked(Question.STRAP, "STRAP", "STRAIGHT_AND_STOWED")
                        || may.allow(PermissionKey.ANCHOR_STRAP_UNDER_LOCK_OFF)
                                && looked(Question.STRAP, "STRAP", "UNDER_LOCK_OFF");
                require(wrong, "strap", strap);
            }
        }
        require(wrong, "inch", inch());
        if (method.isReclined() && !method.isBaseless()) {
            String alone = method.isByBelt() ? "BELT_ALONE" : "ANCHORS_ALONE";
            boolean one = looked(Question.SYSTEMS, "ONE_SYSTEM", alone)
                    || may.allow(PermissionKey.BOTH_SYSTEMS)
                            && looked(Question.SYSTEMS, "ONE_SYSTEM", "ANCHORS_AND_BELT")
                    || may.allow(PermissionKey.TOP_TETHER_REAR_FACING)
                            && looked(Question.SYSTEMS, "ONE_SYSTEM", "WITH_TOP_TETHER");
            require(wrong, "one system", one);
            require(wrong, "leg", leg());
            require(
                    wrong,
                    "bar",
                    isThereAndLooked(
                            seat.reboundBar().value().map(each -> !each.name().equals("NONE")),
                            Question.BAR,
                            "REBOUND_BAR",
                            "AGAINST_BACK"));
            require(
                    wrong,
                    "turned back",
                    isThereAndLooked(
                            seat.rotation().value().map(each -> !each.name().equals("NONE")),
                            Question.TURNED_BACK,
                            "TURNED_BACK",
                            "BACK_AND_LOCKED"));
        }
        if (!method.isBaseless()) {
            require(
                    wrong,
                    "windows",
                    isThereAndLooked(
                            seat.windows().value().map(each -> !each.isEmpty()),
                            Question.WINDOWS,
                            "WINDOWS",
                            "ALL_LOCKED"));
        }
        require(
                wrong,
                "side element",
                isThereAndLooked(
                        seat.sideElement().value().map(each -> !each.name().equals("NONE")),
                        Question.SIDE_ELEMENT,
                        "SIDE_ELEMENT",
                        "AS_SHEET"));
        if (method.isOnBase()) {
            require(wrong, "click and lift", looked(Question.CLICK, "CLICK_AND_LIFT", "CLICKED_AND_LIFTED"));
        }
    }

    private boolean roll(Method method) {
        Optional<Line> line = log.best(Fact.RollPlaced.class);
        if (line.isEmpty()) {
            return true;
        }
        // The fittings made for this never need one.
        return ((Fact.RollPlaced) line.get().fact()).roll() == Fact.RollKind.NONE;
    }

    private void byBelt(List<String> wrong, Method method) {
        require(wrong, "belt path", looked(Question.BELT_ROUTE, "BELT_PATH", "STRAIGHT_IN_PATH"));
        require(wrong, "buckle", looked(Question.BUCKLE, "BUCKLE", "ITS_OWN"));
        if (method == Method.LAY_FLAT) {
            Optional<Line> second = log.best(
                    Fact.Answered.class,
                    fact -> fact.question() == Question.BUCKLE
                            && placed.position().besides().equals(fact.place()));
            boolean own = second.filter(line ->
                            ((Fact.Answered) line.fact()).answer().equals("ITS_OWN")
                                    && line.isHere()
                                    && counts(line, "BUCKLE"))
                    .isPresent();
            require(wrong, "second buckle", own);
        }
        boolean lockOffsKnown = seat.lockOffs().value().isPresent();
        int usable = car.position(placed.position())
                .map(position -> lockOffs(position, method))
                .orElse(-1);
        require(
                wrong,
                "lock-off",
                lockOffsKnown && (usable == 0 || usable > 0 && looked(Question.LOCK_OFF, "LOCK_OFF", "CLOSED")));
        require(wrong, "lock proof", looked(Question.LOCK_PROOF, "LOCK_PROOF", "HELD"));
        if (method == Method.BASE_BELT || method == Method.CONVERTIBLE_BELT) {
            require(
                    wrong,
                    "panel",
                    isThereAndLooked(
                            seat.tensionPanel().value(), Question.PANEL, "PANEL", "CLOSED_AND_LOCKED"));
        }
        if (method == Method.CAR_BED) {
            require(
                    wrong,
                    "end straps",
                    isThereAndLooked(
                            seat.carBed().endStraps().value(),
                            Question.END_STRAPS,
                            "END_STRAPS",
                            "ROUND_THE_LAP_PART"));
        }
    }

    private boolean inch() {
        Optional<Line> tape = log.best(
                        Fact.LengthMeasured.class, fact -> fact.what() == Fact.Dimension.MOVEMENT)
                .filter(Line::isHere);
        Optional<Line> eye = answered(Question.MOVEMENT);
        if (tape.isPresent() && (eye.isEmpty() || tape.get().seq() > eye.get().seq())) {
            return mm(((Fact.LengthMeasured) tape.get().fact()).length()) < INCH_MM && counts(tape.get(), "INCH_TEST");
        }
        return looked(Question.MOVEMENT, "INCH_TEST", "UNDER_AN_INCH");
    }

    private boolean leg() {
        if (seat.leg().value().isEmpty()) {
            return false;
        }
        LegUse use = seat.leg().value().get();
        if (use == LegUse.NO_LEG) {
            return true;
        }
        String floor = car.position(placed.position())
                .flatMap(position -> position.floor().value())
                .map(Enum::name)
                .orElse("");
        boolean storage = floor.equals("STORAGE");
        boolean stands = !floor.isEmpty() && (!storage || may.allow(PermissionKey.LEG_OVER_STORAGE));
        boolean mayNotStand = storage
                && may.answer(PermissionKey.LEG_OVER_STORAGE) == app.layette.core.evidence.Permission.NOT_ALLOWED;
        if (looked(Question.LEG, "FLOOR_AND_LEG", "LOCKED_ON_FLOOR")) {
            return stands;
        }
        if (looked(Question.LEG, "FLOOR_AND_LEG", "LIFTS_THE_BASE")) {
            return may.allow(PermissionKey.BASE_LIFTED_BY_LEG) && stands;
        }
        return looked(Question.LEG, "FLOOR_AND_LEG", "NOT_USED")
                && use != LegUse.ALWAYS
                && mayNotStand
                && may.allow(PermissionKey.LOAD_LEG_OMITTED);
    }

    // With the child in.

    private void withChild(List<String> wrong, Method method) {
        require(
                wrong,
                "clothing",
                looked(Question.CLOTHING, "CLOTHING", "THIN", "COAT_TESTED", "SET_BEFORE_COAT"));
        require(
                wrong,
                "snug",
                seat.harness().snugTest().isLooked() && looked(Question.SNUG, "SNUG_TEST", "SNUG"));
        boolean statedNone = seat.harness().clip().value().filter(has -> !has).isPresent();
        boolean noneSeen = seat.harness().clip().isSilent() && looked(Question.CLIP, "CLIP", "NONE_HERE");
        require(wrong, "clip", statedNone || noneSeen || looked(Question.CLIP, "CLIP", "ARMPIT"));
        boolean rolls = may.allow(PermissionKey.ROLLS_BESIDE_CHILD)
                && looked(Question.SUPPORT, "SUPPORT", "ROLLS_BESIDE");
        boolean cloth =
                may.allow(PermissionKey.CROTCH_CLOTH) && looked(Question.SUPPORT, "SUPPORT", "CROTCH_CLOTH");
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
        Optional<Line> read = log.best(
                        Fact.LevelRead.class, fact -> fact.stage() == Fact.Stage.CHILD)
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
        boolean byTape = tape.isPresent() && (eye.isEmpty() || tape.get().seq() > eye.get().seq());
        if (!byTape && (eye.isEmpty() || !eye.get().isHere())) {
            return false;
        }
        Line look = byTape ? tape.get() : eye.get();
        if (!counts(look, "GAP")) {
            return false;
        }
        double gap = byTape ? mm(((Fact.LengthMeasured) look.fact()).length()) : -1;
        boolean touches = byTape ? gap == 0 : ((Fact.Answered) look.fact()).answer().equals("TOUCHES");
        if (touches) {
            return may.allow(PermissionKey.TOUCHING_FRONT_SEAT);
        }
        if (!seat.gap().isLooked() || !car.gap().isLooked()) {
            return false;
        }
        double asked = Math.max(
                seat.gap().value().map(PlainChecker::mm).orElse(0.0),
                car.gap().value().map(PlainChecker::mm).orElse(0.0));
        boolean school = seat.gap().value().isEmpty() && car.gap().value().isEmpty();
        asked = school ? mm(practice.profile().gap()) : asked;
        return byTape
                ? gap >= asked
                : ((Fact.Answered) look.fact()).answer().equals("FLAT_HAND")
                        && asked <= HAND_MM;
    }

    private boolean handle() {
        Optional<Line> set = log.best(Fact.HandleSet.class).filter(Line::isHere);
        if (set.isEmpty() || !counts(set.get(), "HANDLE")) {
            return false;
        }
        var position = ((Fact.HandleSet) set.get().fact()).position();
        boolean listed =
                seat.handle().value().filter(list -> list.contains(position)).isPresent();
        var lying = seat.kind() == SeatKind.LAY_FLAT
                ? seat.layFlat().handle().value()
                : Optional.<app.layette.core.seat.HandlePosition>empty();
        boolean only = seat.handle().value().filter(list -> list.size() == 1).isPresent();
        if (seat.kind() != SeatKind.LAY_FLAT || lying.isEmpty() && only) {
            return listed;
        }
        return lying.filter(each -> each == position).isPresent()
                && (listed || !seat.handle().isLooked());
    }

    // The end.

    private void handOver(List<String> wrong, Method method) {
        for (TeachItem item : TeachItem.values()) {
            boolean asked = switch (item) {
                case CARRIER_ON_AND_OFF -> method.isOnBase();
                case READ_LEVEL -> method.isReclined();
                case BASELESS_ONCE -> method.isBaseless();
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

    private static double grams(Mass mass) {
        return mass.grams();
    }

    private static double mm(Length length) {
        return length.millimetres();
    }
}
