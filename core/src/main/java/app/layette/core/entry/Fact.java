package app.layette.core.entry;

import app.layette.core.child.Child;
import app.layette.core.child.Sex;
import app.layette.core.evidence.Built;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Speaker;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Bounds;
import app.layette.core.measure.DayBounds;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SettingId;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.Belt.LatchPlate;
import app.layette.core.vehicle.Belt.Retractor;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.Floor;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What an entry says. A closed set: a kind that is not here is refused. Every fact names what it is about ({@code of}):
 * a rider, a unit (an actual seat) or a sheet.
 *
 * <p>A kind is described here and nowhere else: its components are its fields, {@link Written} says what their types do
 * not. The form, the check, the document, the published schema and the line in the record go by {@link FactFields}.
 */
public sealed interface Fact {
    /** The rider, unit or sheet that the fact is about. */
    Subject of();

    /** Dates and sex of a child; nothing that names it. {@code gestationDays} 154 to 308 or {@code null}. */
    record ChildDescribed(
            RiderId of,

            @Written(needed = true, days = DayBounds.LAST_FIVE_YEARS)
            LocalDate born,

            @Written(from = 154, to = 308) @Nullable Integer gestationDays,
            @Nullable Sex sex,
            @Written(in = Bounds.BIRTH_MASS) @Nullable Mass birthWeight)
            implements Fact {
        /** The child as it was described. */
        public Child child() {
            OptionalInt gestation = gestationDays == null ? OptionalInt.empty() : OptionalInt.of(gestationDays);
            return new Child(born, gestation, Optional.ofNullable(sex), Optional.ofNullable(birthWeight));
        }
    }

    /** A child that is not born yet; its birth is told by {@link ChildDescribed}. */
    record Expected(
            RiderId of,
            @Written(needed = true, days = DayBounds.DUE) LocalDate due) implements Fact {}

    record Weighed(
            RiderId of,
            @Written(needed = true, in = Bounds.CHILD_MASS) Mass mass) implements Fact {}

    /** A length of the child, or of the set-up around it. */
    record LengthMeasured(
            Subject of,
            @Written(needed = true, which = true) Dimension what,
            @Written(needed = true) Length length,
            @Nullable InsertState insert)
            implements Fact {
        public LengthMeasured {
            of = of == null || what == null ? of : what.isOfTheChild() ? new RiderId(of.text()) : new UnitId(of.text());
        }
    }

    /** The highest slot at or below the top of the shoulder, by eye; 0 when the shoulder is below them all. */
    record ShoulderSeen(
            RiderId of, @Written(from = 0, to = 12) int slotAtOrBelow) implements Fact {}

    /** What a label says. {@code made} and {@code doNotUseAfter} may be {@code null} when not readable or not there. */
    record LabelRead(
            UnitId of,
            @Written(needed = true, which = true) Part part,
            @Nullable String model,
            @Written(days = DayBounds.MADE) @Nullable PartialDate made,
            @Nullable PartialDate doNotUseAfter)
            implements Fact {}

    /**
     * An answer by eye.
     *
     * @param place the seating position it is about, where there are two; {@code null} for the chosen one
     */
    record Answered(
            UnitId of,
            @Written(needed = true, which = true) Question question,
            @Written(needed = true, as = "constant") String answer,
            @Written(which = true) @Nullable PositionId place)
            implements Fact {
        /** An answer about the chosen place, or about none. */
        public Answered(UnitId of, Question question, String answer) {
            this(of, question, answer, null);
        }

        /** The same, by the constant of the rule that asks. */
        public Answered(UnitId of, Question question, Enum<?> answer) {
            this(of, question, answer.name(), null);
        }
    }

    /** What a manual page says on a permission. Counts only with its page. */
    record PermissionRead(
            UnitId of,
            @Written(needed = true) PermissionKey permission,
            @Written(needed = true) Speaker speaker,
            @Written(needed = true) PageSays says)
            implements Fact {}

    /**
     * A quantity read on a manual page that the sheet does not have; both values {@code null} when the page is silent.
     * Counts only with its page.
     */
    record QuantityRead(
            UnitId of,
            @Written(needed = true) Quantity quantity,
            @Written(needed = true) Speaker speaker,
            @Written(in = Bounds.SHEET_MASS) @Nullable Mass mass,
            @Nullable Length length)
            implements Fact {}

