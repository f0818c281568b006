package app.layette.web.workbench;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.Method;
import app.layette.core.entry.Stamped;
import app.layette.core.entry.TeachItem;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.recheck.LastSetUp;
import app.layette.core.step.Ask;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.Floor;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.FactForm;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.workbench.AskView.Button;
import app.layette.web.workbench.AskView.Form;
import app.layette.web.workbench.AskView.Input;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The asks about the car, what is done in it, and the manuals' pages. */
final class CarAsks extends AskForms {
    /** A wall of names is no choice. */
    private static final int MOST_CARS = 60;

    private final Stock stock;

    CarAsks(FittingPlan plan, Wording words, Typed typed, Stock stock) {
        super(plan, words, typed);
        this.stock = stock;
    }

    AskView place(Ask ask) {
        Optional<VehicleSheet> car = situation.car();
        List<Form> forms = new ArrayList<>();
        CabinAnswers answers = CabinAnswers.of(situation);
        forms.add(places(answers, Permission.ALLOWED));
        for (Permission other : List.of(Permission.NOT_KNOWN, Permission.NOT_ALLOWED)) {
            Form form = places(answers, other);
            if (!form.buttons().isEmpty()) {
                String title = other == Permission.NOT_KNOWN ? "fold.notKnown" : "fold.notAllowed";
                forms.add(form.foldedUnder(say(title, "count", form.buttons().size())));
            }
        }
        boolean hasSheet =
                car.isPresent() && situation.newest(Fact.QuickCarSeen.class).isEmpty();
        if (car.isEmpty()) {
            stock.cars().get().stream().limit(MOST_CARS).forEach(sheet -> forms.add(fromShelf(sheet)));
        }
        if (!hasSheet) {
            forms.add(quickCar());
        }
        String current = situation
                .placed()
                .map(placed -> placeBy(placed.value().position(), placed.value().method()))
                .orElse("");
        String help = words.say(car.isPresent() ? "ask.PLACE.help" : "ask.PLACE.quickCar");
        if (car.isEmpty() && stock.cars().get().size() > MOST_CARS) {
            help += " " + words.say("ask.PLACE.moreCars", Map.of("count", Argument.of(MOST_CARS)));
        }
        return new AskView(id(ask), words.say("ask.PLACE"), help, ask.answered(), current, forms);
    }

    /** A car that the shelf has a sheet of. */
    private static Form fromShelf(SheetSummary sheet) {
        return new Form(
                hidden("sheetAdopted", sheet.id(), "version", String.valueOf(sheet.version()), "how", "measured"),
                List.of(new Button("adoption", Fact.Adoption.ADOPTED.name(), sheet.title(), "", false)),
                List.of(),
                "");
    }

    /** Every place and method with this answer, the best first. */
    private Form places(CabinAnswers answers, Permission permission) {
        Optional<LastSetUp> last =
                permission == Permission.ALLOWED ? stock.lastSetUp().get() : Optional.empty();
        List<Button> buttons = answers.answers().stream()
                .filter(each -> each.answer() == permission)
                // Where this seat stood in this car the last time comes before what is best by computation.
                .sorted(Comparator.comparing((PlaceAnswer each) -> !isOf(each, last)))
                .map(each -> new Button(
                        FactForm.CHOICE,
                        each.place() + "/" + each.method(),
                        isOf(each, last)
                                ? words.say(
                                        "last.place",
                                        Map.of(
                                                "place", Argument.of(placeBy(each.place(), each.method())),
                                                "on", Argument.of(last.get().on())))
                                : placeBy(each.place(), each.method()),
                        "",
                        isChosen(each)))
                .toList();
        return new Form(hidden("placed", unit()), buttons, List.of(), "");
    }

    private static boolean isOf(PlaceAnswer answer, Optional<LastSetUp> last) {
        return last.filter(each -> each.place().equals(answer.place()) && each.method() == answer.method())
                .isPresent();
    }

    private boolean isChosen(PlaceAnswer answer) {
        return situation
                .placed()
                .filter(placed -> placed.value().position().equals(answer.place())
                        && placed.value().method() == answer.method())
                .isPresent();
    }

