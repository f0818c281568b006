package app.layette.core.bench.scene;

import app.layette.core.entry.Method;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Source;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile.SnugTest;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.BaselessRouteParts;
import app.layette.core.seat.CarBedParts;
import app.layette.core.seat.Connectors;
import app.layette.core.seat.CrashRule;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Harness;
import app.layette.core.seat.HarnessParts;
import app.layette.core.seat.HeadDirection;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LayFlatParts;
import app.layette.core.seat.LegUse;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.Limits;
import app.layette.core.seat.LockOff;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.ReboundBar;
import app.layette.core.seat.Recline;
import app.layette.core.seat.ReclineParts;
import app.layette.core.seat.Rotation;
import app.layette.core.seat.SeatIdentity;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.SeatSheetParts;
import app.layette.core.seat.ServiceLife;
import app.layette.core.seat.SettingId;
import app.layette.core.seat.Shell;
import app.layette.core.seat.ShellParts;
import app.layette.core.seat.SideElement;
import app.layette.core.seat.WeightBand;
import app.layette.core.trial.TrialBand;
import app.layette.core.vehicle.PositionId;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/** A restraint that nobody sells, with every page of its manual: what the bench needs to know of it. */
final class MadeUpSeat {
    static final String ID = "bench-seat";
    static final String MODEL = "BK-40";
    static final String BASE = "BB-4";
    /** The piece that a newborn needs. */
    static final String BODY = "body";
    /** A piece for later, that must be out. */
    static final String HEAD = "head";
    /** A loose part of the first piece, that must be out. */
    static final String WEDGE = "wedge";

    private static final Source MANUAL = new Source("Bench manual", "1", LocalDate.of(2026, 1, 1));
    private static final String[] MAKERS = {"Sedge & Sorrel", "Twill & Tern", "Larch & Linnet", "Oak & Ousel"};
    private static final String[] NAMES = {"Bobbin", "Tassel", "Wicker", "Acorn", "Pebble", "Thistle"};
    private static final double MM_BETWEEN_SLOTS = 38;

    private final Method method;
    private final Random random;
    private final TrialBand band;
    private final Optional<Differs> differs;

    /** What this one has. */
    final boolean leg;

    final boolean bar;
    final boolean turns;
    final boolean setUp;
    final boolean side;
    final boolean panel;
    final double lowestSlot;
    final int slots;

    /** What makes one restraint of a choice differ from another. */
    record Differs(String id, Mass lightest, Length longest, double lowestSlot) {}

    MadeUpSeat(Method method, TrialBand band, Random random) {
        this(method, band, random, null);
    }

    MadeUpSeat(Method method, TrialBand band, Random random, @Nullable Differs differs) {
        this.method = method;
        this.differs = Optional.ofNullable(differs);
        this.band = band;
        this.random = random;
        this.leg = method == Method.BASE_RIGID_LEG || method == Method.BASE_FLEXIBLE_ANCHORS && random.nextInt(4) == 0;
        this.bar = staysInTheCar() && !leg && random.nextInt(4) == 0;
        this.turns = method == Method.BASE_RIGID_LEG && random.nextInt(3) == 0;
        this.setUp = method.isOnBase() && random.nextInt(4) == 0;
        this.side = random.nextInt(5) == 0;
        this.panel = (method == Method.BASE_BELT || method == Method.CONVERTIBLE_BELT) && random.nextInt(4) == 0;
        double lowest = 170 + 10 * random.nextInt(3);
        this.lowestSlot = differs == null ? lowest : differs.lowestSlot();
        this.slots = 3 + random.nextInt(2);
    }

    private boolean staysInTheCar() {
        return method.staysInTheCar();
    }

    double slotHeight(int slot) {
        return lowestSlot + MM_BETWEEN_SLOTS * (slot - 1);
    }

    private static <T> Evidence<T> stated(T value) {
        return Evidence.stated(value, MANUAL);
    }

    private static Length mm(double value) {
        return Length.ofMillimetres(value);
    }

