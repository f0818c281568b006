package app.layette.web.drill;

import app.layette.core.bench.choose.Chosen;
import app.layette.core.bench.run.TakenApart.Point;
import app.layette.core.bench.scene.Shelf;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.Method;
import app.layette.core.finding.Argument;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.servlet.ModelAndView;

/** A run in which a restraint and its place are chosen: what is asked, what was said, and how that was. */
@Component
class Choosing {
    private final Viewing viewing;

    Choosing(Viewing viewing) {
        this.viewing = viewing;
    }

    /** A restraint to choose, or that was chosen among. */
    public record SeatLine(String id, String name, List<Papers.Line> papers, String argument, boolean chosen) {}

    /**
     * What was chosen.
     *
     * @param text as it is kept: restraint, place, method, and an argument for each restraint
     */
    record Choice(String text, List<Point> points) {}

    /** The page that asks. */
    ModelAndView page(
            SignedIn user, Drills.Run run, Map<String, String> typed, List<FieldProblem> problems, Model model) {
        Wording words = viewing.wording(user);
        Shelf shelf = run.task().shelf();
        model.addAttribute("run", run.id());
        model.addAttribute("runName", DrillController.name(run.task(), words));
        model.addAttribute("child", child(shelf, words));
        model.addAttribute(
                "seats",
                shelf.seats().stream()
                        .map(seat -> new SeatLine(
                                seat.sheet().id(),
                                seat.identity().fullName() + ", " + words.say("seatKind." + seat.kind()),
                                Papers.of(seat, words).subList(0, 3),
                                typed.getOrDefault("argument." + seat.sheet().id(), ""),
                                seat.sheet().id().equals(typed.get("seat"))))
                        .toList());
        List<RunController.Option> arguments = new ArrayList<>();
        arguments.add(new RunController.Option(Chosen.SUITS, words.say("drill.argument.SUITS"), false));
        Chosen.ARGUMENTS.forEach(each ->
                arguments.add(new RunController.Option(each.name(), words.say("drill.argument." + each), false)));
        model.addAttribute("arguments", arguments);
        model.addAttribute(
                "places",
                shelf.present().car().orElseThrow().positions().stream()
                        .map(SeatingPosition::id)
                        .map(place -> new RunController.Option(
                                place.toString(),
                                words.say("place." + place),
                                place.toString().equals(typed.get("place"))))
                        .toList());
        model.addAttribute(
                "methods",
                Arrays.stream(Method.values())
                        .map(method -> new RunController.Option(
                                method.name(),
                                words.say("method." + method),
                                method.name().equals(typed.get("method"))))
                        .toList());
        model.addAttribute("problems", problems.stream().map(words::say).toList());
        return new ModelAndView(
                "drill/choose", model.asMap(), problems.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What was chosen; empty where something is wrong, which then stands among the problems. */
    Optional<Choice> choice(Drills.Run run, Map<String, String> fields, List<FieldProblem> problems) {
        Shelf shelf = run.task().shelf();
        List<String> seats =
                shelf.seats().stream().map(seat -> seat.sheet().id()).toList();
        List<String> places = shelf.present().car().orElseThrow().positions().stream()
                .map(position -> position.id().toString())
                .toList();
        List<String> methods = Arrays.stream(Method.values()).map(Method::name).toList();
        among("seat", fields, seats, problems);
        among("place", fields, places, problems);
        among("method", fields, methods, problems);
        if (!problems.isEmpty()) {
            return Optional.empty();
        }
        StringBuilder choice =
                new StringBuilder(fields.get("seat") + " " + fields.get("place") + " " + fields.get("method"));
        List<String> known = new ArrayList<>(List.of(Chosen.SUITS));
        Chosen.ARGUMENTS.forEach(each -> known.add(each.name()));
        for (String seat : seats) {
            String argument = fields.getOrDefault("argument." + seat, Chosen.SUITS);
            choice.append(' ').append(seat).append('=').append(known.contains(argument) ? argument : Chosen.SUITS);
        }
        return Optional.of(
                new Choice(choice.toString(), judged(shelf, choice.toString()).points()));
    }

    private static String child(Shelf shelf, Wording words) {
        boolean flat = shelf.present()
                .newest(Fact.Ordered.class)
                .filter(order -> order.value().order() == Fact.OrderKind.FLAT)
                .isPresent();
        return words.say(
                flat ? "drill.childFlat" : "drill.child",
                Map.of(
                        "weight",
                        Argument.of(shelf.present().weight().orElseThrow().value()),
                        "length",
                        Argument.of(shelf.present()
                                .measured(Fact.Dimension.BODY)
                                .orElseThrow()
                                .value()
                                .length())));
    }

    private static void among(
            String field, Map<String, String> fields, List<String> allowed, List<FieldProblem> problems) {
        if (!allowed.contains(fields.getOrDefault(field, ""))) {
            problems.add(FieldProblem.notAmong(
                    field.equals("seat") ? "chosenSeat" : field, fields.getOrDefault(field, ""), allowed));
        }
    }

    private static Chosen judged(Shelf shelf, String choice) {
        String[] parts = choice.split(" ");
        Map<String, String> arguments = new HashMap<>();
        Arrays.stream(parts).skip(3).map(each -> each.split("=")).forEach(each -> arguments.put(each[0], each[1]));
        return Chosen.of(shelf, parts[0], PositionId.parse(parts[1]), Method.valueOf(parts[2]), arguments);
    }

    /** The choice beside what the planner says. */
    ModelAndView apart(SignedIn user, Drills.Run run, Model model) {
        Wording words = viewing.wording(user);
        Shelf shelf = run.task().shelf();
        Chosen chosen = judged(shelf, run.choice().orElseThrow());
        model.addAttribute("child", child(shelf, words));
        model.addAttribute("clean", chosen.points().stream().allMatch(Point::isGood));
        model.addAttribute("chosenSeat", chosen.seat().seat().identity().fullName());
        model.addAttribute(
                "answers",
                chosen.answers().stream()
                        .map(answer -> new SeatLine(
                                answer.seat().sheet().id(),
                                answer.seat().identity().fullName(),
                                answer.findings().stream()
                                        .map(finding -> new Papers.Line(
                                                finding.code().name().replace('_', '-'), words.say(finding)))
                                        .toList(),
                                words.say("drill.answer." + answer.answer()),
                                answer == chosen.seat()))
                        .toList());
        model.addAttribute(
                "place",
                chosen.place()
                        .map(place -> words.say(
                                "drill.placeAnswer",
                                Map.of(
                                        "place", new Argument.OfKey("place." + place.place()),
                                        "method", new Argument.OfKey("method." + place.method()),
                                        "answer", new Argument.OfKey("drill.answer." + place.answer()))))
                        .orElseGet(() -> words.say("drill.noSuchMethod")));
        model.addAttribute(
                "placeWhy",
                chosen.place().stream()
                        .flatMap(place -> place.deciding().stream())
                        .map(words::say)
                        .toList());
        model.addAttribute(
                "points",
                chosen.points().stream()
                        .map(point -> new RunController.PointLine(
                                point.sort().name(),
                                words.say("drill.sort." + point.sort()),
                                new DrillWords(words).of(point),
                                point.rule().name().replace('_', '-'),
                                0,
                                "",
                                point.isGood()))
                        .toList());
        return new ModelAndView("drill/apart-choice", model.asMap());
    }
}
