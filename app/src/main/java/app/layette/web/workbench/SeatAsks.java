package app.layette.web.workbench;

import app.layette.core.cabin.GapToFrontSeat;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Fact.Part;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.entry.TeachItem;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.harness.HarnessSnug;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Harness;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatKind;
import app.layette.core.secure.HandleForDriving;
import app.layette.core.secure.InchTest;
import app.layette.core.step.Ask;
import app.layette.formats.svg.AnswerPicture;
import app.layette.formats.wording.Wording;
import app.layette.web.workbench.AskView.Button;
import app.layette.web.workbench.AskView.Form;
import app.layette.web.workbench.AskView.Input;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** The asks about the seat: labels, straps, recline, handle. */
final class SeatAsks extends AskForms {
    private final ChildAsks tape;

    SeatAsks(FittingPlan plan, Wording words, Typed typed) {
        super(plan, words, typed);
        this.tape = new ChildAsks(plan, words, typed);
    }

    AskView label(Ask ask) {
        Part part = Part.valueOf(ask.key());
        Optional<Fact.LabelRead> label = situation.label(part).map(Stamped::value);
        String kind = "labelRead";
        boolean typedHere =
                !typed.isFor(kind) || ask.key().equals(typed.fields().get("part"));
        SeatAsks view = typedHere ? this : new SeatAsks(plan, words, Typed.NOTHING);
        List<Input> inputs = List.of(
                view.input(
                        kind,
                        "model",
                        "text",
                        label.map(Fact.LabelRead::model).orElseGet(() -> modelOfQuickSeat(part)),
                        words.say("hint.model")),
                view.input(
                        kind,
                        "made",
                        "text",
                        label.map(Fact.LabelRead::made).map(Object::toString).orElse(""),
                        "2024-03, 2024-03-17"),
                view.input(
                        kind,
                        "doNotUseAfter",
                        "text",
                        label.map(Fact.LabelRead::doNotUseAfter)
                                .map(Object::toString)
                                .orElse(""),
                        "2031-03"));
        Map<String, String> hidden = hidden(kind, unit(), "part", part.name());
        hidden.put("how", "label");
        String current = label.map(each -> each.model() + (each.made() == null ? "" : ", " + each.made()))
                .orElse("");
        return new AskView(
                id(ask),
                words.say("ask.LABEL." + part),
                words.say("ask.LABEL.help"),
                ask.answered(),
                current,
                List.of(new Form(hidden, List.of(), inputs, words.say("submit.label"))));
    }

    /** A newer sheet version: a lead takes it, or turns it down with a reason. */
    AskView newerSheet(Ask ask) {
        String kind = "sheetAdopted";
        String[] version = ask.key().split(":");
        boolean here = !typed.isFor(kind) || version[0].equals(typed.fields().get("of"));
        SeatAsks view = here ? this : new SeatAsks(plan, words, Typed.NOTHING);
        Form adopt = new Form(
                hidden(kind, version[0], "version", version[1], "adoption", Fact.Adoption.ADOPTED.name()),
                List.of(),
                List.of(),
                words.say("submit.adopt"));
        Form decline = new Form(
                hidden(kind, version[0], "version", version[1], "adoption", Fact.Adoption.DECLINED.name()),
                List.of(),
                List.of(view.input(kind, "reason", "text", "", words.say("hint.reason"))),
                words.say("submit.declineSheet"));
        return new AskView(
                id(ask),
                words.say(
                        "ask.NEWER_SHEET",
                        Map.of("sheet", Argument.of(version[0]), "version", Argument.of(version[1]))),
                words.say("ask.NEWER_SHEET.help"),
                ask.answered(),
                "",
                List.of(adopt, decline));
    }

    /** Typed once already, when the seat was described from this very label. */
    private String modelOfQuickSeat(Part part) {
        return part == Part.CARRIER
                ? situation
                        .newest(Fact.QuickSeatRead.class)
                        .map(read -> read.value().model())
                        .orElse("")
                : "";
    }