    /**
     * A value that no sheet has: read on a page or label of the seat, or seen at a place of the car.
     *
     * @param place the seating position, for a value of the car; {@code null} for one of the seat
     * @param says a constant of the value, a number, or names with a comma between
     * @param from lightest child that it is said of; {@code null} where it is of every weight
     * @param to heaviest child
     */
    record SheetValueRead(
            UnitId of,
            @Written(needed = true) SheetValue value,
            @Written(which = true) @Nullable PositionId place,
            @Written(needed = true, longest = 400) String says,
            @Written(in = Bounds.SHEET_MASS) @Nullable Mass from,
            @Written(in = Bounds.SHEET_MASS) @Nullable Mass to)
            implements Fact {
        /** A value that is said of every weight. */
        public SheetValueRead(UnitId of, SheetValue value, @Nullable PositionId place, String says) {
            this(of, value, place, says, null, null);
        }
    }

    /** What the seat manual's page says on a handle position for driving. */
    record HandlePositionRead(
            UnitId of,
            @Written(needed = true) HandlePosition position,
            @Written(needed = true) Said says) implements Fact {}

    /**
     * A layer under the straps, by its sort, or by its thickness as worn and under a snug strap; {@code null} where not
     * measured. It only ever warns (HAR-9).
     */
    record LayerSeen(
            UnitId of,
            @Nullable Garment garment,
            @Written(in = Bounds.LAYER) @Nullable Length loose,
            @Written(in = Bounds.LAYER) @Nullable Length pressed)
            implements Fact {}

    /**
     * One move of a rethread (HAR-4), in its order. {@code strap} is {@code null} where the move is about both, {@code
     * slot} where it goes through none.
     */
    record WebbingMoved(
            UnitId of,
            @Written(needed = true) WebbingMove move,
            @Nullable Strap strap,
            @Written(from = 1, to = 12) @Nullable Integer slot)
            implements Fact {}

    /** Which run this is to be: a fitting in a car, or teaching at the bedside without one. */
    record BoxChosen(UnitId of, @Written(needed = true) TimeBox box) implements Fact {}

    record InsertSet(
            UnitId of, @Written(needed = true, which = true) PieceId piece, boolean in) implements Fact {}

    /** The slots as seen on shell and pad, both sides, and the loop on the splitter plate. */
    record SlotsSet(
            UnitId of,
            @Written(from = 0, to = 12) int leftShell,
            @Written(from = 0, to = 12) int rightShell,
            @Written(from = 0, to = 12) int leftPad,
            @Written(from = 0, to = 12) int rightPad,
            @Nullable String loop)
            implements Fact {}

    /** The crotch opening in use, from 1, nearest the shell back first. */
    record CrotchSet(UnitId of, @Written(from = 1, to = 8) int opening) implements Fact {}

    /** The recline device's setting, by the name printed on the seat. */
    record DeviceSet(UnitId of, @Written(needed = true) SettingId step) implements Fact {}

    record HandleSet(UnitId of, @Written(needed = true) HandlePosition position) implements Fact {}

    /** The caregiver's choice of place and method. */
    record Placed(
            UnitId of,
            @Written(needed = true) PositionId position,
            @Written(needed = true) Method method) implements Fact {}

    /** What lies rolled under the foot end (REC-6); the sizes are {@code null} where the kind has none. */
    record RollPlaced(
            UnitId of,
            @Written(needed = true) RollKind roll,
            @Written(in = Bounds.ROLL) @Nullable Length diameter,
            @Nullable Softness softness,
            @Written(in = Bounds.CLOTH_THICKNESS) @Nullable Length thickness,
            @Written(from = 1, to = 16) @Nullable Integer layers,
            @Written(in = Bounds.CLOTH) @Nullable Length rolled,
            @Nullable Boolean underFoot)
            implements Fact {}

    /** Ground slope along the car, nose-up positive. */
    record GroundMeasured(
            UnitId of,
            @Written(needed = true, from = -30, to = 30) Angle pitch) implements Fact {}

    /** A level on the door sill, and again with the car turned round: both nose-up positive as read (REC-3). */
    record SillsRead(
            UnitId of,
            @Written(needed = true, from = -30, to = 30) Angle first,
            @Written(needed = true, from = -30, to = 30) Angle turned)
            implements Fact {}

    /** How far the car leans sideways. */
    record LeanMeasured(
            UnitId of,
            @Written(needed = true, from = -30, to = 30) Angle lean) implements Fact {}

    /** A level laid on the cushion, as read: positive when it drops towards the bight. The ground's slope is in it. */
    record CushionMeasured(
            UnitId of,
            @Written(needed = true, from = -10, to = 35) Angle slope) implements Fact {}

    record LevelRead(
            UnitId of,
            @Written(needed = true) Stage stage,
            @Written(needed = true) Indicator.Reading reading) implements Fact {}

