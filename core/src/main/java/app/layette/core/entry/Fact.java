package app.layette.core.entry;

import app.layette.core.child.Child;
import app.layette.core.child.Sex;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatKind;
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

/**
 * What an entry says. A closed set: a kind that is not here is refused. Every fact names what it is about ({@code of}):
 * a rider, a unit (an actual seat) or a sheet.
 */
public sealed interface Fact {
    /** Id of the rider, unit or sheet that the fact is about. */
    String of();

    /** Dates and sex of a child; nothing that names it. {@code gestationDays} 154 to 308 or {@code null}. */
    record ChildDescribed(String of, LocalDate born, Integer gestationDays, Sex sex, Mass birthWeight) implements Fact {
        /** The child as it was described. */
        public Child child() {
            OptionalInt gestation = gestationDays == null ? OptionalInt.empty() : OptionalInt.of(gestationDays);
            return new Child(born, gestation, Optional.ofNullable(sex), Optional.ofNullable(birthWeight));
        }
    }

    /** A child that is not born yet; its birth is told by {@link ChildDescribed}. */
    record Expected(String of, LocalDate due) implements Fact {}

    record Weighed(String of, Mass mass) implements Fact {}

    /** A length of the child, or of the set-up around it. */
    record LengthMeasured(String of, Dimension what, Length length, InsertState insert) implements Fact {}

    /** The highest slot at or below the top of the shoulder, by eye; 0 when the shoulder is below them all. */
    record ShoulderSeen(String of, int slotAtOrBelow) implements Fact {}

    /** What a label says. {@code made} and {@code doNotUseAfter} may be {@code null} when not readable or not there. */
    record LabelRead(String of, Part part, String model, PartialDate made, PartialDate doNotUseAfter) implements Fact {}

    /**
     * An answer by eye.
     *
     * @param place the seating position it is about, where there are two; {@code null} for the chosen one
     */
    record Answered(String of, Question question, String answer, PositionId place) implements Fact {
        /** An answer about the chosen place, or about none. */
        public Answered(String of, Question question, String answer) {
            this(of, question, answer, null);
        }
    }

    /** What a manual page says on a permission. Counts only with its page. */
    record PermissionRead(String of, PermissionKey permission, Speaker speaker, PageSays says) implements Fact {}

    /**
     * A quantity read on a manual page that the sheet does not have; both values {@code null} when the page is silent.
     * Counts only with its page.
     */
    record QuantityRead(String of, Quantity quantity, Speaker speaker, Mass mass, Length length) implements Fact {}

    /**
     * A value that no sheet has: read on a page or label of the seat, or seen at a place of the car.
     *
     * @param place the seating position, for a value of the car; {@code null} for one of the seat
     * @param says a constant of the value, a number, or names with a comma between
     * @param from lightest child that it is said of; {@code null} where it is of every weight
     * @param to heaviest child
     */
    record SheetValueRead(String of, SheetValue value, PositionId place, String says, Mass from, Mass to)
            implements Fact {
        /** A value that is said of every weight. */
        public SheetValueRead(String of, SheetValue value, PositionId place, String says) {
            this(of, value, place, says, null, null);
        }
    }

    /** What the seat manual's page says on a handle position for driving. */
    record HandlePositionRead(String of, HandlePosition position, Said says) implements Fact {}

    /**
     * A layer under the straps, by its sort, or by its thickness as worn and under a snug strap; {@code null} where not
     * measured. It only ever warns (HAR-9).
     */
    record LayerSeen(String of, Garment garment, Length loose, Length pressed) implements Fact {}

    /**
     * One move of a rethread (HAR-4), in its order. {@code strap} is {@code null} where the move is about both, {@code
     * slot} where it goes through none.
     */
    record WebbingMoved(String of, WebbingMove move, Strap strap, Integer slot) implements Fact {}

    /** Which run this is to be: a fitting in a car, or teaching at the bedside without one. */
    record BoxChosen(String of, TimeBox box) implements Fact {}

    record InsertSet(String of, String piece, boolean in) implements Fact {}

    /** The slots as seen on shell and pad, both sides, and the loop on the splitter plate. */
    record SlotsSet(String of, int leftShell, int rightShell, int leftPad, int rightPad, String loop) implements Fact {}

    /** The crotch opening in use, from 1, nearest the shell back first. */
    record CrotchSet(String of, int opening) implements Fact {}

    /** The recline device's setting, by the name printed on the seat. */
    record DeviceSet(String of, String step) implements Fact {}

    record HandleSet(String of, HandlePosition position) implements Fact {}

    /** The caregiver's choice of place and method. */
    record Placed(String of, PositionId position, Method method) implements Fact {}

    /** What lies rolled under the foot end (REC-6); the sizes are {@code null} where the kind has none. */
    record RollPlaced(
            String of,
            RollKind roll,
            Length diameter,
            Softness softness,
            Length thickness,
            Integer layers,
            Length rolled,
            Boolean underFoot)
            implements Fact {}

    /** Ground slope along the car, nose-up positive. */
    record GroundMeasured(String of, Angle pitch) implements Fact {}

    /** A level on the door sill, and again with the car turned round: both nose-up positive as read (REC-3). */
    record SillsRead(String of, Angle first, Angle turned) implements Fact {}

    /** How far the car leans sideways. */
    record LeanMeasured(String of, Angle lean) implements Fact {}