    AskView quickSeat(Ask ask) {
        String kind = "quickSeatRead";
        Optional<Fact.QuickSeatRead> read =
                situation.newest(Fact.QuickSeatRead.class).map(Stamped::value);
        List<Input> inputs = List.of(
                select(kind, "sort", said(read, Fact.QuickSeatRead::sort), options(SeatKind.class, "seatKind", false)),
                input(kind, "name", "text", read.map(Fact.QuickSeatRead::name).orElse(""), words.say("hint.seat"))
                        .called(words.say("field.seatName")),
                input(kind, "model", "text", read.map(Fact.QuickSeatRead::model).orElse(""), words.say("hint.model")),
                input(kind, "page", "text", "", "8"),
                input(kind, "weightMin", "text", said(read, Fact.QuickSeatRead::weightMin), "4 lb, 1.8 kg"),
                input(kind, "weightMax", "text", said(read, Fact.QuickSeatRead::weightMax), "30 lb, 13.6 kg"),
                input(kind, "lengthMax", "text", said(read, Fact.QuickSeatRead::lengthMax), "30 in, 76 cm"),
                input(kind, "slots", "text", said(read, Fact.QuickSeatRead::slots), "4"),
                select(
                        kind,
                        "indicator",
                        said(read, Fact.QuickSeatRead::indicator),
                        options(Indicator.Kind.class, "indicator", true)),
                select(kind, "pass", said(read, Fact.QuickSeatRead::pass), options(Indicator.Pass.class, "pass", true)),
                input(kind, "zoneFrom", "text", said(read, Fact.QuickSeatRead::zoneFrom), "4 lb, 1.8 kg"),
                input(kind, "zoneTo", "text", said(read, Fact.QuickSeatRead::zoneTo), "20 lb, 9 kg"),
                select(
                        kind,
                        "routings",
                        said(read, Fact.QuickSeatRead::routings),
                        options(Fact.RoutingsShown.class, "routings", true)),
                select(
                        kind,
                        "handle",
                        said(read, Fact.QuickSeatRead::handle),
                        options(HandlePosition.class, "handle", true)));
        Map<String, String> hidden = hidden(kind, unit());
        hidden.put("how", "manual");
        String current = read.map(Fact.QuickSeatRead::name).orElse("");
        return new AskView(
                id(ask),
                words.say("ask.QUICK_SEAT"),
                words.say("ask.QUICK_SEAT.help"),
                ask.answered(),
                current,
                List.of(new Form(hidden, List.of(), inputs, words.say("submit.quickSeat"))));
    }

    /** What a field said when it was read last, as it may be typed again. */
    private String said(Optional<Fact.QuickSeatRead> read, Function<Fact.QuickSeatRead, Object> field) {
        Object value = read.map(field).orElse(null);
        if (value instanceof Mass mass) {
            return mass.typed().orElseGet(() -> mass.in(words.units()));
        }
        if (value instanceof Length length) {
            return length.typed().orElseGet(() -> length.in(words.units()));
        }
        return value == null ? "" : value instanceof Enum<?> constant ? constant.name() : value.toString();
    }

