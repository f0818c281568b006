package app.layette.web.workbench;

import app.layette.core.entry.Fact;
import app.layette.core.entry.SheetValues;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.SheetValue;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.measure.Mass;
import app.layette.core.step.Ask;
import app.layette.core.vehicle.PositionId;
import app.layette.formats.wording.Wording;
import app.layette.web.workbench.AskView.Button;
import app.layette.web.workbench.AskView.Form;
import app.layette.web.workbench.AskView.Input;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** The asks for values that no sheet has: of the seat with the page it stands on, of the car as it is seen. */
final class ValueAsks extends AskForms {
    private static final String KIND = "sheetValueRead";

    ValueAsks(FittingPlan plan, Wording words, Typed typed) {
        super(plan, words, typed);
    }

    AskView of(Ask ask) {
        SheetValue value = SheetValue.valueOf(ask.question());
        Optional<PositionId> place =
                Optional.of(ask.place()).filter(each -> !each.isEmpty()).map(PositionId::parse);
        boolean mine = !typed.isFor(KIND)
                || value.name().equals(typed.fields().get("value"))
                        && ask.place().equals(typed.fields().getOrDefault("place", ""));
        ValueAsks view = mine ? this : new ValueAsks(plan, words, Typed.NOTHING);
        Optional<Stamped<Fact.SheetValueRead>> read = situation.newest(
                Fact.SheetValueRead.class,
                fact -> fact.value() == value && Objects.equals(fact.place(), place.orElse(null)));
        Optional<String> says = read.map(each -> each.value().says());
        String title = place.map(at -> words.say(
                        "question.at",
                        Map.of(
                                "question",
                                Argument.of(words.say("value." + value)),
                                "place",
                                new Argument.OfKey("place." + at))))
                .orElseGet(() -> words.say("speaker.SEAT") + ": " + words.say("value." + value));
        return new AskView(
                id(ask),
                title,
                words.say(help(value)),
                ask.answered(),
                says.map(said -> saying(value, said)).orElse(""),
                view.forms(value, place, read));
    }

    /** Where to look; or, where two pages differ, how that is put right. */
    private String help(SheetValue value) {
        if (value.isOfPlace()) {
            return "value.seen.help";
        }
        long said = situation.history(Fact.SheetValueRead.class).stream()
                .filter(read -> read.value().value() == value && read.how().isReadInDocument())
                .map(read -> read.value().says())
                .distinct()
                .count();
        return said > 1 && !SheetValues.isBanded(value) ? "value.differ" : "value.read.help";
    }

    private List<Form> forms(
            SheetValue value, Optional<PositionId> place, Optional<Stamped<Fact.SheetValueRead>> read) {
        Map<String, String> hidden = hidden(KIND, unit(), "value", value.name());
        place.ifPresent(at -> hidden.put("place", at.toString()));
        if (!value.isOfPlace()) {
            hidden.put("how", "manual");
        }
        Optional<String> says = read.map(each -> each.value().says());
        List<Button> buttons = SheetValues.choices(value).stream()
                .map(choice -> new Button(
                        "says",
                        choice,
                        Wording.capital(saying(value, choice)),
                        "",
                        says.filter(choice::equals).isPresent()))
                .toList();
        List<Form> forms = new ArrayList<>();
        if (!buttons.isEmpty()) {
            forms.add(new Form(hidden, buttons, inputs(value, read, SheetValues.isBanded(value)), ""));
        }
        if (SheetValues.isTyped(value)) {
            String typedBefore = says.filter(each -> !SheetValues.choices(value).contains(each))
                    .orElse("");
            List<Input> inputs = new ArrayList<>();
            inputs.add(input(KIND, "says", "text", typedBefore, words.say("hint.value." + value))
                    .called(words.say("value.field." + value)));
            inputs.addAll(inputs(value, read, SheetValues.isBanded(value)));
            forms.add(new Form(hidden, List.of(), inputs, words.say("submit.page")));
        }
        return forms;
    }

    /** The page of the manual, and the weights that it speaks of. */
    private List<Input> inputs(SheetValue value, Optional<Stamped<Fact.SheetValueRead>> read, boolean banded) {
        List<Input> inputs = new ArrayList<>();
        if (!value.isOfPlace()) {
            inputs.add(input(
                    KIND, "page", "text", read.map(each -> each.how().place()).orElse(""), "43"));
        }
        if (banded) {
            inputs.add(input(
                    KIND, "from", "text", mass(read.map(each -> each.value().from())), "4 lb, 1.8 kg"));
            inputs.add(
                    input(KIND, "to", "text", mass(read.map(each -> each.value().to())), "11 lb, 5 kg"));
        }
        return inputs;
    }

    private String mass(Optional<Mass> mass) {
        return mass.map(each -> each.typed().orElseGet(() -> each.in(words.units())))
                .orElse("");
    }

    /** A choice in words: the value's own, or those of the thing it names. */
    private String saying(SheetValue value, String says) {
        String own = "value." + value + "." + says;
        String usual = "value.any." + says;
        return words.knows(own) ? words.say(own) : words.knows(usual) ? words.say(usual) : says;
    }
}