    /** A level laid on the cushion, as read: positive when it drops towards the bight. The ground's slope is in it. */
    record CushionMeasured(String of, Angle slope) implements Fact {}

    record LevelRead(String of, Stage stage, Indicator.Reading reading) implements Fact {}

    /** The recline angle as a level on the shell back reads it, the ground's slope in it. Advises; passes nothing. */
    record AngleRead(String of, Stage stage, Angle angle, AngleSource source) implements Fact {}

    record Acted(String of, Act act) implements Fact {}

    record Taught(String of, TeachItem item, TeachOutcome outcome, String reason) implements Fact {}

    /** An order of the baby's clinicians. {@code role}, {@code on} and {@code reviewOn} are empty for NONE. */
    record Ordered(String of, OrderKind order, String role, LocalDate on, LocalDate reviewOn) implements Fact {}

    /**
     * The hospital's seat tolerance screening.
     *
     * @param restraint model number of the restraint it was done in; a screening that names none is of no restraint
     */
    record Screened(String of, ScreeningResult result, String who, LocalDate on, String restraint) implements Fact {}

    /**
     * A sheet version taken or turned down for this fitting. {@code of} is the sheet's id.
     *
     * @param unit in whose car it is, where one seat stands in several cars; null for the car that the fitting began with,
     *     and for every seat sheet
     */
    record SheetAdopted(String of, int version, Adoption adoption, String reason, String unit) implements Fact {
        public SheetAdopted(String of, int version, Adoption adoption, String reason) {
            this(of, version, adoption, reason, null);
        }
    }

    /**
     * A car without a sheet: one place, as seen; {@code null} where the technician is unsure. Another place of the same
     * name belongs to the same car; another name, or a contradiction, is another car.
     *
     * @param belt whether there is a bag in the belt
     * @param beltKind which parts the belt has
     */
    record QuickCarSeen(
            String of,
            String name,
            PositionId position,
            Facing facing,
            Airbag airbag,
            OwnAnchors anchors,
            Floor floor,
            Retractor retractor,
            LatchPlate latchPlate,
            BeltSort belt,
            Belt.Kind beltKind)
            implements Fact {}

    /**
     * A seat that is not on the shelf, as its label and its manual's page say; {@code null} where nobody has looked.
     * Counts only with its page; everything else about the seat stays not looked at. {@code slots} are counted, not
     * measured. {@code pass} is what the manual counts as level for children from {@code zoneFrom} to {@code zoneTo}.
     * Without a {@code sort} it is a rear-facing-only seat.
     */
    record QuickSeatRead(
            String of,
            String name,
            String model,
            Mass weightMin,
            Mass weightMax,
            Length lengthMax,
            Integer slots,
            Indicator.Kind indicator,
            Indicator.Pass pass,
            Mass zoneFrom,
            Mass zoneTo,
            RoutingsShown routings,
            HandlePosition handle,
            SeatKind sort)
            implements Fact {}

    /** The caregiver signs for the teach-back: initials, on the technician's screen. */
    record CaregiverSigned(String of, String initials) implements Fact {}

    /**
     * A photograph that was taken and is kept with the record.
     *
     * @param photo its id
     * @param about step or moment that it shows
     * @param sha256 of the kept picture, so that the seal covers it
     */
    record PhotoTaken(String of, UUID photo, String about, String sha256) implements Fact {}

    /** Something found wrong before anything was touched; {@code there} is false where it is taken back. */
    record FoundSo(String of, Misuse misuse, boolean there) implements Fact {}

    /** Looked at before anything was touched, and nothing was wrong; {@code clear} is false where it is taken back. */
    record AreaLooked(String of, Area area, boolean clear) implements Fact {}

    /**
     * The family comes back with the same seat, which was handed over before.
     *
     * @param fitting the earlier fitting
     * @param on the day on which it was handed over
     * @param model as its carrier's label said; {@code null} where it was not read
     * @param made as the label said it
     */
    record CameBack(String of, UUID fitting, LocalDate on, String model, PartialDate made) implements Fact {}

    /** Only ever a correction: what it corrects was entered by mistake and never was so. */
    record Withdrawn(String of) implements Fact {}

    /**
     * Words added to the record: why something was corrected, or what came to light after it was sealed.
     *
     * @param about the entry it is about; {@code null} for the fitting as a whole
     */
    record Noted(String of, UUID about, String text) implements Fact {}

    /** The car with this seat in it was in a crash after the fitting had ended (CND-3). */
    record CrashedSince(String of, LocalDate on) implements Fact {}

    /** A technician looked at a trainee's checks and signs for them. */
    record Countersigned(String of) implements Fact {}

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
    record UnitJoined(String of, String rider, String sheet, String seatOf) implements Fact {
        /** A seat of its own. */
        public UnitJoined(String of, String rider, String sheet) {
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
    record CorrectionSigned(String of, UUID entry, boolean taken) implements Fact {}

    /** Before the birth: what stays in the car is in and tested, as somebody signed. It ends nothing. */
    record Prepared(String of) implements Fact {}

    /**
     * How the fitting ended.
     *
     * @param decision what the gate said when a hand-over was signed; {@code null} where no server kept it
     */
    record Ended(String of, Ending ending, String said, String offered, String told, Decision decision)
            implements Fact {
        /** An ending without a kept decision. */
        public Ended(String of, Ending ending, String said, String offered, String told) {
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
    record Decision(String edition, List<String> passed) {
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
        GAP
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
