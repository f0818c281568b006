package app.layette.core.entry;

import app.layette.core.entry.Fact.Dimension;
import app.layette.core.evidence.Id;
import app.layette.core.measure.Angle;
import app.layette.core.measure.DayBounds;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import app.layette.core.measure.UnitSystem;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.SettingId;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Checks a fact before it becomes an entry: ranges, dates, and names that must be on the sheet. All problems are
 * collected. What a fact means for the fitting is the rules' business.
 */
public final class FactCheck {
    private static final int MOST_SLOTS = 12;
    private static final int LONGEST_SAID_BACK = 60;

    private final LocalDate today;
    private final List<FieldProblem> problems = new ArrayList<>();

    private FactCheck(LocalDate today) {
        this.today = today;
    }

    /** What is wrong with a fact in this situation; empty when nothing is. */
    public static List<FieldProblem> problems(Fact fact, Situation situation) {
        FactCheck check = new FactCheck(situation.today());
        if (isWhole(fact)) {
            check.settings(fact, situation);
            check.together(fact);
            check.answers(fact);
        }
        check.fields(fact, true);
        return List.copyOf(check.problems);
    }

    /**
     * What no fitting could ever have: a length below zero, a child born later than the day it is planned for, a roll
     * without its sizes. Asks no sheet, so that it can be asked of a document before anything is planned.
     */
    public static List<FieldProblem> impossible(Fact fact, LocalDate today) {
        FactCheck check = new FactCheck(today);
        if (isWhole(fact)) {
            check.unborn(fact);
            check.together(fact);
        }
        check.fields(fact, false);
        return List.copyOf(check.problems);
    }

    /** Whether everything is said without which it could not be asked what the fields mean together. */
    private static boolean isWhole(Fact fact) {
        return FactFields.of(fact.getClass()).stream().allMatch(each -> !each.isNeeded() || each.in(fact) != null);
    }

    private void unborn(Fact fact) {
        if (fact instanceof Fact.ChildDescribed child && child.born().isAfter(today)) {
            DayBounds days = DayBounds.LAST_FIVE_YEARS;
            problems.add(FieldProblem.outside("born", child.born(), days.lowest(today), days.highest(today)));
        }
    }

    /**
     * Each field by what its component says; a field of which something was said already is passed over.
     *
     * @param strict whether what only an entry of today has to keep is asked too: usual masses, and days around today
     */
    private void fields(Fact fact, boolean strict) {
        for (FactField field : FactFields.of(fact.getClass())) {
            boolean said = problems.stream().anyMatch(each -> each.field().equals(field.name()));
            if (!said) {
                field(field, field.in(fact), fact, strict);
            }
        }
    }

    private void field(FactField field, @Nullable Object value, Fact fact, boolean strict) {
        String name = field.name();
        if (value == null) {
            if (field.isNeeded()) {
                needed(name, null);
            }
        } else if (value instanceof String text) {
            text(field, text);
        } else if (value instanceof Id named) {
            text(field, named.text());
        } else if (value instanceof Integer number) {
            within(field, number);
        } else if (value instanceof Angle angle) {
            within(field, angle.degrees());
        } else if (value instanceof Length length) {
            Optional<? extends Enum<?>> by = field.decidedBy().map(each -> (Enum<?>) each.in(fact));
            length(name, length, field.lengths(by));
        } else if (strict && value instanceof Mass mass) {
            mass(name, mass, field.masses());
        } else if (strict && value instanceof LocalDate day) {
            date(name, day, field.written().days());
        } else if (strict && value instanceof PartialDate day) {
            date(name, day.firstDay(), field.written().days());
        }
    }

    private void text(FactField field, String text) {
        if (text.isBlank()) {
            needed(field.name(), field.isNeeded() ? null : text);
        } else if (text.strip().length() > field.written().longest()) {
            String most = String.valueOf(field.written().longest());
            problems.add(new FieldProblem(field.name(), shortened(text.strip()), "TOO_LONG", "1", most));
        }
    }

    /** What is far too long is said back by its beginning. */
    private static String shortened(String text) {
        return text.length() <= LONGEST_SAID_BACK ? text : text.substring(0, LONGEST_SAID_BACK) + "…";
    }

    private void within(FactField field, double value) {
        number(
                field.name(),
                value,
                field.from().isPresent() ? field.from().getAsInt() : -Double.MAX_VALUE,
                field.to().isPresent() ? field.to().getAsInt() : Double.MAX_VALUE);
    }