    AskView slots(Ask ask) {
        int slots = situation.slotCount();
        Optional<Fact.SlotsSet> set = situation.newest(Fact.SlotsSet.class).map(Stamped::value);
        int best = ShoulderAndSlots.in(situation).map(ShoulderAndSlots::best).orElse(0);
        List<Form> forms = new ArrayList<>();
        if (best > 0) {
            forms.add(new Form(
                    allAt(best),
                    List.of(new Button(
                            "loop", loopFor(best), say("slots.allAt", "slot", best), "", isAllAt(set, best))),
                    List.of(),
                    ""));
        }
        Map<String, String> numbers = new LinkedHashMap<>();
        for (int slot = 1; slot <= slots; slot++) {
            numbers.put(String.valueOf(slot), say("slots.slot", "slot", slot));
        }
        String usual = String.valueOf(Math.max(1, best));
        String kind = "slotsSet";
        List<Input> inputs = new ArrayList<>(List.of(
                select(kind, "leftShell", set.map(each -> "" + each.leftShell()).orElse(usual), numbers),
                select(
                        kind,
                        "rightShell",
                        set.map(each -> "" + each.rightShell()).orElse(usual),
                        numbers),
                select(kind, "leftPad", set.map(each -> "" + each.leftPad()).orElse(usual), numbers),
                select(kind, "rightPad", set.map(each -> "" + each.rightPad()).orElse(usual), numbers)));
        Map<String, String> loops = loops();
        if (!loops.isEmpty()) {
            inputs.add(select(kind, "loop", set.map(Fact.SlotsSet::loop).orElse(loopFor(Math.max(1, best))), loops));
        }
        forms.add(new Form(hidden(kind, unit()), List.of(), inputs, words.say("submit.slots")));
        String current = set.map(each -> words.say(
                        "current.slots",
                        Map.of(
                                "left", Argument.of(each.leftShell()),
                                "right", Argument.of(each.rightShell()),
                                "leftPad", Argument.of(each.leftPad()),
                                "rightPad", Argument.of(each.rightPad()))))
                .orElse("");
        return new AskView(
                id(ask), words.say("ask.SLOTS"), words.say("ask.SLOTS.help"), ask.answered(), current, forms);
    }

    private Map<String, String> allAt(int slot) {
        String number = String.valueOf(slot);
        return hidden(
                "slotsSet", unit(), "leftShell", number, "rightShell", number, "leftPad", number, "rightPad", number);
    }

    private static boolean isAllAt(Optional<Fact.SlotsSet> set, int slot) {
        return set.filter(each -> each.leftShell() == slot
                        && each.rightShell() == slot
                        && each.leftPad() == slot
                        && each.rightPad() == slot)
                .isPresent();
    }

    private Map<String, String> loops() {
        Map<String, String> loops = new LinkedHashMap<>();
        situation.seat().flatMap(seat -> seat.harness().loops().value()).orElse(List.of()).stream()
                .map(Harness.Loop::name)
                .distinct()
                .forEach(name -> loops.put(name, name));
        return loops;
    }

    private String loopFor(int slot) {
        return situation.seat().flatMap(seat -> seat.harness().loops().value()).orElse(List.of()).stream()
                .filter(loop -> loop.isFor(slot))
                .map(Harness.Loop::name)
                .findFirst()
                .orElse("");
    }

    AskView crotch(Ask ask) {
        List<CrotchOpening> openings =
                situation.seat().flatMap(seat -> seat.shell().crotch().value()).orElse(List.of());
        Optional<Integer> set =
                situation.newest(Fact.CrotchSet.class).map(each -> each.value().opening());
        List<Button> buttons = new ArrayList<>();
        Optional<Mass> weight = situation.weight().map(Stamped::value);
        for (int opening = 1; opening <= Math.max(1, openings.size()); opening++) {
            int number = opening;
            String name = say(opening == 1 ? "crotch.first" : "crotch.other", "opening", opening);
            boolean fits = opening <= openings.size()
                    && weight.filter(openings.get(opening - 1).weights()::contains)
                            .isPresent();
            buttons.add(new Button(
                    "opening",
                    String.valueOf(opening),
                    fits ? say("crotch.fits", "opening", name) : name,
                    "",
                    set.filter(each -> each == number).isPresent()));
        }
        String current =
                set.map(each -> say("current.opening", "opening", each)).orElse("");
        return new AskView(
                id(ask),
                words.say("ask.CROTCH"),
                words.say("ask.CROTCH.help"),
                ask.answered(),
                current,
                List.of(new Form(hidden("crotchSet", unit()), buttons, List.of(), "")));
    }