    /** The recline angle as a level on the shell back reads it, the ground's slope in it. Advises; passes nothing. */
    record AngleRead(
            UnitId of,
            @Written(needed = true) Stage stage,
            @Written(needed = true, from = 0, to = 80) Angle angle,
            @Written(needed = true) AngleSource source)
            implements Fact {}

    record Acted(UnitId of, @Written(needed = true) Act act) implements Fact {}

    record Taught(
            UnitId of,
            @Written(needed = true) TeachItem item,
            @Written(needed = true) TeachOutcome outcome,
            @Written(longest = 2000, free = true) @Nullable String reason)
            implements Fact {}

    /** An order of the baby's clinicians. {@code role}, {@code on} and {@code reviewOn} are empty for NONE. */
    record Ordered(
            RiderId of,
            @Written(needed = true) OrderKind order,
            @Written(free = true) @Nullable String role,

            @Written(days = DayBounds.LAST_FIVE_YEARS) @Nullable
            LocalDate on,

            @Nullable LocalDate reviewOn)
            implements Fact {}

    /**
     * The hospital's seat tolerance screening.
     *
     * @param restraint model number of the restraint it was done in; a screening that names none is of no restraint
     */
    record Screened(
            RiderId of,
            @Written(needed = true) ScreeningResult result,
            @Written(free = true) @Nullable String who,
            @Nullable LocalDate on,

            @Written(says = "Model number of the restraint it was done in.") @Nullable
            String restraint)
            implements Fact {}

    /**
     * A sheet version taken or turned down for this fitting. {@code of} is the sheet's id.
     *
     * @param unit in whose car it is, where one seat stands in several cars; null for the car that the fitting began with,
     *     and for every seat sheet
     */
    record SheetAdopted(
            SheetId of,
            @Written(from = 1) int version,
            @Written(needed = true) Adoption adoption,
            @Written(longest = 2000, free = true) @Nullable String reason,
            @Nullable UnitId unit)
            implements Fact {
        /** A sheet of any seat, or of the car that the fitting began with. */
        public SheetAdopted(SheetVersion sheet, Adoption adoption, @Nullable String reason) {
            this(SheetId.of(sheet), sheet.version(), adoption, reason, null);
        }

        /** The sheet and which version of it. */
        public SheetVersion sheet() {
            return new SheetVersion(of.text(), version);
        }
    }

    /**
     * A car without a sheet: one place, as seen; {@code null} where the technician is unsure. Another place of the same
     * name belongs to the same car; another name, or a contradiction, is another car.
     *
     * @param belt whether there is a bag in the belt
     * @param beltKind which parts the belt has
     */
    @Built
    record QuickCarSeen(
            UnitId of,
            @Written(needed = true) String name,
            @Written(needed = true) PositionId position,
            @Nullable Facing facing,
            @Nullable Airbag airbag,
            @Nullable OwnAnchors anchors,
            @Nullable Floor floor,
            @Nullable Retractor retractor,
            @Nullable LatchPlate latchPlate,
            @Nullable BeltSort belt,
            Belt.@Nullable Kind beltKind)
            implements Fact {}

    /**
     * A seat that is not on the shelf, as its label and its manual's page say; {@code null} where nobody has looked.
     * Counts only with its page; everything else about the seat stays not looked at. {@code slots} are counted, not
     * measured. {@code pass} is what the manual counts as level for children from {@code zoneFrom} to {@code zoneTo}.
     * Without a {@code sort} it is a rear-facing-only seat.
     */
    @Built
    record QuickSeatRead(
            UnitId of,
            @Written(needed = true) String name,
            @Written(needed = true) String model,
            @Written(in = Bounds.CHILD_MASS) @Nullable Mass weightMin,
            @Written(in = Bounds.CHILD_MASS) @Nullable Mass weightMax,
            @Written(in = Bounds.BODY) @Nullable Length lengthMax,
            @Written(from = 1, to = 12) @Nullable Integer slots,
            Indicator.@Nullable Kind indicator,
            Indicator.@Nullable Pass pass,
            @Written(in = Bounds.CHILD_MASS) @Nullable Mass zoneFrom,
            @Written(in = Bounds.CHILD_MASS) @Nullable Mass zoneTo,
            @Nullable RoutingsShown routings,
            @Nullable HandlePosition handle,
            @Nullable SeatKind sort)
            implements Fact {}

    /** The caregiver signs for the teach-back: initials, on the technician's screen. */
    record CaregiverSigned(
            UnitId of,

            @Written(needed = true, longest = 6, free = true)
            String initials) implements Fact {}

