package app.layette.core.run;

import app.layette.core.condition.BaseFitsCarrier;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.harness.HarnessSnug;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.practice.PracticeProfile.RetractorBesides;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.BaselessRoute;
import app.layette.core.seat.BeltPath;
import app.layette.core.seat.CarBed;
import app.layette.core.seat.Connectors;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.Harness;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LayFlat;
import app.layette.core.seat.LockOff;
import app.layette.core.seat.Recline;
import app.layette.core.seat.Rotation;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import app.layette.core.secure.BeltRules;
import app.layette.core.secure.LiesFlat;
import app.layette.core.secure.LockOffs;
import app.layette.core.secure.LockTable.Lock;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The words of the sheets at the step where they are needed: which guides, how many feet, what shows that a leg is locked.
 * Only what the chosen method uses is said, and nothing that nobody has looked up.
 */
public final class SheetSays {
    /** The saying that a locking clip is what locks the belt. */
    public static final String LOCKING_CLIP = "lockingClip";

    private static final List<StepKey> FAMILY_STEPS = List.of(
            StepKey.ROUTE_BELT, StepKey.LEG_AND_WINDOWS, StepKey.LEVEL_CHILD, StepKey.HARNESS, StepKey.HANDLE_AND_GAP);
    private static final Set<String> FOR_THE_FAMILY =
            Set.of("guides", "flatOrder", "legIndicator", "windows", "indicator", "turn", "snugTestWords", "handle");

    private final Situation situation;
    private final Method method;
    private final List<Saying> says = new ArrayList<>();

    private SheetSays(Situation situation) {
        this.situation = situation;
        this.method = situation.usualMethod();
    }

    /** What is said at a step; empty where the sheets have nothing to say. */
    public static List<Saying> at(StepKey step, Situation situation) {
        if (situation.seat().isEmpty()) {
            return List.of();
        }
        SheetSays sheet = new SheetSays(situation);
        sheet.seatAndChild(step);
        sheet.place(step);
        sheet.securing(step);
        return List.copyOf(sheet.says);
    }

    /** What a family needs of the sheets' words for each ride; the rest was the technician's. */
    public static List<Saying> forTheFamily(Situation situation) {
        return FAMILY_STEPS.stream()
                .flatMap(step -> at(step, situation).stream())
                .filter(saying -> FOR_THE_FAMILY.stream().anyMatch(saying::isAbout))
                .toList();
    }

    /** How it comes out again, where the sheet says so in its own words. */
    public static List<Saying> removal(Situation situation) {
        Evidence<String> removal =
                situation.seat().map(seat -> seat.layFlat().removal()).orElse(Evidence.notLooked());
        return removal.value()
                .map(words -> List.of(Saying.of("removal", removal, "words", words)))
                .orElse(List.of());
    }

    private SeatSheet seat() {
        return situation.seat().orElseThrow();
    }

    private <T> void say(String key, Evidence<T> from) {
        from.value().ifPresent(value -> says.add(Saying.of(key, from, "value", value)));
    }

    private <E extends Enum<E>> void sayKey(String key, String prefix, Evidence<E> from) {
        from.value().ifPresent(value -> says.add(Saying.of(key, from, "value", Argument.key(prefix, value))));
    }

    private void sayList(String key, Evidence<List<String>> from) {
        from.value()
                .filter(list -> !list.isEmpty())
                .ifPresent(list -> says.add(Saying.of(key, from, "value", String.join(", ", list))));
    }

    private void seatAndChild(StepKey step) {
        switch (step) {
            case LABEL -> {
                sayList("standards", seat().standards());
                if (seat().note() != null) {
                    says.add(Saying.of("note", Evidence.notLooked(), "value", seat().note()));
                }
            }
            case PARTS_STEP -> sayList("parts", seat().parts());
            case FITS -> {
                sayList("ownConditions", seat().ownConditions());
                say("seatDepth", seat().shell().seatDepth());
            }
            case INSERT_STEP -> seat().insert().value().orElse(List.of()).forEach(this::piece);
            case THREAD -> thread();
            case HARNESS -> harness();
            default -> {
                // Said elsewhere.
            }
        }
    }

    private void piece(InsertPiece piece) {
        situation
                .useOf(piece)
                .ifPresent(use -> says.add(Saying.of(
                        "piece", seat().insert(), "piece", piece.name(), "use", Argument.key("sheet.insertUse", use))));
    }