    SeatSheet sheet(Angle theta0, Length contact, List<Length> lifts, PositionId place) {
        return SeatSheetParts.builder()
                .sheet(new SheetVersion(differs.map(Differs::id).orElse(ID), 1))
                .status(SheetStatus.CONFIRMED)
                .kind(method.kind())
                .identity(new SeatIdentity(
                        MAKERS[random.nextInt(MAKERS.length)],
                        NAMES[random.nextInt(NAMES.length)],
                        List.of(MODEL),
                        LocalDate.of(2021, 1, 1),
                        LocalDate.of(2030, 12, 31)))
                .life(stated(new ServiceLife(ServiceLife.Kind.YEARS, 8)))
                .approvals(stated(List.of("US", "CA")))
                .crash(stated(CrashRule.MINOR_MAY_STAY))
                .parts(stated(List.of("shell", "pad", "harness")))
                .limits(new Limits(
                        stated(differs.map(Differs::lightest).orElse(Mass.ofKilograms(1.8))),
                        stated(Mass.ofKilograms(method.kind() == SeatKind.CAR_BED ? 4.5 : 13)),
                        stated(LengthLimit.of(differs.map(Differs::longest)
                                .orElse(mm(method.kind() == SeatKind.CAR_BED ? 560 : 760))))))
                .shell(shell())
                .insert(stated(pieces()))
                .harness(harness())
                .bases(stated(List.of(new BaseFit("Base", List.of(BASE), null, setUp ? "Lever at 1" : null))))
                .recline(recline(theta0, contact, lifts))
                .anchorLimit(stated(Mass.ofKilograms(29.5)))
                .connectors(connectors())
                .leg(stated(leg ? LegUse.ALWAYS : LegUse.NO_LEG))
                .windows(stated(
                        method == Method.BASE_RIGID_LEG || turns ? List.of("left arm", "right arm", "leg") : List.of()))
                .handle(stated(List.of(HandlePosition.UP)))
                .gap(Evidence.silent(MANUAL))
                .lockOffs(stated(method.isByBelt() && !panel && random.nextInt(2) == 0 ? lockOffs() : List.of()))
                .permissions(permissions())
                .sideElement(stated(side ? SideElement.DOOR_SIDE : SideElement.NONE))
                .rotation(stated(turns ? Rotation.TO_DOOR : Rotation.NONE))
                .tensionPanel(stated(panel))
                .routing(BaselessRouteParts.builder()
                        .guides(Evidence.silent(MANUAL))
                        .overShell(stated(mm(390)))
                        .roundShell(stated(mm(1700)))
                        .whenBuckledFirst(stated(mm(194)))
                        .build())
                .carBed(
                        method == Method.CAR_BED
                                ? CarBedParts.builder()
                                        .positions(stated(List.of(place)))
                                        .headDirection(stated(HeadDirection.TOWARDS_MIDDLE))
                                        .endStraps(stated(random.nextInt(2) == 0))
                                        .build()
                                : null)
                .layFlat(
                        method == Method.LAY_FLAT
                                ? LayFlatParts.builder()
                                        .headDirection(stated(HeadDirection.TOWARDS_MIDDLE))
                                        .build()
                                : null)
                .modes(List.of())
                .ownConditions(stated(List.of()))
                .reboundBar(stated(bar ? ReboundBar.FIXED : ReboundBar.NONE))
                .build();
    }

    private Shell shell() {
        List<Length> heights = new ArrayList<>();
        for (int slot = 1; slot <= slots; slot++) {
            heights.add(mm(slotHeight(slot)));
        }
        return ShellParts.builder()
                .top(stated(mm(480)))
                .slots(stated(List.copyOf(heights)))
                .crotch(stated(List.of(
                        new CrotchOpening(mm(92), new WeightBand(null, Mass.ofKilograms(4.5))),
                        new CrotchOpening(mm(128), new WeightBand(Mass.ofKilograms(4.5), null)))))
                .headRoom(stated(mm(25)))
                .carrierMass(stated(Mass.ofKilograms(4)))
                .baseMass(stated(Mass.ofKilograms(4)))
                .outline(Evidence.notLooked())
                .widthShell(Evidence.notLooked())
                .innerShellLiftsOut(stated(false))
                .build();
    }

