package app.layette.core.entry;

import app.layette.core.entry.Fact.Dimension;
import app.layette.core.measure.Length;
import app.layette.core.measure.LengthRange;
import app.layette.core.measure.Mass;
import app.layette.core.measure.MassRange;
import app.layette.core.measure.UnitSystem;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Checks a fact before it becomes an entry: ranges, dates, and names that must be on the sheet. All problems are
 * collected. What a fact means for the fitting is the rules' business.
 */
public final class FactCheck {
    private static final int LEAST_GESTATION_DAYS = 154;
    private static final int MOST_GESTATION_DAYS = 308;
    private static final int LONGEST_OVERDUE_DAYS = 28;
    private static final int MOST_SLOTS = 12;
    private static final int OLDEST_CHILD_YEARS = 5;
    private static final double STEEPEST_GROUND = 30;
    private static final double FLATTEST_CUSHION = -10;
    private static final double STEEPEST_CUSHION = 35;
    private static final double MOST_UPRIGHT = 0;
    private static final double FLATTEST_SHELL = 80;
    private static final int MOST_LAYERS = 16;
    private static final int LONGEST_NOTE = 2000;
    private static final int LONGEST_INITIALS = 6;

    private final LocalDate today;
    private final List<FieldProblem> problems = new ArrayList<>();

    private FactCheck(LocalDate today) {
        this.today = today;
    }

    /** What is wrong with a fact in this situation; empty when nothing is. */
    public static List<FieldProblem> problems(Fact fact, Situation situation) {
        FactCheck check = new FactCheck(situation.today());
        check.child(fact);
        check.measures(fact);
        check.settings(fact, situation);
        check.quickSeat(fact);
        check.answers(fact);
        return List.copyOf(check.problems);
    }

    /**
     * What no fitting could ever have: a length below zero, a child born later than the day it is planned for, a roll
     * without its sizes. Asks no sheet, so that it can be asked of a document before anything is planned.
     */
    public static List<FieldProblem> impossible(Fact fact, LocalDate today) {
        FactCheck check = new FactCheck(today);
        check.unborn(fact);
        check.measures(fact);
        check.quickSeat(fact);
        return List.copyOf(check.problems);
    }

    private void unborn(Fact fact) {
        if (fact instanceof Fact.ChildDescribed child && child.born().isAfter(today)) {
            problems.add(FieldProblem.outside("born", child.born(), today.minusYears(OLDEST_CHILD_YEARS), today));
        }
    }

    private void child(Fact fact) {
        if (fact instanceof Fact.ChildDescribed child) {
            date("born", child.born(), today.minusYears(OLDEST_CHILD_YEARS), today);
            if (child.gestationDays() != null) {
                number("gestationDays", child.gestationDays(), LEAST_GESTATION_DAYS, MOST_GESTATION_DAYS);
            }
            mass("birthWeight", child.birthWeight(), MassRange.BIRTH);
        }
        if (fact instanceof Fact.Expected expected) {
            date("due", expected.due(), today.minusDays(LONGEST_OVERDUE_DAYS), today.plusDays(MOST_GESTATION_DAYS));
        }
        if (fact instanceof Fact.Weighed weighed) {
            mass("mass", weighed.mass(), MassRange.CHILD);
        }
        if (fact instanceof Fact.LabelRead label && label.made() != null) {
            date("made", label.made().firstDay(), LocalDate.of(1990, 1, 1), today);
        }
    }