    /**
     * A photograph that was taken and is kept with the record.
     *
     * @param photo its id
     * @param about step or moment that it shows
     * @param sha256 of the kept picture, so that the seal covers it
     */
    record PhotoTaken(
            UnitId of,
            @Written(needed = true) UUID photo,
            @Written(needed = true, longest = 60) String about,
            @Written(needed = true, as = "sha256") String sha256)
            implements Fact {}

    /** Something found wrong before anything was touched; {@code there} is false where it is taken back. */
    record FoundSo(UnitId of, @Written(needed = true) Misuse misuse, boolean there) implements Fact {}

    /** Looked at before anything was touched, and nothing was wrong; {@code clear} is false where it is taken back. */
    record AreaLooked(UnitId of, @Written(needed = true) Area area, boolean clear) implements Fact {}

    /**
     * The family comes back with the same seat, which was handed over before.
     *
     * @param fitting the earlier fitting
     * @param on the day on which it was handed over
     * @param model as its carrier's label said; {@code null} where it was not read
     * @param made as the label said it
     */
    record CameBack(
            UnitId of,
            @Written(needed = true) UUID fitting,
            @Written(needed = true) LocalDate on,
            @Nullable String model,
            @Nullable PartialDate made)
            implements Fact {}

    /** Only ever a correction: what it corrects was entered by mistake and never was so. */
    record Withdrawn(Subject of) implements Fact {
        public Withdrawn {
            of = of == null ? null : new Subject.Named(of.text());
        }
    }

    /**
     * Words added to the record: why something was corrected, or what came to light after it was sealed.
     *
     * @param about the entry it is about; {@code null} for the fitting as a whole
     */
    record Noted(
            Subject of,
            @Nullable UUID about,

            @Written(needed = true, longest = 2000, free = true)
            String text) implements Fact {
        public Noted {
            of = of == null ? null : new Subject.Named(of.text());
        }
    }

    /** The car with this seat in it was in a crash after the fitting had ended (CND-3). */
    record CrashedSince(
            UnitId of,

            @Written(needed = true, days = DayBounds.LAST_FIVE_YEARS)
            LocalDate on) implements Fact {}

    /** A technician looked at a trainee's checks and signs for them. */
    record Countersigned(UnitId of) implements Fact {}

    /**
     * Another actual seat belongs to this fitting: twins, or a sibling in the same car. Each is judged for itself; what
     * is of the car and the day is of them all. Or the same seat is fixed in another car too: child, seat and harness are
     * judged once, place and securing for each.
     *
     * @param of id of the unit
     * @param rider id of the child it is for
     * @param sheet id of its seat sheet
     * @param seatOf the unit whose seat it is, where that is fixed in another car; null for a seat of its own
     */
    record UnitJoined(
            UnitId of,
            @Written(needed = true) RiderId rider,
            @Written(needed = true) SheetId sheet,
            @Nullable UnitId seatOf)
            implements Fact {
        /** A seat of its own. */
        public UnitJoined(UnitId of, RiderId rider, SheetId sheet) {
            this(of, rider, sheet, null);
        }

        /** The unit that joined. */
        public FittingRecord.Unit unit() {
            return new FittingRecord.Unit(of, rider, sheet, seatOf);
        }
    }

    /**
     * A technician looked at what a trainee corrected or took back after the end.
     *
     * @param entry the correction or withdrawal
     * @param taken whether it counts from now on; otherwise it never does
     */
    record CorrectionSigned(
            UnitId of, @Written(needed = true) UUID entry, boolean taken) implements Fact {}

    /** Before the birth: what stays in the car is in and tested, as somebody signed. It ends nothing. */
    record Prepared(UnitId of) implements Fact {}

    /**
     * How the fitting ended.
     *
     * @param decision what the gate said when a hand-over was signed; {@code null} where no server kept it
     */
    record Ended(
            UnitId of,
            @Written(needed = true) Ending ending,
            @Written(longest = 2000, free = true) @Nullable String said,
            @Written(longest = 2000, free = true) @Nullable String offered,
            @Written(longest = 2000, free = true) @Nullable String told,
            @Nullable Decision decision)
            implements Fact {
        /** An ending without a kept decision. */
        public Ended(UnitId of, Ending ending, @Nullable String said, @Nullable String offered, @Nullable String told) {
            this(of, ending, said, offered, told, null);
        }

        /** The same ending with the decision that it rests on. */
        public Ended decidedBy(Decision by) {
            return new Ended(of, ending, said, offered, told, by);
        }
    }

