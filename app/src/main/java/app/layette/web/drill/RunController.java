package app.layette.web.drill;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.hands.Sensed;
import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.run.TakenApart;
import app.layette.core.bench.run.TakenApart.Point;
import app.layette.core.bench.run.Task;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.view.BenchView;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.finding.Argument;
import app.layette.core.measure.Force;
import app.layette.core.recline.ReclineAdvice.PressPoint;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** One dry run: the bench with what hands can do, its end, and the taking apart with its replay. */
@Controller
@RequestMapping("/bench/runs/{id}")
class RunController {
    private static final int USUAL_PRESS_NEWTONS = 200;
    private static final int USUAL_PULL_NEWTONS = 100;
    private static final int SECONDS_A_MINUTE = 60;

    private final Drills drills;
    private final Choosing choosing;
    private final Viewing viewing;

    RunController(Drills drills, Choosing choosing, Viewing viewing) {
        this.drills = drills;
        this.choosing = choosing;
        this.viewing = viewing;
    }

    /** Something that can be done now. */
    public record Use(String hand, String what, long force, long pull, String says) {}

    /** A tool. */
    public record ToolLine(String tool, String name, boolean chosen) {}

    /** What was done, and what was seen or felt of it. */
    public record DoneLine(int number, String time, String says, List<String> sensed, boolean looked) {}

    /** A view of the bench. */
    public record ViewLine(String view, String name, boolean chosen) {}

    /** A point of the taking apart. */
    public record PointLine(
            String sort, String sortSays, String says, String rule, int moment, String when, boolean good) {}

    /** Something to choose. */
    public record Option(String value, String says, boolean chosen) {}

    @GetMapping
    ModelAndView run(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String view,
            @RequestParam(defaultValue = "") String tool,
            @RequestParam(defaultValue = "") String what,
            Model model) {
        Drills.Run run = drills.one(user, id);
        if (run.isOver()) {
            return new ModelAndView("redirect:/bench/runs/" + id + "/apart");
        }
        return run.task().kind() == Task.Kind.CHOOSE
                ? choosing.page(user, run, Map.of(), List.of(), model)
                : bench(user, run, view, tool, what, Map.of(), List.of(), model);
    }