    private String placeBy(PositionId place, Method method) {
        return words.say(
                "place.by",
                Map.of(
                        "place", new Argument.OfKey("place." + place),
                        "method", new Argument.OfKey("method." + method)));
    }

    private Form quickCar() {
        Optional<Fact.QuickCarSeen> seen =
                situation.newest(Fact.QuickCarSeen.class).map(Stamped::value);
        Map<String, String> places = new LinkedHashMap<>();
        for (int row = 1; row <= 3; row++) {
            for (Side side : Side.values()) {
                PositionId id = new PositionId(row, side);
                places.put(id.toString(), words.say("place." + id));
            }
        }
        String kind = "quickCarSeen";
        List<Input> inputs = List.of(
                input(kind, "name", "text", seen.map(Fact.QuickCarSeen::name).orElse(""), words.say("hint.car")),
                select(
                        kind,
                        "position",
                        seen.map(each -> each.position().toString()).orElse("2-RIGHT"),
                        places),
                select(
                        kind,
                        "facing",
                        name(seen.map(Fact.QuickCarSeen::facing)),
                        options(Facing.class, "facing", true)),
                select(
                        kind,
                        "airbag",
                        name(seen.map(Fact.QuickCarSeen::airbag)),
                        options(Airbag.class, "airbag", true)),
                select(
                        kind,
                        "anchors",
                        name(seen.map(Fact.QuickCarSeen::anchors)),
                        options(OwnAnchors.class, "anchors", true)),
                select(kind, "floor", name(seen.map(Fact.QuickCarSeen::floor)), options(Floor.class, "floor", true)),
                select(
                        kind,
                        "retractor",
                        name(seen.map(Fact.QuickCarSeen::retractor)),
                        options(Belt.Retractor.class, "retractor", true)),
                select(
                        kind,
                        "latchPlate",
                        name(seen.map(Fact.QuickCarSeen::latchPlate)),
                        options(Belt.LatchPlate.class, "answer.LATCH_PLATE", true)),
                select(
                        kind,
                        "belt",
                        name(seen.map(Fact.QuickCarSeen::belt)),
                        options(Fact.BeltSort.class, "beltSort", true)),
                select(
                        kind,
                        "beltKind",
                        name(seen.map(Fact.QuickCarSeen::beltKind)),
                        options(Belt.Kind.class, "beltKind", true)));
        return new Form(hidden(kind, unit()), List.of(), inputs, words.say("submit.quickCar"));
    }

    private static String name(Optional<? extends Enum<?>> constant) {
        return constant.map(Enum::name).orElse("");
    }

    AskView act(Ask ask) {
        Act act = Act.valueOf(ask.key());
        Form form = new Form(
                hidden("acted", unit()),
                List.of(button("act", act.name(), "act." + act, ask.answered())),
                List.of(),
                "");
        return new AskView(
                id(ask),
                words.say("ask.ACT." + act),
                "",
                ask.answered(),
                ask.answered() ? words.say("act." + act) : "",
                List.of(form));
    }

    AskView teach(Ask ask) {
        TeachItem item = TeachItem.valueOf(ask.key());
        Optional<Fact.Taught> taught =
                situation.newest(Fact.Taught.class, fact -> fact.item() == item).map(Stamped::value);
        boolean mine =
                !typed.isFor("taught") || item.name().equals(typed.fields().get("item"));
        CarAsks view = mine ? this : new CarAsks(plan, words, Typed.NOTHING, stock);
        Form done = new Form(
                hidden("taught", unit(), "item", item.name()),
                List.of(button(
                        "outcome",
                        Fact.TeachOutcome.DONE.name(),
                        isTold(item) ? "taught.TOLD" : "taught.DONE",
                        taught.map(each -> each.outcome() == Fact.TeachOutcome.DONE)
                                .orElse(false))),
                List.of(),
                "");
        Form declined = new Form(
                hidden("taught", unit(), "item", item.name(), "outcome", Fact.TeachOutcome.DECLINED.name()),
                List.of(),
                List.of(view.input("taught", "reason", "text", "", words.say("hint.reason"))),
                words.say("submit.declined"));
        String current = taught.map(each -> words.say(
                        isTold(item) && each.outcome() == Fact.TeachOutcome.DONE
                                ? "taught.TOLD"
                                : "taught." + each.outcome()))
                .orElse("");
        return new AskView(
                id(ask),
                words.say("teach." + item),
                isTold(item) ? new BedsideWords(situation, words).of(item) : words.say("ask.TEACH.help"),
                ask.answered(),
                current,
                List.of(done, declined));
    }