    AskView handle(Ask ask) {
        Optional<HandlePosition> set =
                situation.newest(Fact.HandleSet.class).map(each -> each.value().position());
        List<Button> buttons = new ArrayList<>();
        for (HandlePosition position : HandlePosition.values()) {
            String permission = words.say("permission." + HandleForDriving.permission(situation, position));
            buttons.add(new Button(
                    "position",
                    position.name(),
                    Wording.capital(words.say("handle." + position)) + ": " + permission,
                    AnswerPicture.of("HANDLE", position.name()).orElse(""),
                    set.filter(each -> each == position).isPresent()));
        }
        String current = set.map(each -> words.say("handle." + each)).orElse("");
        return new AskView(
                id(ask),
                words.say("ask.HANDLE"),
                words.say("ask.HANDLE.help"),
                ask.answered(),
                current,
                List.of(new Form(hidden("handleSet", unit()), buttons, List.of(), "")));
    }

    /** The snug test, in the words of the test that counts here. */
    AskView snug(Ask ask) {
        AskView plain = question(ask, Question.SNUG, List.of());
        String help = HarnessSnug.test(situation)
                .map(test -> words.say("snug." + test))
                .orElse(words.say("snug.NOT_LOOKED"));
        return new AskView(plain.key(), plain.title(), help, plain.answered(), plain.current(), plain.forms());
    }

    /** The parts, against the sheet's list. */
    AskView parts(Ask ask) {
        AskView plain = question(ask, Question.PARTS, List.of());
        String help = situation
                .seat()
                .flatMap(seat -> seat.parts().value())
                .map(list -> String.join(" · ", list))
                .orElse(words.say("parts.NO_LIST"));
        return new AskView(plain.key(), plain.title(), help, plain.answered(), plain.current(), plain.forms());
    }

    /** Whether the seat is as it was left: with the label to compare it with. */
    AskView since(Ask ask) {
        AskView plain = question(ask, Question.SINCE, List.of());
        String help = situation
                .cameBack()
                .map(Stamped::value)
                .map(back -> words.say(
                        "ask.SINCE.help",
                        Map.of(
                                "model", Argument.of(back.model() == null ? "?" : back.model()),
                                "made", Argument.of(back.made() == null ? "?" : back.made()),
                                "on", Argument.of(back.on()))))
                .orElse("");
        return plain.withHelp(help);
    }

    AskView movement(Ask ask) {
        List<Form> more = new ArrayList<>();
        if (isToTeach(TeachItem.INCH_TEST)) {
            Map<String, String> hidden = hidden("answered", unit(), "question", Question.MOVEMENT.name());
            hidden.put(TAUGHT, TeachItem.INCH_TEST.name());
            more.add(new Form(
                    hidden,
                    List.of(button("answer", InchTest.Answer.UNDER_AN_INCH.name(), "taught.withInch", false)),
                    List.of(),
                    ""));
        }
        more.add(tape.tape(Dimension.MOVEMENT, unit(), "12 mm, 1/2 in"));
        return question(ask, Question.MOVEMENT, more);
    }

    AskView gap(Ask ask) {
        List<Form> more = new ArrayList<>();
        // Where more than a hand is asked, the tape only has to say that it is there.
        GapToFrontSeat.asked(situation)
                .filter(asked -> !GapToFrontSeat.isToldByHand(asked))
                .ifPresent(asked -> more.add(new Form(
                        hidden(
                                "lengthMeasured",
                                unit(),
                                "what",
                                Dimension.GAP.name(),
                                "length",
                                asked.millimetres() + " mm"),
                        List.of(new Button("how", "measured", say("look.atLeast", "length", asked), "", false)),
                        List.of(),
                        "")));
        more.add(tape.tape(Dimension.GAP, unit(), "45 mm, 1 3/4 in"));
        return question(ask, Question.GAP, more);
    }
}