    private ModelAndView bench(
            SignedIn user,
            Drills.Run run,
            String view,
            String tool,
            String what,
            Map<String, String> typed,
            List<FieldProblem> problems,
            Model model) {
        Wording words = viewing.wording(user);
        DrillWords says = new DrillWords(words);
        Drills.Done done = drills.done(run);
        DryRun dry = drills.replayed(run, done);
        Task.Kind kind = run.task().kind();
        List<Tool> tools = Tool.of(kind, dry);
        Tool chosen = tools.stream()
                .filter(each -> each.name().equals(tool))
                .findFirst()
                .orElse(firstTool(kind));
        head(run, dry, done, words, model);
        String shown = view.isEmpty() ? viewFor(chosen, dry) : view;
        views(run, dry, shown, dry.moments().size(), words, model, true);
        model.addAttribute(
                "tools",
                tools.stream()
                        .map(each -> new ToolLine(each.name(), words.say("drill.tool." + each), each == chosen))
                        .toList());
        model.addAttribute("tool", chosen.name());
        model.addAttribute("toolName", words.say("drill.tool." + chosen));
        model.addAttribute("toolAbout", words.say("drill.tool." + chosen + ".about"));
        model.addAttribute(
                "uses",
                chosen.uses(kind, dry).stream()
                        .map(each -> new Use(
                                each.hand().name(),
                                each.what(),
                                Math.round(each.force()),
                                Math.round(each.pull()),
                                says.of(each)))
                        .toList());
        model.addAttribute("press", chosen == Tool.PRESS);
        model.addAttribute(
                "points",
                Arrays.stream(PressPoint.values())
                        .map(point -> new Option(
                                point.name(),
                                words.say("drill.at." + point),
                                point.name().equals(what)))
                        .toList());
        model.addAttribute("unit", says.unit());
        model.addAttribute("newtonsPerUnit", says.newtons(1));
        model.addAttribute("force", typed.getOrDefault("force", says.typed(Force.ofNewtons(USUAL_PRESS_NEWTONS))));
        model.addAttribute("pull", typed.getOrDefault("pull", says.typed(Force.ofNewtons(USUAL_PULL_NEWTONS))));
        model.addAttribute("turn", dry.nextTurn().isPresent());
        model.addAttribute("teach", kind == Task.Kind.TEACH);
        model.addAttribute("problems", problems.stream().map(words::say).toList());
        return new ModelAndView(
                "drill/run", model.asMap(), problems.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What one takes up first. */
    private static Tool firstTool(Task.Kind kind) {
        return switch (kind) {
            case FIT, CHOOSE -> Tool.PAPERS;
            case FIND -> Tool.LOOK;
            case TEACH -> Tool.FAMILY;
        };
    }

    private static String viewFor(Tool tool, DryRun dry) {
        boolean onTheTable =
                dry.scene().method().isOnBase() && !dry.now().hold().loaded();
        return switch (tool) {
            case PAPERS -> "PAPERS";
            case STRAPS -> "BACK";
            case DOLL -> "CHILD";
            case FAMILY -> onTheTable ? "CHILD" : BenchView.From.DOOR.name();
            default -> BenchView.From.DOOR.name();
        };
    }

    /** Who, what and where it is; and what was done. */
    private static void head(Drills.Run run, DryRun dry, Drills.Done done, Wording words, Model model) {
        Scene scene = dry.scene();
        DrillWords says = new DrillWords(words);
        model.addAttribute("run", run.id());
        model.addAttribute("runName", DrillController.name(run.task(), words));
        model.addAttribute("number", run.task().number());
        model.addAttribute("doll", words.say("drill.doll", Map.of("days", Argument.of(scene.bornDaysAgo()))));
        model.addAttribute("seat", scene.seat().identity().fullName());
        model.addAttribute("car", scene.car().fullName());
        model.addAttribute(
                "how",
                words.say(
                        "drill.how",
                        Map.of(
                                "method",
                                new Argument.OfKey("method." + scene.method()),
                                "place",
                                new Argument.OfKey("place." + scene.place()))));
        List<DoneLine> lines = new ArrayList<>();
        for (int i = 0; i < dry.moments().size(); i++) {
            DryRun.Moment moment = dry.moments().get(i);
            lines.add(new DoneLine(
                    i + 1,
                    clock(done.seconds().get(i)),
                    says.of(moment.doing()),
                    sensed(moment.outcome().sensed(), moment.outcome().facts(), says, words),
                    moment.doing().hand().findsOut()));
        }
        model.addAttribute("doings", lines);
        model.addAttribute("last", lines.isEmpty() ? null : lines.get(lines.size() - 1));
        model.addAttribute(
                "goes",
                dry.moments().stream().filter(each -> each.doing().pull() > 0).count());
        model.addAttribute("looks", lines.stream().filter(DoneLine::looked).count());
    }

    /** What was seen and felt, and the numbers that scale and tape show. */
    private static List<String> sensed(List<Sensed> sensed, List<Fact> facts, DrillWords says, Wording words) {
        List<String> lines = new ArrayList<>(
                sensed.stream().flatMap(each -> says.of(each).stream()).toList());
        for (Fact fact : facts) {
            if (fact instanceof Fact.Weighed weighed) {
                lines.add(words.both(weighed.mass()));
            } else if (fact instanceof Fact.LengthMeasured measured) {
                lines.add(words.say("drill.tape." + measured.what(), Map.of("length", Argument.of(measured.length()))));
            } else if (fact instanceof Fact.LabelRead label) {
                lines.add(words.say(
                        "drill.label." + label.part(),
                        Map.of(
                                "model", Argument.of(Objects.requireNonNullElse(label.model(), "–")),
                                "made",
                                        Argument.of(
                                                label.made() == null
                                                        ? "–"
                                                        : label.made().toString()))));
            }
        }
        return lines;
    }

    private static String clock(long seconds) {
        return seconds / SECONDS_A_MINUTE + ":" + String.format("%02d", seconds % SECONDS_A_MINUTE);
    }

    private void views(Drills.Run run, DryRun dry, String view, int moment, Wording words, Model model, boolean links) {
        List<ViewLine> views = new ArrayList<>();
        for (BenchView.From from : BenchView.From.values()) {
            views.add(new ViewLine(
                    from.name(), words.say("drill.view." + from), from.name().equals(view)));
        }
        views.add(new ViewLine("PAPERS", words.say("drill.view.PAPERS"), view.equals("PAPERS")));
        model.addAttribute("views", views);
        model.addAttribute("view", view);
        if (view.equals("PAPERS")) {
            model.addAttribute("papers", Papers.of(dry.scene().seat(), words));
            return;
        }
        BenchView.From from = Arrays.stream(BenchView.From.values())
                .filter(each -> each.name().equals(view))
                .findFirst()
                .orElse(BenchView.From.DOOR);
        model.addAttribute(
                "board",
                SvgWriter.write(
                        BenchView.of(dry, from, moment, links),
                        words,
                        link -> links ? Optional.of(address(run, from, link.target())) : Optional.empty()));
    }

    /** Where a spot of the drawing leads: to the tool that works there. */
    private static String address(Drills.Run run, BenchView.From from, String target) {
        String[] parts = target.split("/");
        String tool = switch (parts[0]) {
            case "PRESS" -> Tool.PRESS.name();
            case "MOVE_FRONT_SEAT" -> Tool.CAR.name();
            case "THREAD" -> Tool.STRAPS.name();
            case "LOOK" -> Tool.LOOK.name();
            default -> Tool.TEST.name();
        };
        return "/bench/runs/" + run.id() + "?tool=" + tool + "&view=" + from + "&what="
                + (parts.length > 1 ? parts[1] : "") + "&spot=" + parts[0] + "#panel";
    }

    /** Something is done; what cannot be is refused, and nothing was done. */
    @PostMapping("/doings")
    ModelAndView does(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Map<String, String> fields,
            Model model) {
        Drills.Run run = drills.one(user, id);
        Wording words = viewing.wording(user);
        List<FieldProblem> problems = new ArrayList<>();
        Optional<Doing> doing = doing(fields, new DrillWords(words), problems);
        if (doing.isPresent()) {
            try {
                drills.does(user, id, doing.get());
                String view = fields.getOrDefault("view", "");
                return new ModelAndView("redirect:/bench/runs/" + id + "?tool=" + Tool.with(doing.get())
                        + (view.matches("[A-Z]+") ? "&view=" + view : ""));
            } catch (IllegalArgumentException e) {
                problems.add(new FieldProblem("doing", fields.getOrDefault("what", ""), "NOTHING_OF_THE_KIND", "", ""));
            }
        }
        if (run.isOver() || run.task().kind() == Task.Kind.CHOOSE) {
            return new ModelAndView("redirect:/bench/runs/" + id);
        }
        return bench(
                user,
                run,
                fields.getOrDefault("view", ""),
                fields.getOrDefault("tool", ""),
                fields.getOrDefault("what", ""),
                fields,
                problems,
                model);
    }

    private static Optional<Doing> doing(Map<String, String> fields, DrillWords says, List<FieldProblem> problems) {
        String hand = fields.getOrDefault("hand", "");
        String what = fields.getOrDefault("what", "").strip();
        boolean isPress = hand.equals("PRESS");
        double force = isPress ? force("force", fields, says, problems) : newtons(fields, "force");
        double pull = isPress ? force("pull", fields, says, problems) : 0;
        if (!problems.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(Doing.parse(
                    hand + " " + (what.isEmpty() ? "-" : what) + " " + Math.round(force) + " " + Math.round(pull)));
        } catch (IllegalArgumentException e) {
            problems.add(new FieldProblem("doing", hand + " " + what, "NOTHING_OF_THE_KIND", "", ""));
            return Optional.empty();
        }
    }

    private static double newtons(Map<String, String> fields, String field) {
        String text = fields.getOrDefault(field, "0").strip();
        return text.matches("\\d{1,4}") ? Integer.parseInt(text) : 0;
    }

    /** A force typed as a weight, in the units of whoever types it. */
    private static double force(
            String field, Map<String, String> fields, DrillWords says, List<FieldProblem> problems) {
        String text = fields.getOrDefault(field, "").strip().replace(',', '.');
        double most = Math.floor(Doing.MOST_NEWTONS / says.newtons(1));
        if (text.matches("\\d{1,3}(\\.\\d{1,2})?") && Double.parseDouble(text) <= most) {
            return says.newtons(Double.parseDouble(text));
        }
        problems.add(FieldProblem.outside(
                field.equals("force") ? "pressForce" : "pullForce",
                text,
                "0 " + says.unit(),
                (int) most + " " + says.unit()));
        return 0;
    }

    /** The run is over: it is taken apart. */
    @PostMapping("/end")
    String end(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        Drills.Run run = drills.one(user, id);
        if (run.isOver() || run.task().kind() == Task.Kind.CHOOSE) {
            return "redirect:/bench/runs/" + id;
        }
        Drills.Done done = drills.done(run);
        DryRun dry = drills.replayed(run, done);
        if (dry.nextTurn().isPresent()) {
            // Who is taught is not sent away in the middle.
            return "redirect:/bench/runs/" + id;
        }
        TakenApart apart = TakenApart.of(run.task(), dry, done.seconds());
        drills.end(user, id, "", apart.points());
        return "redirect:/bench/runs/" + id + "/apart";
    }

    /** What was chosen, with its arguments. */
    @PostMapping("/choice")
    ModelAndView chosen(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Map<String, String> fields,
            Model model) {
        Drills.Run run = drills.one(user, id);
        if (run.isOver() || run.task().kind() != Task.Kind.CHOOSE) {
            return new ModelAndView("redirect:/bench/runs/" + id);
        }
        List<FieldProblem> problems = new ArrayList<>();
        Optional<Choosing.Choice> choice = choosing.choice(run, fields, problems);
        if (choice.isEmpty()) {
            return choosing.page(user, run, fields, problems, model);
        }
        drills.end(user, id, choice.get().text(), choice.get().points());
        return new ModelAndView("redirect:/bench/runs/" + id + "/apart");
    }

    /** The taking apart, with the bench as it was at a moment. */
    @GetMapping("/apart")
    ModelAndView apart(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "-1") int moment,
            @RequestParam(defaultValue = "DOOR") String view,
            Model model) {
        Drills.Run run = drills.one(user, id);
        if (!run.isOver()) {
            return new ModelAndView("redirect:/bench/runs/" + id);
        }
        Wording words = viewing.wording(user);
        model.addAttribute("run", run.id());
        model.addAttribute("runName", DrillController.name(run.task(), words));
        model.addAttribute("kind", run.task().kind().name());
        model.addAttribute("number", run.task().number());
        if (run.task().kind() == Task.Kind.CHOOSE) {
            return choosing.apart(user, run, model);
        }
        Drills.Done done = drills.done(run);
        DryRun dry = drills.replayed(run, done);
        TakenApart apart = TakenApart.of(run.task(), dry, done.seconds());
        head(run, dry, done, words, model);
        int most = dry.moments().size();
        int at = moment < 0 ? most : Math.min(moment, most);
        views(run, dry, view.equals("PAPERS") ? "DOOR" : view, at, words, model, false);
        model.addAttribute("moment", at);
        model.addAttribute("most", most);
        model.addAttribute(
                "points",
                apart.points().stream().map(point -> line(point, done, words)).toList());
        model.addAttribute("clean", apart.isClean());
        model.addAttribute("cost", cost(apart, words));
        model.addAttribute(
                "phases",
                apart.seconds().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(each -> new Papers.Line(words.say("phase." + each.getKey()), clock(each.getValue())))
                        .toList());
        return new ModelAndView("drill/apart", model.asMap());
    }

    private static PointLine line(Point point, Drills.Done done, Wording words) {
        String when = point.moment() > 0 && point.moment() <= done.seconds().size()
                ? clock(done.seconds().get(point.moment() - 1))
                : "0:00";
        return new PointLine(
                point.sort().name(),
                words.say("drill.sort." + point.sort()),
                new DrillWords(words).of(point),
                point.rule().name().replace('_', '-'),
                point.moment(),
                when,
                point.isGood());
    }

    /** Goes and looks beside the planner's and beside trial and error. */
    private static List<Papers.Line> cost(TakenApart apart, Wording words) {
        List<Papers.Line> lines = new ArrayList<>();
        lines.add(costLine("drill.cost.yours", apart.goes(), apart.looks(), words));
        if (apart.plannersLooks() > 0 || apart.plannersGoes() > 0) {
            lines.add(costLine("drill.cost.planners", apart.plannersGoes(), apart.plannersLooks(), words));
        }
        if (apart.trialAndErrorCycles() > 0) {
            lines.add(new Papers.Line(
                    words.say("drill.cost.trialAndError"),
                    words.say("drill.cost.cycles", Map.of("cycles", Argument.of(apart.trialAndErrorCycles())))));
        }
        return lines;
    }

    private static Papers.Line costLine(String whose, int goes, int looks, Wording words) {
        return new Papers.Line(
                words.say(whose),
                words.say("drill.cost.says", Map.of("goes", Argument.of(goes), "looks", Argument.of(looks))));
    }
}