    private static List<InsertPiece> pieces() {
        return List.of(
                new InsertPiece(
                        new PieceId(BODY),
                        "body piece",
                        mm(18),
                        List.of(
                                new InsertPiece.Band(
                                        new WeightBand(null, Mass.ofKilograms(5)), InsertPiece.Use.REQUIRED),
                                new InsertPiece.Band(
                                        new WeightBand(Mass.ofKilograms(5), null), InsertPiece.Use.MUST_BE_OUT))),
                out(HEAD, "head piece"),
                out(WEDGE, "wedge"));
    }

    /** For an older child only. */
    private static InsertPiece out(String key, String name) {
        return new InsertPiece(
                new PieceId(key),
                name,
                mm(0),
                List.of(
                        new InsertPiece.Band(new WeightBand(null, Mass.ofKilograms(6)), InsertPiece.Use.MUST_BE_OUT),
                        new InsertPiece.Band(new WeightBand(Mass.ofKilograms(6), null), InsertPiece.Use.OPTIONAL)));
    }

    private Harness harness() {
        return HarnessParts.builder()
                .loops(stated(List.of(new Harness.Loop("short", 1, 2), new Harness.Loop("long", 3, slots))))
                .snugTest(stated(SnugTest.PINCH))
                .clip(stated(true))
                .covers(stated(Harness.Covers.NONE))
                .shortestSnugFrom(Evidence.notLooked())
                .build();
    }

    private Recline recline(Angle theta0, Length contact, List<Length> lifts) {
        List<Recline.Step> steps = new ArrayList<>();
        for (int step = 0; step < lifts.size(); step++) {
            steps.add(new Recline.Step(new SettingId(String.valueOf(step + 1)), lifts.get(step), Angle.ZERO));
        }
        boolean hasDevice = lifts.size() > 1;
        return ReclineParts.builder()
                .theta0(stated(theta0))
                .contact(stated(contact))
                .device(
                        hasDevice
                                ? stated(new Recline.Device(Recline.DeviceKind.FOOT, List.copyOf(steps)))
                                : Evidence.notLooked())
                .indicator(stated(new Indicator(
                        Indicator.Kind.values()[random.nextInt(Indicator.Kind.values().length)],
                        method.isOnBase() ? Indicator.Mount.BASE : Indicator.Mount.CARRIER,
                        Indicator.Pass.WHOLLY_INSIDE,
                        List.of(new Indicator.Band(WeightBand.EVERY_WEIGHT, band.from(), band.to())))))
                .arms(Evidence.notLooked())
                .build();
    }

    private Evidence<Connectors> connectors() {
        return stated(
                method == Method.BASE_RIGID_LEG
                        ? new Connectors(Connectors.Kind.RIGID_ARMS, null)
                        : new Connectors(Connectors.Kind.HOOK_OPENING_DOWN, Connectors.Tail.RIGHT));
    }

    private List<LockOff> lockOffs() {
        return List.of(new LockOff(
                LockOff.Side.LEFT, LockOff.Part.BOTH, method.isBaseless() ? LockOff.On.CARRIER : LockOff.On.BASE));
    }

    private Map<PermissionKey, Evidence<Said>> permissions() {
        Map<PermissionKey, Evidence<Said>> says = new EnumMap<>(PermissionKey.class);
        says.put(PermissionKey.FEET_PAST_END, Evidence.silent(MANUAL));
        for (PermissionKey key : List.of(
                PermissionKey.CARRIER_WITHOUT_BASE, PermissionKey.AMERICAN_ROUTING, PermissionKey.EUROPEAN_ROUTING)) {
            says.put(key, stated(Said.ALLOWED));
        }
        if (method == Method.LAY_FLAT) {
            says.put(PermissionKey.LAY_FLAT_POSITION, stated(Said.ALLOWED));
        }
        return says;
    }
}
