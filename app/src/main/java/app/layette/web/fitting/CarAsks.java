package app.layette.web.fitting;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.entry.TeachItem;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.run.Ask;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import app.layette.core.vehicle.SeatingPosition.Facing;
import app.layette.core.vehicle.SeatingPosition.Floor;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.AskView.Button;
import app.layette.web.fitting.AskView.Form;
import app.layette.web.fitting.AskView.Input;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The asks about the car, what is done in it, and the manuals' pages. */
final class CarAsks extends AskForms {
    CarAsks(FittingPlan plan, Wording words, Typed typed) {
        super(plan, words, typed);
    }

    AskView place(Ask ask) {
        Optional<VehicleSheet> car = situation.car();
        List<Form> forms = new ArrayList<>();
        Optional<PositionId> chosen =
                situation.placed().map(placed -> placed.value().position());
        for (Method method : Method.values()) {
            car.ifPresent(sheet -> forms.add(new Form(
                    hidden("placed", Fittings.UNIT, "method", method.name()),
                    sheet.positions().stream()
                            .map(position -> place(position, method))
                            .toList(),
                    List.of(),
                    "")));
        }
        boolean hasSheet =
                car.isPresent() && situation.newest(Fact.QuickCarSeen.class).isEmpty();
        if (!hasSheet) {
            forms.add(quickCar());
        }
        String current = chosen.map(each -> words.say("place." + each)).orElse("");
        String help = words.say(car.isPresent() ? "ask.PLACE.help" : "ask.PLACE.quickCar");
        return new AskView(id(ask), words.say("ask.PLACE"), help, ask.answered(), current, forms);
    }

    private Button place(SeatingPosition position, Method method) {
        String holds = method.isByBelt()
                ? "retractor."
                        + position.belt().retractor().value().map(Enum::name).orElse("NOT_KNOWN")
                : "anchors." + position.anchors().value().map(Enum::name).orElse("NOT_KNOWN");
        String airbag =
                position.airbag().value().filter(each -> each == Airbag.ACTIVE).isPresent()
                        ? ", " + words.say("airbag.ACTIVE")
                        : "";
        String label = words.say(
                method.isByBelt() ? "place.withBelt" : "place.withAnchors",
                Map.of(
                        "place", new Argument.OfKey("place." + position.id()),
                        "what", new Argument.OfKey(holds)));
        boolean chosen = situation
                .placed()
                .map(placed -> placed.value().position().equals(position.id())
                        && placed.value().method() == method)
                .orElse(false);
        return new Button("position", position.id().toString(), label + airbag, "", chosen);
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
                select(kind, "floor", name(seen.map(Fact.QuickCarSeen::floor)), options(Floor.class, "floor", true)));
        return new Form(hidden(kind, Fittings.UNIT), List.of(), inputs, words.say("submit.quickCar"));
    }

    private static String name(Optional<? extends Enum<?>> constant) {
        return constant.map(Enum::name).orElse("");
    }

    AskView ground(Ask ask) {
        Form byAngle = new Form(
                hidden("groundMeasured", Fittings.UNIT),
                List.of(),
                List.of(input("groundMeasured", "pitch", "text", "", "0.4")),
                words.say("submit.measure"));
        return question(ask, Question.GROUND, List.of(byAngle));
    }

    AskView act(Ask ask) {
        Act act = Act.valueOf(ask.key());
        Form form = new Form(
                hidden("acted", Fittings.UNIT),
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
        CarAsks view = mine ? this : new CarAsks(plan, words, Typed.NOTHING);
        Form done = new Form(
                hidden("taught", Fittings.UNIT, "item", item.name()),
                List.of(button(
                        "outcome",
                        Fact.TeachOutcome.DONE.name(),
                        "taught.DONE",
                        taught.map(each -> each.outcome() == Fact.TeachOutcome.DONE)
                                .orElse(false))),
                List.of(),
                "");
        Form declined = new Form(
                hidden("taught", Fittings.UNIT, "item", item.name(), "outcome", Fact.TeachOutcome.DECLINED.name()),
                List.of(),
                List.of(view.input("taught", "reason", "text", "", words.say("hint.reason"))),
                words.say("submit.declined"));
        String current =
                taught.map(each -> words.say("taught." + each.outcome())).orElse("");
        return new AskView(
                id(ask),
                words.say("teach." + item),
                words.say("ask.TEACH.help"),
                ask.answered(),
                current,
                List.of(done, declined));
    }

    AskView countersign(Ask ask) {
        Form form = new Form(
                hidden("countersigned", Fittings.UNIT),
                List.of(new Button("of", Fittings.UNIT, words.say("submit.countersign"), "", ask.answered())),
                List.of(),
                "");
        return new AskView(id(ask), words.say("ask.COUNTERSIGN"), "", ask.answered(), "", List.of(form));
    }

    AskView end(Ask ask) {
        String kind = "ended";
        Form handOver = new Form(
                hidden(kind, Fittings.UNIT, "ending", Fact.Ending.HANDED_OVER.name()),
                List.of(),
                List.of(),
                words.say("submit.handOver"));
        Form left = new Form(
                        hidden(kind, Fittings.UNIT, "ending", Fact.Ending.LEFT_WITH_OPEN_FINDINGS.name()),
                        List.of(),
                        List.of(
                                input(kind, "said", "text", "", ""),
                                input(kind, "offered", "text", "", words.say("hint.offered")),
                                input(kind, "told", "text", "", "")),
                        words.say("submit.leave"))
                .foldedUnder(words.say("fold.leave"));
        Form notFitted = new Form(
                        hidden(kind, Fittings.UNIT, "ending", Fact.Ending.NOT_FITTED.name()),
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
        Form form = new Form(
                page(kind, "position", position),
                List.of(
                        button("says", "ALLOWED", "page.ALLOWED", false),
                        button("says", "NOT_ALLOWED", "page.NOT_ALLOWED", false)),
                List.of(pageInput(kind)),
                "");
        String title = words.say("ask.PAGE.HANDLE", Map.of("position", new Argument.OfKey("handle." + position)));
        return new AskView(id(ask), title, words.say("ask.PAGE.help"), false, "", List.of(form));
    }

    private AskView permissionPage(Ask ask, String permission, String speaker) {
        String kind = "permissionRead";
        Form form = new Form(
                page(kind, "permission", permission, "speaker", speaker),
                buttons("says", Fact.PageSays.class, "page", Optional.empty()),
                List.of(pageInput(kind)),
                "");
        String title = words.say("speaker." + speaker) + ": " + words.say("asks." + permission);
        return new AskView(id(ask), title, words.say("ask.PAGE.help"), false, "", List.of(form));
    }

    private AskView quantityPage(Ask ask, String quantity, String speaker) {
        String kind = "quantityRead";
        String field = quantity.equals("GAP") ? "length" : "mass";
        String hint = quantity.equals("GAP") ? "30 mm, 1 1/4 in" : "65 lb, 33 kg";
        Form form = new Form(
                page(kind, "quantity", quantity, "speaker", speaker),
                List.of(),
                List.of(pageInput(kind), input(kind, field, "text", "", hint)),
                words.say("submit.page"));
        String title = words.say("speaker." + speaker) + ": " + words.say("asks." + quantity);
        return new AskView(id(ask), title, words.say("ask.PAGE.quantityHelp"), false, "", List.of(form));
    }

    private Input pageInput(String kind) {
        return input(kind, "page", "text", "", "43");
    }

    private static Map<String, String> page(String kind, String... more) {
        Map<String, String> hidden = hidden(kind, Fittings.UNIT, more);
        hidden.put("how", "manual");
        return hidden;
    }
}