    private void measures(Fact fact) {
        if (fact instanceof Fact.LengthMeasured measured) {
            length("length", measured.length(), rangeOf(measured.what()));
        }
        if (fact instanceof Fact.GroundMeasured ground) {
            number("pitch", ground.pitch().degrees(), -STEEPEST_GROUND, STEEPEST_GROUND);
        }
        if (fact instanceof Fact.CushionMeasured cushion) {
            number("slope", cushion.slope().degrees(), FLATTEST_CUSHION, STEEPEST_CUSHION);
        }
        if (fact instanceof Fact.SillsRead sills) {
            number("first", sills.first().degrees(), -STEEPEST_GROUND, STEEPEST_GROUND);
            number("turned", sills.turned().degrees(), -STEEPEST_GROUND, STEEPEST_GROUND);
        }
        if (fact instanceof Fact.LeanMeasured lean) {
            number("lean", lean.lean().degrees(), -STEEPEST_GROUND, STEEPEST_GROUND);
        }
        if (fact instanceof Fact.AngleRead read) {
            number("angle", read.angle().degrees(), MOST_UPRIGHT, FLATTEST_SHELL);
        }
        if (fact instanceof Fact.RollPlaced roll) {
            roll(roll);
        }
        if (fact instanceof Fact.LayerSeen layer) {
            layer(layer);
        }
        if (fact instanceof Fact.SheetValueRead read) {
            SheetValues.problem(read).ifPresent(problems::add);
            mass("from", read.from(), MassRange.SHEET);
            mass("to", read.to(), MassRange.SHEET);
        }
        if (fact instanceof Fact.QuantityRead read) {
            mass("mass", read.mass(), MassRange.SHEET);
            length("length", read.length(), rangeOf(read.quantity()));
            if (!mayBeSilent(read.quantity())) {
                needed(
                        isMass(read.quantity()) ? "mass" : "length",
                        isMass(read.quantity()) ? read.mass() : read.length());
            }
        }
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
            length("diameter", roll.diameter(), rollRange("diameter"));
        }
        if (roll.roll() == Fact.RollKind.TOWEL) {
            needed("thickness", roll.thickness());
            needed("layers", roll.layers());
            needed("rolled", roll.rolled());
            length("thickness", roll.thickness(), rollRange("thickness"));
            length("rolled", roll.rolled(), rollRange("rolled"));
            if (roll.layers() != null) {
                number("layers", roll.layers(), 1, MOST_LAYERS);
            }
        }
    }

    /** The range that a size of a roll is taken in. */
    public static LengthRange rollRange(String field) {
        return switch (field) {
            case "diameter" -> LengthRange.ROLL;
            case "thickness" -> LengthRange.CLOTH_THICKNESS;
            default -> LengthRange.CLOTH;
        };
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
        length("loose", layer.loose(), LengthRange.LAYER);
        length("pressed", layer.pressed(), LengthRange.LAYER);
    }

    private void quickSeat(Fact fact) {
        if (fact instanceof Fact.QuickSeatRead seat) {
            if (seat.slots() != null) {
                number("slots", seat.slots(), 1, MOST_SLOTS);
            }
            mass("zoneFrom", seat.zoneFrom(), MassRange.CHILD);
            mass("zoneTo", seat.zoneTo(), MassRange.CHILD);
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

    private void needed(String field, Object value) {
        if (value == null) {
            problems.add(new FieldProblem(field, "", "NEEDED", "", ""));
        }
    }

    private void ordered(String field, Mass from, Mass to) {
        if (from != null && to != null && to.isLessThan(from)) {
            problems.add(FieldProblem.outside(field, to, both(from), both(MassRange.CHILD.max())));
        }
    }

    private static List<String> deviceSteps(Situation situation) {
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

    private static List<String> insertPieces(Situation situation) {
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
        if (fact instanceof Fact.CaregiverSigned signed) {
            needed("initials", isBlank(signed.initials()) ? null : signed.initials());
            if (!isBlank(signed.initials()) && signed.initials().strip().length() > LONGEST_INITIALS) {
                problems.add(FieldProblem.outside("initials", signed.initials(), "1", LONGEST_INITIALS + " letters"));
            }
        }
        if (fact instanceof Fact.CrashedSince crash) {
            needed("on", crash.on());
            if (crash.on() != null) {
                date("on", crash.on(), today.minusYears(OLDEST_CHILD_YEARS), today);
            }
        }
        if (fact instanceof Fact.UnitJoined joined) {
            needed("rider", isBlank(joined.rider()) ? null : joined.rider());
            needed("sheet", isBlank(joined.sheet()) ? null : joined.sheet());
            if (joined.seatOf() != null && joined.seatOf().equals(joined.of())) {
                problems.add(new FieldProblem("seatOf", joined.seatOf(), "NEEDED", "", ""));
            }
        }
        if (fact instanceof Fact.CorrectionSigned signed) {
            needed("entry", signed.entry());
        }
        if (fact instanceof Fact.Noted noted) {
            if (isBlank(noted.text())) {
                problems.add(new FieldProblem("text", "", "NEEDED", "", ""));
            } else if (noted.text().length() > LONGEST_NOTE) {
                problems.add(FieldProblem.outside("text", noted.text().length(), "1", LONGEST_NOTE + " characters"));
            }
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
            if (ordered.on() != null) {
                date("on", ordered.on(), today.minusYears(OLDEST_CHILD_YEARS), today);
            }
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

    private static boolean isBlank(String text) {
        return text == null || text.isBlank();
    }

    private void among(String field, String value, List<String> allowed) {
        if (!allowed.contains(value)) {
            problems.add(FieldProblem.notAmong(field, value, allowed));
        }
    }

    private void date(String field, LocalDate value, LocalDate lowest, LocalDate highest) {
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