    private void thread() {
        Optional<Mass> weight = situation.weight().map(Stamped::value);
        List<CrotchOpening> openings = seat().shell().crotch().value().orElse(List.of());
        for (int i = 0; i < openings.size() && weight.isPresent(); i++) {
            Length distance = openings.get(i).distance();
            if (distance != null && openings.get(i).weights().contains(weight.get())) {
                says.add(Saying.of("crotchFits", seat().shell().crotch(), "opening", i + 1, "distance", distance));
            }
        }
        for (Harness.Loop loop : seat().harness().loops().value().orElse(List.of())) {
            says.add(Saying.of(
                    "loop",
                    seat().harness().loops(),
                    "loop",
                    loop.name(),
                    "from",
                    loop.fromSlot(),
                    "to",
                    loop.toSlot()));
        }
        seat().shell()
                .innerShellLiftsOut()
                .value()
                .ifPresent(out -> says.add(Saying.of(
                        out ? "innerShellOut" : "innerShellStays",
                        seat().shell().innerShellLiftsOut())));
        say("shortestSnugFrom", seat().harness().shortestSnugFrom());
    }

    private void harness() {
        sayKey("adjuster", "sheet.adjuster", seat().harness().adjuster());
        HarnessSnug.test(situation)
                .ifPresent(test -> says.add(Saying.of(
                        "snugTest", seat().harness().snugTest(), "value", Argument.key("sheet.snugTest", test))));
        say("snugTestWords", seat().harness().snugTestWords());
        sayKey("covers", "sheet.covers", seat().harness().covers());
        if (!method.isReclined()) {
            sayKey("head", "sheet.head", LiesFlat.headDirection(situation));
            say("buckleHeight", seat().carBed().buckleHeight());
        }
        if (seat().rotation().value().filter(turns -> turns == Rotation.TO_DOOR).isPresent()) {
            says.add(Saying.of("turn", seat().rotation()));
        }
    }

    private void place(StepKey step) {
        if (step == StepKey.PLACE) {
            situation.car().ifPresent(this::car);
            situation.position().ifPresent(position -> {
                say("anchorSpacing", position.anchorSpacing());
                sayKey("headRestraint", "sheet.headRestraint", position.headRestraint());
                position.accessBehind()
                        .value()
                        .ifPresent(free ->
                                says.add(Saying.of(free ? "accessBehind" : "noAccessBehind", position.accessBehind())));
            });
        }
        if (step == StepKey.GROUND) {
            situation.car().ifPresent(car -> say("sillRake", car.sillRake()));
        }
        if (step == StepKey.PREPARE) {
            prepare();
        }
    }

    private void car(VehicleSheet car) {
        if (car.yearFrom() != null || car.yearTo() != null) {
            says.add(Saying.of(
                    "modelYears",
                    Evidence.notLooked(),
                    "from",
                    car.yearFrom() == null ? "…" : String.valueOf(car.yearFrom()),
                    "to",
                    car.yearTo() == null ? "…" : String.valueOf(car.yearTo())));
        }
        if (car.lawCountry() != null) {
            says.add(Saying.of("carLaw", Evidence.notLooked(), "country", car.lawCountry()));
        }
        if (car.kerbSide() != null) {
            says.add(Saying.of("kerb", Evidence.notLooked(), "side", Argument.key("sheet.side", car.kerbSide())));
        }
    }

    private void prepare() {
        if (method.isOnBase()) {
            BaseFitsCarrier.fitting(situation)
                    .map(BaseFit::setUp)
                    .ifPresent(words -> says.add(Saying.of("baseSetUp", seat().bases(), "value", words)));
        }
        CarBed bed = seat().carBed();
        say("bedFeet", bed.feet());
        sayKey("bedChild", "sheet.childWhen", bed.child());
        if (method.kind() == SeatKind.CAR_BED) {
            sayKey("head", "sheet.head", bed.headDirection());
        }
    }

    private void securing(StepKey step) {
        switch (step) {
            case DEVICE -> device();
            case HOOK -> seat().connectors().value().ifPresent(this::connectors);
            case ROUTE_BELT -> route();
            case TIGHTEN -> tighten();
            case LEG_AND_WINDOWS -> {
                say("legIndicator", seat().legIndicator());
                sayKey("leg", "sheet.legUse", seat().leg());
                sayList("windows", seat().windows());
                sayKey("bar", "sheet.bar", seat().reboundBar());
                sayKey("sideElement", "sheet.sideElement", seat().sideElement());
            }
            case LEVEL_CHILD -> level();
            case HANDLE_AND_GAP -> handle();
            default -> {
                // Said elsewhere.
            }
        }
    }

    private void device() {
        say("rollWidth", seat().recline().rollWidth());
        if (seat().recline().device().value().isPresent()) {
            says.add(Saying.of(
                    "device",
                    seat().recline().device(),
                    "value",
                    Argument.key(
                            "sheet.device",
                            seat().recline().device().value().get().kind())));
        }
        boolean rolls = seat().recline()
                .device()
                .value()
                .filter(device -> device.kind() == Recline.DeviceKind.NONE)
                .isPresent();
        if (rolls) {
            says.add(Saying.of("rockBeforeRoll", Evidence.notLooked()));
        }
    }

