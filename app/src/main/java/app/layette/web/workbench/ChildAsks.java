package app.layette.web.workbench;

import app.layette.core.child.Child;
import app.layette.core.child.Sex;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.measure.Length;
import app.layette.core.seat.InsertPiece;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import app.layette.formats.svg.AnswerPicture;
import app.layette.formats.wording.Wording;
import app.layette.web.workbench.AskView.Button;
import app.layette.web.workbench.AskView.Form;
import app.layette.web.workbench.AskView.Input;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The asks about the child and what is set to it. */
final class ChildAsks extends AskForms {
    private static final int DAYS_PER_WEEK = 7;

    ChildAsks(FittingPlan plan, Wording words, Typed typed) {
        super(plan, words, typed);
    }

    AskView child(Ask ask) {
        Optional<Child> child = situation.child().map(Stamped::value);
        List<Input> inputs = List.of(
                input(
                        "childDescribed",
                        "born",
                        "text",
                        child.map(c -> c.born().toString()).orElse(""),
                        words.say("hint.born")),
                input(
                        "childDescribed",
                        "gestationDays",
                        "text",
                        child.map(ChildAsks::weeks).orElse(""),
                        "38+2"),
                select(
                        "childDescribed",
                        "sex",
                        child.flatMap(Child::sex).map(Enum::name).orElse(""),
                        options(Sex.class, "sex", true)),
                input(
                        "childDescribed",
                        "birthWeight",
                        "text",
                        child.flatMap(Child::birthWeight)
                                .flatMap(mass -> mass.typed())
                                .orElse(""),
                        "6 lb 8 oz, 2.95 kg"));
        Form form = new Form(told("childDescribed", rider()), List.of(), inputs, words.say("submit.child"));
        String current =
                child.map(each -> say("current.born", "born", each.born())).orElse("");
        Optional<LocalDate> due = situation
                .newest(Fact.Expected.class)
                .map(expected -> expected.value().due());
        boolean isUnborn = child.isEmpty();
        Form expected = new Form(
                        told("expected", rider()),
                        List.of(),
                        List.of(input(
                                "expected",
                                "due",
                                "text",
                                due.map(LocalDate::toString).orElse(""),
                                words.say("page.new.dueHint"))),
                        words.say("submit.expected"))
                .foldedUnder(words.say("ask.EXPECTED"));
        return new AskView(
                id(ask),
                words.say("ask.CHILD"),
                "",
                ask.answered(),
                current,
                isUnborn ? List.of(form, expected) : List.of(form));
    }

    private static String weeks(Child child) {
        if (child.gestationDays().isEmpty()) {
            return "";
        }
        int days = child.gestationDays().getAsInt();
        return days / DAYS_PER_WEEK + "+" + days % DAYS_PER_WEEK;
    }

    AskView weight(Ask ask) {
        List<Input> inputs = new ArrayList<>();
        inputs.add(input("weighed", "mass", "text", "", "6 lb 8 oz, 2.95 kg"));
        if (isLengthDue()) {
            // Taken at the same scale in the same minute: one form for both, and the length may stay empty.
            inputs.add(input("weighed", "length", "text", "", "19 1/2 in, 49.5 cm"));
        }
        inputs.add(select("weighed", "how", "measured", sources()));
        Form form = new Form(hidden("weighed", rider()), List.of(), inputs, words.say("submit.weight"));
        String current = situation
                .weight()
                .map(weight -> words.both(weight.value()) + ", " + day(weight))
                .orElse("");
        return new AskView(id(ask), words.say("ask.WEIGHT"), "", ask.answered(), current, List.of(form));
    }

    private boolean isLengthDue() {
        return plan.run().step(StepKey.FITS).stream()
                .flatMap(step -> step.asks().stream())
                .anyMatch(each -> each.kind() == Ask.Kind.LENGTH && !each.answered());
    }

    /** Where a measure comes from; the newest of the best known is trusted. */
    private Map<String, String> sources() {
        Map<String, String> sources = new LinkedHashMap<>();
        for (String source : List.of("measured", "label", "told", "simulated")) {
            sources.put(source, words.say("source." + source));
        }
        return sources;
    }

    AskView length(Ask ask) {
        String current = situation
                .measured(Dimension.BODY)
                .map(measured -> words.both(measured.value().length()) + ", " + day(measured))
                .orElse("");
        return new AskView(
                id(ask),
                words.say("ask.LENGTH"),
                "",
                ask.answered(),
                current,
                List.of(new Form(
                        hidden("lengthMeasured", rider(), "what", Dimension.BODY.name()),
                        List.of(),
                        List.of(
                                input("lengthMeasured", "length", "text", "", "49.5 cm, 19 1/2 in"),
                                select("lengthMeasured", "how", "measured", sources())),
                        words.say("submit.measure"))));
    }