    /** Whether an ask is about what is said, not done. */
    static boolean isTold(Ask ask) {
        return ask.kind() == Ask.Kind.TEACH && isTold(TeachItem.valueOf(ask.key()));
    }

    /** What is said at the bedside, not done by the caregiver's hands. */
    private static boolean isTold(TeachItem item) {
        return item.isAtBedside() && item != TeachItem.HARNESS_AND_SNUG && item != TeachItem.CLIP;
    }

    /** Initials on the screen; the paper has room for no more either. */
    AskView initials(Ask ask) {
        String kind = "caregiverSigned";
        String current = current(Fact.CaregiverSigned.class, Fact.CaregiverSigned::initials);
        Form form = new Form(
                hidden(kind, unit()),
                List.of(),
                List.of(input(kind, "initials", "text", "", "A. B.")),
                words.say("submit.initials"));
        return new AskView(
                id(ask),
                words.say("ask.INITIALS"),
                words.say("ask.INITIALS.help"),
                ask.answered(),
                current,
                List.of(form));
    }

    AskView countersign(Ask ask) {
        Form form = new Form(
                hidden("countersigned", unit()),
                List.of(new Button("of", unit(), words.say("submit.countersign"), "", ask.answered())),
                List.of(),
                "");
        return new AskView(id(ask), words.say("ask.COUNTERSIGN"), "", ask.answered(), "", List.of(form));
    }

    AskView end(Ask ask) {
        String kind = "ended";
        if (situation.expected().isPresent()) {
            return beforeBirth(ask);
        }
        boolean bedside = situation.isBedside();
        Fact.Ending good = bedside ? Fact.Ending.TAUGHT : Fact.Ending.HANDED_OVER;
        Form handOver = new Form(
                hidden(kind, unit(), "ending", good.name()),
                List.of(),
                List.of(),
                words.say(bedside ? "submit.taught" : "submit.handOver"));
        Form left = new Form(
                        hidden(kind, unit(), "ending", Fact.Ending.LEFT_WITH_OPEN_FINDINGS.name()),
                        List.of(),
                        List.of(
                                input(kind, "said", "text", "", ""),
                                input(kind, "offered", "text", "", words.say("hint.offered")),
                                input(kind, "told", "text", "", "")),
                        words.say("submit.leave"))
                .foldedUnder(words.say("fold.leave"));
        Form notFitted = new Form(
                        hidden(kind, unit(), "ending", Fact.Ending.NOT_FITTED.name()),
                        List.of(),
                        List.of(input(kind, "said", "text", "", "")),
                        words.say("submit.notFitted"))
                .foldedUnder(words.say("fold.notFitted"));
        String current = situation
                .ended()
                .map(ended -> words.say("state." + ended.value().ending()))
                .orElse("");
        return new AskView(
                id(ask),
                words.say("ask.END"),
                words.say("ask.END.help"),
                ask.answered(),
                current,
                List.of(handOver, left, notFitted));
    }

    /** Before the birth there is one signature, and it ends nothing. */
    private AskView beforeBirth(Ask ask) {
        boolean stays = situation.usualMethod().staysInTheCar();
        Form prepared = new Form(hidden("prepared", unit()), List.of(), List.of(), words.say("submit.prepared"));
        Form notFitted = new Form(
                        hidden("ended", unit(), "ending", Fact.Ending.NOT_FITTED.name()),
                        List.of(),
                        List.of(input("ended", "said", "text", "", "")),
                        words.say("submit.notFitted"))
                .foldedUnder(words.say("fold.notFitted"));
        return new AskView(
                id(ask),
                words.say("ask.END.beforeBirth"),
                words.say(stays ? "ask.END.beforeBirth.help" : "ask.END.needsBase"),
                ask.answered(),
                situation.prepared().map(signed -> words.say(signed.on())).orElse(""),
                stays ? List.of(prepared, notFitted) : List.of(notFitted));
    }