    /** What one field asks of another of the same entry. */
    private void together(Fact fact) {
        if (fact instanceof Fact.RollPlaced roll) {
            roll(roll);
        }
        if (fact instanceof Fact.LayerSeen layer) {
            layer(layer);
        }
        if (fact instanceof Fact.SheetValueRead read) {
            SheetValues.problem(read).ifPresent(problems::add);
        }
        if (fact instanceof Fact.QuantityRead read && !mayBeSilent(read.quantity())) {
            boolean mass = isMass(read.quantity());
            needed(mass ? "mass" : "length", mass ? read.mass() : read.length());
        }
        quickSeat(fact);
    }

    /** Whether a page that says nothing of it is an answer: then law, profile or a default decides. */
    private static boolean mayBeSilent(Fact.Quantity quantity) {
        return quantity == Fact.Quantity.GAP
                || quantity == Fact.Quantity.ANCHOR_LIMIT
                || quantity == Fact.Quantity.HEAD_ROOM;
    }

    /** The range that a length read on a page is taken in. */
    public static LengthRange rangeOf(Fact.Quantity quantity) {
        return quantity == Fact.Quantity.LENGTH_MAX ? LengthRange.BODY : LengthRange.GAP;
    }

    /** Whether a quantity of a page is a mass; else it is a length. */
    public static boolean isMass(Fact.Quantity quantity) {
        return switch (quantity) {
            case GAP, HEAD_ROOM, LENGTH_MAX, BORROWED_SPACING -> false;
            default -> true;
        };
    }

    private void roll(Fact.RollPlaced roll) {
        boolean noodle = roll.roll() == Fact.RollKind.NOODLE || roll.roll() == Fact.RollKind.NOODLE_TRIANGLE;
        if (noodle) {
            needed("diameter", roll.diameter());
            needed("softness", roll.softness());
        }
        if (roll.roll() == Fact.RollKind.TOWEL) {
            needed("thickness", roll.thickness());
            needed("layers", roll.layers());
            needed("rolled", roll.rolled());
        }
    }

    /** The range that a dimension is taken in. */
    public static LengthRange rangeOf(Dimension what) {
        return switch (what) {
            case BODY -> LengthRange.BODY;
            case SHOULDER -> LengthRange.SHOULDER;
            case CROWN -> LengthRange.CROWN;
            case MOVEMENT -> LengthRange.MOVEMENT;
            case GAP -> LengthRange.GAP;
        };
    }

    private void settings(Fact fact, Situation situation) {
        int counted = situation.slotCount();
        int slots = counted == 0 ? MOST_SLOTS : counted;
        if (fact instanceof Fact.ShoulderSeen seen) {
            number("slotAtOrBelow", seen.slotAtOrBelow(), 0, slots);
        }
        if (fact instanceof Fact.SlotsSet set) {
            number("leftShell", set.leftShell(), 1, slots);
            number("rightShell", set.rightShell(), 1, slots);
            number("leftPad", set.leftPad(), 1, slots);
            number("rightPad", set.rightPad(), 1, slots);
        }
        if (fact instanceof Fact.WebbingMoved moved) {
            webbing(moved, slots);
        }
        if (fact instanceof Fact.DeviceSet set) {
            among("step", set.step(), deviceSteps(situation));
        }
        if (fact instanceof Fact.InsertSet set) {
            among("piece", set.piece(), insertPieces(situation));
        }
        if (fact instanceof Fact.Placed placed) {
            method(placed, situation);
        }
    }

    private void webbing(Fact.WebbingMoved moved, int slots) {
        switch (moved.move()) {
            case LOOSENED, SHELL_LIFTED_OUT, RAN_FREE -> {
                return;
            }
            case THROUGH_SHELL, THROUGH_PAD -> {
                needed("slot", moved.slot());
                number("slot", moved.slot() == null ? 1 : moved.slot(), 1, slots);
            }
            default -> {
                // Only the webbing has to be named.
            }
        }
        needed("strap", moved.strap());
    }

    private void layer(Fact.LayerSeen layer) {
        if (layer.loose() == null && layer.pressed() == null) {
            needed("garment", layer.garment());
            return;
        }
        needed("loose", layer.loose());
        needed("pressed", layer.pressed());
    }

    private void quickSeat(Fact fact) {
        if (fact instanceof Fact.QuickSeatRead seat) {
            boolean anyZone = seat.pass() != null || seat.zoneFrom() != null || seat.zoneTo() != null;
            if (anyZone) {
                needed("indicator", seat.indicator());
                needed("pass", seat.pass());
                needed("zoneFrom", seat.zoneFrom());
                needed("zoneTo", seat.zoneTo());
            }
            ordered("weightMax", seat.weightMin(), seat.weightMax());
            ordered("zoneTo", seat.zoneFrom(), seat.zoneTo());
        }
    }

    private void needed(String field, @Nullable Object value) {
        if (value == null) {
            problems.add(new FieldProblem(field, "", "NEEDED", "", ""));
        }
    }