    /** The day of a measure; one that an earlier fitting left says so. */
    private String day(Stamped<?> measure) {
        boolean carried = measure.how().kind() == How.Kind.CARRIED_FROM;
        return carried ? say("current.carriedFrom", "day", measure.on()) : words.say(measure.on());
    }

    /** A form for a length by tape. */
    Form tape(Dimension what, String of, String hint) {
        Map<String, String> hidden = hidden("lengthMeasured", of, "what", what.name());
        if (what == Dimension.SHOULDER || what == Dimension.CROWN) {
            hidden.put("insert", Fact.InsertState.AS_IT_WILL_BE.name());
        }
        return new Form(
                hidden,
                List.of(),
                List.of(input("lengthMeasured", "length", "text", "", hint)),
                words.say("submit.measure"));
    }

    AskView order(Ask ask) {
        Optional<Fact.OrderKind> chosen =
                situation.newest(Fact.Ordered.class).map(order -> order.value().order());
        Form none = new Form(
                told("ordered", rider()),
                List.of(button(
                        "order",
                        Fact.OrderKind.NONE.name(),
                        "order.NONE",
                        chosen.stream().anyMatch(each -> each == Fact.OrderKind.NONE))),
                List.of(),
                "");
        Map<String, String> kinds = options(Fact.OrderKind.class, "order", false);
        kinds.remove(Fact.OrderKind.NONE.name());
        Form given = new Form(
                told("ordered", rider()),
                List.of(),
                List.of(
                        select("ordered", "order", "", kinds),
                        input("ordered", "role", "text", "", words.say("hint.role")),
                        input("ordered", "on", "date", "", ""),
                        input("ordered", "reviewOn", "date", "", "")),
                words.say("submit.order"));
        String current = chosen.map(each -> words.say("order." + each)).orElse("");
        return new AskView(
                id(ask),
                words.say("ask.ORDER"),
                words.say("ask.ORDER.help"),
                ask.answered(),
                current,
                List.of(none, given));
    }

    AskView screening(Ask ask) {
        Optional<Fact.ScreeningResult> chosen = situation
                .newest(Fact.Screened.class)
                .map(screened -> screened.value().result());
        List<Button> plain = buttons("result", Fact.ScreeningResult.class, "screening", chosen).stream()
                .filter(each -> !each.value().equals(Fact.ScreeningResult.PASSED.name())
                        && !each.value().equals(Fact.ScreeningResult.NOT_OFFERED_CLINICIAN_INFORMED.name()))
                .toList();
        Form byTap = new Form(told("screened", rider()), plain, List.of(), "");
        boolean ofPassed =
                Fact.ScreeningResult.PASSED.name().equals(typed.fields().get("result"));
        ChildAsks passing = ofPassed ? this : new ChildAsks(plan, words, Typed.NOTHING);
        ChildAsks informing = ofPassed ? new ChildAsks(plan, words, Typed.NOTHING) : this;
        String model = situation
                .label(Fact.Part.CARRIER)
                .map(label -> label.value().model())
                .orElse("");
        Form passed = new Form(
                told("screened", rider(), "result", Fact.ScreeningResult.PASSED.name()),
                List.of(),
                List.of(
                        passing.input("screened", "restraint", "text", model, words.say("hint.model")),
                        passing.input("screened", "on", "date", "", "")),
                Wording.capital(words.say("screening.PASSED")));
        Form informed = new Form(
                told("screened", rider(), "result", Fact.ScreeningResult.NOT_OFFERED_CLINICIAN_INFORMED.name()),
                List.of(),
                List.of(
                        informing.input("screened", "who", "text", "", words.say("hint.role")),
                        informing.input("screened", "on", "date", "", "")),
                Wording.capital(words.say("screening.NOT_OFFERED_CLINICIAN_INFORMED")));
        String current = chosen.map(each -> words.say("screening." + each)).orElse("");
        return new AskView(
                id(ask),
                words.say("ask.SCREENING"),
                words.say("ask.SCREENING.help"),
                ask.answered(),
                current,
                List.of(byTap, passed, informed));
    }