    /**
     * What a hand-over rests on, kept with the signature: later rules may think otherwise and undo nothing.
     *
     * @param edition of the rules that decided
     * @param passed names of the required conclusions, all passed and fresh
     */
    record Decision(
            @Written(needed = true, longest = 40) String edition,

            @Written(needed = true, most = 200, as = "constant")
            List<String> passed) {
        public Decision {
            passed = passed == null ? List.of() : List.copyOf(passed);
        }
    }

    /** Lengths that can be measured. */
    enum Dimension {
        BODY,
        SHOULDER,
        CROWN,
        MOVEMENT,
        GAP;

        /** Whether it is a length of the child itself; else of the set-up around it. */
        public boolean isOfTheChild() {
            return switch (this) {
                case BODY, SHOULDER, CROWN -> true;
                case MOVEMENT, GAP -> false;
            };
        }
    }

    /** Quantities that an entry may fill in for this fitting. */
    enum Quantity {
        /** Combined-mass limit of the lower anchors; a mass. */
        ANCHOR_LIMIT,
        /** Gap asked to the front seat; a length. */
        GAP,
        /** Room asked above the head; a length. */
        HEAD_ROOM,
        /** Lightest child; a mass. */
        WEIGHT_MIN,
        /** Heaviest child; a mass. */
        WEIGHT_MAX,
        /** Longest child; a length. */
        LENGTH_MAX,
        /** The widest spacing at which the middle may borrow inner anchors; a length. */
        BORROWED_SPACING,
        /** Carrier or one-piece shell, as it is carried; a mass. */
        CARRIER_MASS,
        BASE_MASS
    }

    /** Whether a seated height was measured on the insert as it will be, or on the bare shell (HAR-3). */
    enum InsertState {
        AS_IT_WILL_BE,
        BARE
    }

    /** Whether a belt has a bag in it (CAB-6). */
    enum BeltSort {
        PLAIN,
        INFLATABLE
    }

    /** The baseless routings that a seat manual shows. */
    enum RoutingsShown {
        EUROPEAN,
        AMERICAN,
        BOTH,
        NEITHER
    }

    /** Parts with a label of their own. */
    enum Part {
        CARRIER,
        BASE
    }

    /** Usual layers under the straps. */
    enum Garment {
        FLEECE,
        LIGHT_QUILT,
        PADDED_COAT,
        SNOWSUIT
    }

    /** The two shoulder webbings, as seen from in front of the child. */
    enum Strap {
        LEFT,
        RIGHT
    }

    /** Moves of a rethread. */
    enum WebbingMove {
        LOOSENED,
        SHELL_LIFTED_OUT,
        OFF_PLATE,
        THROUGH_SHELL,
        THROUGH_PAD,
        /** Fully home on the splitter plate. */
        ON_PLATE,
        /** Only half on: it comes off when pulled. */
        HALF_ON,
        TWISTED,
        STRAIGHTENED,
        /** Run tight and loose once, freely. */
        RAN_FREE
    }

    /** What a page says. */
    enum PageSays {
        ALLOWED,
        NOT_ALLOWED,
        SILENT
    }

    /** When a level is read (REC-5). */
    enum Stage {
        LOOSE,
        PRESSED,
        TIGHT,
        CHILD
    }

    /** Where an angle was read. */
    enum AngleSource {
        /** Typed in from a level that somebody holds. */
        LEVEL,
        /** The motion sensor of the phone or tablet. */
        DEVICE_SENSOR,
        /** A digital angle gauge that sends its reading. */
        GAUGE
    }

    /** What can lie rolled under the foot end. */
    enum RollKind {
        NONE,
        TOWEL,
        NOODLE,
        NOODLE_TRIANGLE
    }

    /** How much a noodle gives. */
    enum Softness {
        FIRM,
        SOFT
    }

    /** How a part of the teach-back went. */
    enum TeachOutcome {
        DONE,
        DECLINED
    }

    /** Clinicians' orders (SUIT-7). */
    enum OrderKind {
        NONE,
        FLAT,
        SEMI_RECLINED,
        AS_SCREENED
    }

    /** Answers about the tolerance screening (SUIT-8). */
    enum ScreeningResult {
        PASSED,
        NOT_PASSED,
        NOT_OFFERED_CLINICIAN_INFORMED
    }

    /** What was done about a sheet version. */
    enum Adoption {
        ADOPTED,
        DECLINED
    }

    /** How a fitting can end. */
    enum Ending {
        HANDED_OVER,
        LEFT_WITH_OPEN_FINDINGS,
        NOT_FITTED,
        /** A bedside run: taught, nothing fitted. */
        TAUGHT
    }

    /** Kinds of run. */
    enum TimeBox {
        FULL,
        /** No car, about three minutes. */
        BEDSIDE
    }
}