    private void ordered(String field, @Nullable Mass from, @Nullable Mass to) {
        if (from != null && to != null && to.isLessThan(from)) {
            problems.add(FieldProblem.outside(field, to, both(from), both(MassRange.CHILD.max())));
        }
    }

    private static List<SettingId> deviceSteps(Situation situation) {
        return situation
                .seat()
                .map(SeatSheet::recline)
                .flatMap(recline -> recline.device().value())
                .map(Recline.Device::settings)
                .orElse(List.of())
                .stream()
                .map(Recline.Step::name)
                .toList();
    }

    /** Nothing is accepted that this kind of restraint cannot be. */
    private void method(Fact.Placed placed, Situation situation) {
        situation
                .seat()
                .filter(seat -> seat.kind() != placed.method().kind())
                .ifPresent(seat -> problems.add(FieldProblem.notAmong(
                        "method",
                        placed.method(),
                        Arrays.stream(Method.values())
                                .filter(method -> method.kind() == seat.kind())
                                .toList())));
    }

    private static List<PieceId> insertPieces(Situation situation) {
        return situation.seat().flatMap(seat -> seat.insert().value()).orElse(List.of()).stream()
                .map(piece -> piece.key())
                .toList();
    }

    private void answers(Fact fact) {
        if (fact instanceof Fact.Answered answered && !Answers.takes(answered.question(), answered.answer())) {
            problems.add(FieldProblem.notAmong("answer", answered.answer(), Answers.to(answered.question())));
        }
        if (fact instanceof Fact.Taught taught
                && taught.outcome() == Fact.TeachOutcome.DECLINED
                && isBlank(taught.reason())) {
            problems.add(new FieldProblem("reason", "", "NEEDED", "", ""));
        }
        if (fact instanceof Fact.UnitJoined joined
                && joined.seatOf() != null
                && joined.seatOf().is(joined.of())) {
            problems.add(new FieldProblem("seatOf", joined.seatOf().text(), "NEEDED", "", ""));
        }
        if (fact instanceof Fact.SheetAdopted choice
                && choice.adoption() == Fact.Adoption.DECLINED
                && isBlank(choice.reason())) {
            problems.add(new FieldProblem("reason", "", "NEEDED", "", ""));
        }
        if (fact instanceof Fact.Ordered ordered && ordered.order() != Fact.OrderKind.NONE) {
            needed("role", isBlank(ordered.role()) ? null : ordered.role());
            needed("on", ordered.on());
            needed("reviewOn", ordered.reviewOn());
        }
        if (fact instanceof Fact.Screened screened) {
            screened(screened);
        }
        if (fact instanceof Fact.Ended ended
                && ended.ending() == Fact.Ending.LEFT_WITH_OPEN_FINDINGS
                && isBlank(ended.said())) {
            problems.add(new FieldProblem("said", "", "NEEDED", "", ""));
        }
    }

    private void screened(Fact.Screened screened) {
        if (screened.result() == Fact.ScreeningResult.PASSED) {
            needed("restraint", isBlank(screened.restraint()) ? null : screened.restraint());
        }
        if (screened.result() == Fact.ScreeningResult.NOT_OFFERED_CLINICIAN_INFORMED) {
            needed("who", isBlank(screened.who()) ? null : screened.who());
            needed("on", screened.on());
        }
    }

    private static boolean isBlank(@Nullable String text) {
        return text == null || text.isBlank();
    }

    private void among(String field, Id value, List<? extends Id> allowed) {
        if (!allowed.contains(value)) {
            problems.add(FieldProblem.notAmong(field, value, allowed));
        }
    }

    private void date(String field, LocalDate value, DayBounds days) {
        LocalDate lowest = days.lowest(today);
        LocalDate highest = days.highest(today);
        if (value.isBefore(lowest) || value.isAfter(highest)) {
            problems.add(FieldProblem.outside(field, value, lowest, highest));
        }
    }

    private void number(String field, double value, double lowest, double highest) {
        if (value < lowest || value > highest) {
            problems.add(FieldProblem.outside(field, plain(value), plain(lowest), plain(highest)));
        }
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }

    private void mass(String field, Mass value, MassRange range) {
        if (value != null && !range.contains(value)) {
            problems.add(FieldProblem.outside(field, value, both(range.min()), both(range.max())));
        }
    }

    private void length(String field, Length value, LengthRange range) {
        if (value != null && !range.contains(value)) {
            problems.add(FieldProblem.outside(field, value, both(range.min()), both(range.max())));
        }
    }

    private static String both(Mass mass) {
        return mass.in(UnitSystem.METRIC) + " (" + mass.in(UnitSystem.CUSTOMARY) + ")";
    }

    private static String both(Length length) {
        return length.in(UnitSystem.METRIC) + " (" + length.in(UnitSystem.CUSTOMARY) + ")";
    }
}