    /** A page of a manual that would answer what is not known. */
    AskView page(Ask ask) {
        String[] key = ask.key().split(":");
        return switch (key[0]) {
            case "HANDLE" -> handlePage(ask, key[1]);
            case "PERMISSION" -> permissionPage(ask, key[1], key[2]);
            default -> quantityPage(ask, key[1], key[2]);
        };
    }

    private AskView handlePage(Ask ask, String position) {
        String kind = "handlePositionRead";
        Optional<Stamped<Fact.HandlePositionRead>> read = situation.newest(
                Fact.HandlePositionRead.class, fact -> fact.position().name().equals(position));
        Optional<String> says = read.map(each -> each.value().says().name());
        Form form = new Form(
                page(kind, "position", position),
                List.of(
                        button(
                                "says",
                                "ALLOWED",
                                "page.ALLOWED",
                                says.filter("ALLOWED"::equals).isPresent()),
                        button(
                                "says",
                                "NOT_ALLOWED",
                                "page.NOT_ALLOWED",
                                says.filter("NOT_ALLOWED"::equals).isPresent())),
                List.of(pageInput(kind, read)),
                "");
        String title = words.say("ask.PAGE.HANDLE", Map.of("position", new Argument.OfKey("handle." + position)));
        return pageView(ask, title, "ask.PAGE.help", said(read, says.map(each -> words.say("page." + each))), form);
    }

    private AskView permissionPage(Ask ask, String permission, String speaker) {
        String kind = "permissionRead";
        Optional<Stamped<Fact.PermissionRead>> read = situation.newest(
                Fact.PermissionRead.class,
                fact -> fact.permission().name().equals(permission)
                        && fact.speaker().name().equals(speaker));
        Optional<Fact.PageSays> says = read.map(each -> each.value().says());
        Form form = new Form(
                page(kind, "permission", permission, "speaker", speaker),
                buttons("says", Fact.PageSays.class, "page", says),
                List.of(pageInput(kind, read)),
                "");
        String title = words.say("speaker." + speaker) + ": " + words.say("asks." + permission);
        return pageView(ask, title, "ask.PAGE.help", said(read, says.map(each -> words.say("page." + each))), form);
    }

    private AskView quantityPage(Ask ask, String quantity, String speaker) {
        String kind = "quantityRead";
        boolean mass = FactCheck.isMass(Fact.Quantity.valueOf(quantity));
        String field = mass ? "mass" : "length";
        String hint = words.say("hint.quantity." + quantity);
        Optional<Stamped<Fact.QuantityRead>> read = situation.newest(
                Fact.QuantityRead.class,
                fact -> fact.quantity().name().equals(quantity)
                        && fact.speaker().name().equals(speaker));
        Optional<String> value = read.map(Stamped::value)
                .map(each -> each.mass() != null
                        ? words.both(each.mass())
                        : each.length() != null ? words.both(each.length()) : words.say("page.SILENT"));
        Form form = new Form(
                page(kind, "quantity", quantity, "speaker", speaker),
                List.of(),
                List.of(pageInput(kind, read), input(kind, field, "text", "", hint)),
                words.say("submit.page"));
        String title = words.say("speaker." + speaker) + ": " + words.say("asks." + quantity);
        return pageView(ask, title, "ask.PAGE.quantityHelp", said(read, value), form);
    }

    private AskView pageView(Ask ask, String title, String help, String current, Form form) {
        return new AskView(id(ask), title, words.say(help), ask.answered(), current, List.of(form));
    }

    /** What the page says, and which page it is. */
    private static String said(Optional<? extends Stamped<?>> read, Optional<String> says) {
        return says.map(each ->
                        each + read.map(stamped -> ", " + stamped.how().place()).orElse(""))
                .orElse("");
    }

    private Input pageInput(String kind, Optional<? extends Stamped<?>> read) {
        return input(
                kind, "page", "text", read.map(stamped -> stamped.how().place()).orElse(""), "43");
    }

    private Map<String, String> page(String kind, String... more) {
        Map<String, String> hidden = hidden(kind, unit(), more);
        hidden.put("how", "manual");
        return hidden;
    }
}