    AskView insert(Ask ask) {
        InsertPiece piece = situation.seat().flatMap(seat -> seat.insert().value()).orElse(List.of()).stream()
                .filter(each -> each.key().text().equals(ask.key()))
                .findFirst()
                .orElseThrow();
        Optional<Boolean> in = situation.insert(piece).map(set -> set.value().in());
        List<Button> buttons = List.of(
                button("in", "true", "insert.in", in.orElse(false)),
                button("in", "false", "insert.out", in.map(each -> !each).orElse(false)));
        String help =
                situation.useOf(piece).map(use -> words.say("insert." + use)).orElse(words.say("insert.NO_BAND"));
        String compared = Stream.of(true, false)
                .map(isIn -> withPiece(piece, isIn))
                .flatMap(Optional::stream)
                .collect(Collectors.joining(" "));
        String current =
                in.map(each -> words.say(each ? "insert.in" : "insert.out")).orElse("");
        Form form = new Form(hidden("insertSet", unit(), "piece", piece.key().text()), buttons, List.of(), "");
        return new AskView(
                id(ask),
                say("ask.INSERT", "piece", piece.name()),
                (help + " " + compared).strip(),
                ask.answered(),
                current,
                List.of(form));
    }

    /** Where the shoulder lies with a piece in or out; nothing for one that lifts nobody, or an unmeasured shoulder. */
    private Optional<String> withPiece(InsertPiece piece, boolean in) {
        if (piece.lift().equals(Length.ZERO)) {
            return Optional.empty();
        }
        return ShoulderAndSlots.in(situation.asIfInsert(piece, in))
                .flatMap(there -> there.shoulder()
                        .map(height -> words.say(
                                in ? "insert.with" : "insert.without",
                                Map.of(
                                        "height", Argument.of(height),
                                        "slot", Argument.of(there.best())))));
    }

    AskView shoulder(Ask ask) {
        int slots = situation.slotCount();
        Optional<Integer> best = ShoulderAndSlots.in(situation).map(ShoulderAndSlots::best);
        List<Button> buttons = new ArrayList<>();
        for (int slot = 0; slots > 0 && slot <= slots; slot++) {
            String key = slot == 0 ? "shoulder.below" : slot == slots ? "shoulder.above" : "shoulder.between";
            String label = words.say(
                    key,
                    Map.of(
                            "slot", Argument.of(slot),
                            "next", Argument.of(slot + 1)));
            int value = slot;
            buttons.add(new Button(
                    "slotAtOrBelow",
                    String.valueOf(slot),
                    label,
                    AnswerPicture.shoulder(slots, slot),
                    best.filter(each -> each == value).isPresent()));
        }
        Form byEye = new Form(hidden("shoulderSeen", rider()), buttons, List.of(), "");
        String current = situation
                .shoulder()
                .map(height -> words.both(height.value()))
                .orElseGet(() ->
                        best.map(slot -> say("current.slot", "slot", slot)).orElse(""));
        return new AskView(
                id(ask),
                words.say("ask.SHOULDER"),
                words.say("ask.SHOULDER.help"),
                ask.answered(),
                current,
                List.of(byEye, tape(Dimension.SHOULDER, rider(), "21 cm, 8 1/4 in")));
    }

    /** A layer under the straps: by its sort, or by how thick it is. */
    AskView layer(Ask ask) {
        String kind = "layerSeen";
        Optional<Fact.LayerSeen> seen = situation.newest(Fact.LayerSeen.class).map(Stamped::value);
        Form bySort = new Form(
                hidden(kind, rider()),
                buttons("garment", Fact.Garment.class, "garment", seen.map(Fact.LayerSeen::garment)),
                List.of(),
                "");
        Form byTape = new Form(
                hidden(kind, rider()),
                List.of(),
                List.of(
                        input(kind, "loose", "text", "", "18 mm, 3/4 in"),
                        input(kind, "pressed", "text", "", "4 mm, 1/8 in")),
                words.say("submit.layer"));
        String current = seen.map(Fact.LayerSeen::garment)
                .map(garment -> words.say("garment." + garment))
                .orElse("");
        return new AskView(
                id(ask),
                words.say("ask.LAYER"),
                words.say("ask.LAYER.help"),
                ask.answered(),
                current,
                List.of(bySort, byTape));
    }

    AskView headRoom(Ask ask) {
        return question(ask, Question.HEAD_ROOM, List.of(tape(Dimension.CROWN, rider(), "34 cm, 13 3/8 in")));
    }

    private static Map<String, String> told(String kind, String of, String... more) {
        Map<String, String> hidden = new LinkedHashMap<>(hidden(kind, of, more));
        hidden.put("how", "told");
        return hidden;
    }

    /** In words: how old, and whether before term. */
    String age(Child child, LocalDate today) {
        long days = child.ageDays(today);
        String age = days < 28
                ? say("age.days", "days", days)
                : days < 91
                        ? say("age.weeks", "weeks", days / DAYS_PER_WEEK)
                        : say("age.months", "months", days * 12 / 365);
        String term = child.gestationDays().isEmpty()
                ? words.say("age.termUnknown")
                : child.isBeforeTerm()
                        ? say("age.early", "weeks", child.gestationDays().getAsInt() / DAYS_PER_WEEK)
                        : words.say("age.term");
        return age + ", " + term;
    }
}