    private void connectors(Connectors connectors) {
        Evidence<Connectors> from = seat().connectors();
        says.add(Saying.of("connectors", from, "value", Argument.key("sheet.connectors", connectors.kind())));
        if (connectors.mark() != null) {
            says.add(Saying.of("connectorMark", from, "value", connectors.mark()));
        }
        if (connectors.tail() != null) {
            says.add(Saying.of("tail", from, "value", Argument.key("sheet.tail", connectors.tail())));
        }
        if (connectors.adjusters() != null) {
            says.add(Saying.of("adjusters", from, "value", Argument.key("sheet.adjusters", connectors.adjusters())));
        }
        if (connectors.release() != null) {
            says.add(Saying.of("release", from, "value", Argument.key("sheet.release", connectors.release())));
        }
    }

    private void route() {
        Evidence<BeltPath> path = seat().beltPath();
        path.value().ifPresent(here -> {
            if (here.which() != null) {
                says.add(Saying.of("beltPath", path, "value", here.which()));
            }
            if (Boolean.TRUE.equals(here.ledge())) {
                says.add(Saying.of("beltLedge", path));
            }
            if (Boolean.TRUE.equals(here.flap())) {
                says.add(Saying.of("beltFlap", path));
            }
        });
        BaselessRoute baseless = seat().routing();
        if (method.isBaseless()) {
            say("guides", baseless.guides());
            says.add(Saying.of("handleAside", Evidence.notLooked()));
        }
        say("bedGuides", seat().carBed().guides());
        LayFlat flat = seat().layFlat();
        say("flatFittings", flat.fittings());
        say("flatOrder", flat.order());
        Optional<SeatingPosition> position = situation.position();
        position.map(SeatingPosition::stalk).ifPresent(stalk -> say("stalk", stalk));
        position.map(SeatingPosition::buckleSide).ifPresent(side -> sayKey("buckleSide", "sheet.side", side));
    }

    private void tighten() {
        Optional<Lock> lock = method.isByBelt() ? BeltRules.lock(situation) : Optional.empty();
        for (LockOff lockOff : LockOffs.usable(situation).orElse(List.of())) {
            if (method.isByBelt()) {
                says.add(Saying.of(
                        "lockOff",
                        seat().lockOffs(),
                        "side",
                        Argument.key("sheet.side", lockOff.side()),
                        "part",
                        Argument.key("sheet.beltPart", lockOff.part())));
            }
        }
        boolean both = lock.filter(each -> each == Lock.LOCK_OFF).isPresent()
                && BeltRules.retractor(situation)
                        .filter(each -> each == Belt.Retractor.SWITCHABLE)
                        .isPresent();
        if (both) {
            RetractorBesides school = situation.practice().profile().retractorBesides();
            says.add(Saying.of(
                    "retractorBesides",
                    Evidence.notLooked(),
                    "value",
                    Argument.key("sheet.retractorBesides", school),
                    "profile",
                    situation.practice().profile().name()));
        }
        boolean clip =
                method.isByBelt() && lock.filter(each -> each == Lock.NOTHING).isPresent();
        if (clip) {
            says.add(Saying.of(LOCKING_CLIP, Evidence.notLooked()));
        }
        if (seat().carBed().endStraps().value().orElse(false)) {
            says.add(Saying.of("endStraps", seat().carBed().endStraps()));
        }
        boolean tether = situation
                .position()
                .map(SeatingPosition::tether)
                .flatMap(Evidence::value)
                .orElse(false);
        if (tether && method.isReclined()) {
            says.add(Saying.of("tether", situation.position().get().tether()));
        }
    }

    private void level() {
        Evidence<Indicator> from = seat().recline().indicator();
        from.value().ifPresent(indicator -> {
            says.add(Saying.of(
                    "indicator",
                    from,
                    "kind",
                    Argument.key("sheet.indicator", indicator.kind()),
                    "mount",
                    Argument.key("sheet.mount", indicator.mount()),
                    "pass",
                    Argument.key("sheet.pass", indicator.pass())));
            if (indicator.kind() == Indicator.Kind.LINE) {
                says.add(Saying.of("lineTolerance", from, "value", indicator.lineTolerance()));
            }
        });
    }

    private void handle() {
        if (method.takesTwoPlaces()) {
            sayKey("handle", "handle", seat().layFlat().handle());
        }
        seat().handle()
                .value()
                .ifPresent(list -> list.forEach(position ->
                        says.add(Saying.of("handle", seat().handle(), "value", Argument.key("handle", position)))));
    }
}
