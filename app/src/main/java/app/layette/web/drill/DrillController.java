package app.layette.web.drill;

import app.layette.core.bench.progress.Skill;
import app.layette.core.bench.run.Task;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.Misuse;
import app.layette.core.finding.Argument;
import app.layette.core.misuse.Misuses;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.paper.PaperSize;
import app.layette.web.paper.PdfPrinter;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The practice bench: what to practise next, the last runs, what is known, and the group of a lead. */
@Controller
@RequestMapping("/bench")
class DrillController {
    private static final int TRIES = 60;
    private static final long STRIDE = 7919;

    private final Drills drills;
    private final Viewing viewing;
    private final PdfPrinter printer;

    DrillController(Drills drills, Viewing viewing, PdfPrinter printer) {
        this.drills = drills;
        this.viewing = viewing;
        this.printer = printer;
    }

    /** A kind of run with the number that is proposed. */
    public record KindLine(String kind, String name, String about, long number) {}

    /** An area of the rules. */
    public record AreaLine(String area, String name, int right, String when, boolean due) {}

    /** A run in a list. */
    public record RunLine(String address, String name, String when, String state, String mark) {}

    /** Somebody of the group. */
    public record PersonLine(String id, String name, int runs, int clean, String hours, String weakest) {}

    /** A run that was asked for. */
    public record AskedLine(String id, String kind, long number, String name, String by) {}

    @GetMapping
    ModelAndView index(@AuthenticationPrincipal SignedIn user, Model model) {
        return shown(user, Map.of(), List.of(), model);
    }

    private ModelAndView shown(SignedIn user, Map<String, String> typed, List<FieldProblem> problems, Model model) {
        Wording words = viewing.wording(user);
        LocalDate today = drills.today(user);
        List<Skill> skills = drills.skills(user.userId(), today);
        List<Drills.Run> runs = drills.of(user.userId());
        Optional<Skill> next = Skill.next(skills, today);
        int level = Skill.level(skills);
        long from = 1 + Math.floorMod(user.userId().hashCode() + runs.size() * STRIDE + today.toEpochDay(), 90_000L);
        model.addAttribute(
                "kinds",
                Arrays.stream(Task.Kind.values())
                        .map(kind -> new KindLine(
                                kind.name(),
                                words.say("drill.kind." + kind),
                                words.say("drill.kind." + kind + ".about"),
                                Task.ofLevel(from, level)))
                        .toList());
        model.addAttribute("level", words.say("drill.level", Map.of("level", Argument.of(level))));
        next.ifPresent(skill -> {
            model.addAttribute(
                    "next", words.say("drill.next", Map.of("area", new Argument.OfKey("drill.area." + skill.area()))));
            model.addAttribute("nextNumber", numberFor(skill.area(), from, level));
        });
        model.addAttribute(
                "areas", skills.stream().map(skill -> line(skill, today, words)).toList());
        model.addAttribute(
                "runs", runs.stream().map(run -> line(run, user, words)).toList());
        model.addAttribute(
                "asked",
                drills.asked(user.userId()).stream()
                        .map(each -> new AskedLine(
                                each.id().toString(),
                                each.task().kind().name(),
                                each.task().number(),
                                name(each.task(), words),
                                each.by()))
                        .toList());
        if (user.isLead()) {
            model.addAttribute(
                    "group",
                    drills.group(user.pointId()).stream()
                            .map(person -> line(person, today, words))
                            .toList());
        }
        model.addAttribute("hours", hours(drills.practised(drills.ended(user.userId())), words));
        model.addAttribute("typed", typed);
        model.addAttribute("problems", problems.stream().map(words::say).toList());
        return new ModelAndView(
                "drill/index", model.asMap(), problems.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** A number whose faults are of an area; the first where none of the next ones has any. */
    private static long numberFor(String area, long from, int level) {
        long number = from;
        for (int i = 0; i < TRIES; i++) {
            number = Task.ofLevel(number, level);
            boolean fits = new Task(Task.Kind.FIND, number)
                    .mayStage().stream().anyMatch(misuse -> area(misuse).equals(area));
            if (fits) {
                return number;
            }
            number++;
        }
        return Task.ofLevel(from, level);
    }

    private static String area(Misuse misuse) {
        String code = Misuses.of(misuse).putRightBy().code().name();
        return code.substring(0, code.indexOf('_'));
    }

    private static AreaLine line(Skill skill, LocalDate today, Wording words) {
        return new AreaLine(
                skill.area(),
                words.say("drill.area." + skill.area()),
                skill.right(),
                skill.isDue(today)
                        ? words.say("drill.dueNow")
                        : words.say("drill.dueOn", Map.of("day", Argument.of(skill.due()))),
                skill.isDue(today));
    }

    static String name(Task task, Wording words) {
        return words.say(
                "drill.run",
                Map.of(
                        "kind",
                        new Argument.OfKey("drill.kind." + task.kind()),
                        "number",
                        Argument.of(String.valueOf(task.number()))));
    }

    private RunLine line(Drills.Run run, SignedIn user, Wording words) {
        String state = !run.isOver() ? "OPEN" : run.clean().orElse(false) ? "CLEAN" : "SOMETHING";
        return new RunLine(
                "/bench/runs/" + run.id() + (run.isOver() ? "/apart" : ""),
                name(run.task(), words),
                words.recent(run.begun().atZone(viewing.point(user).zone())),
                words.say("drill.state." + state),
                state.equals("CLEAN") ? "holds" : state.equals("OPEN") ? "not_known" : "fix");
    }

    private PersonLine line(Drills.Person person, LocalDate today, Wording words) {
        List<Skill> skills = drills.skills(person.id(), today);
        String weakest = person.runs() == 0
                ? ""
                : Skill.next(skills, today)
                        .map(skill -> words.say("drill.area." + skill.area()))
                        .orElse("");
        return new PersonLine(
                person.id().toString(),
                person.name(),
                person.runs(),
                person.clean(),
                hours(person.practised(), words),
                weakest);
    }

    private static String hours(Duration time, Wording words) {
        return words.say(
                "drill.hours",
                Map.of(
                        "hours", Argument.of((int) time.toHours()),
                        "minutes", Argument.of(time.toMinutesPart())));
    }

    private static Optional<Task> task(Map<String, String> fields, List<FieldProblem> problems) {
        String kind = fields.getOrDefault("run", "");
        String number = fields.getOrDefault("number", "").strip();
        Optional<Task.Kind> which = Arrays.stream(Task.Kind.values())
                .filter(each -> each.name().equals(kind))
                .findFirst();
        if (which.isEmpty()) {
            problems.add(FieldProblem.notAmong("run", kind, List.of(Task.Kind.values())));
        }
        boolean isNumber = number.matches("\\d{1,6}") && Integer.parseInt(number) >= 1;
        if (!isNumber) {
            problems.add(FieldProblem.outside("number", number, 1, Task.MOST));
        }
        return which.isPresent() && isNumber
                ? Optional.of(new Task(which.get(), Long.parseLong(number)))
                : Optional.empty();
    }

    /** Begins a run: one that is proposed, asked for, or handed over by a colleague as a number. */
    @PostMapping("/runs")
    ModelAndView begin(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields, Model model) {
        List<FieldProblem> problems = new ArrayList<>();
        Optional<Task> task = task(fields, problems);
        if (task.isEmpty()) {
            return shown(user, fields, problems, model);
        }
        UUID id = drills.begin(user, task.get(), uuid(fields.getOrDefault("asked", "")));
        return new ModelAndView("redirect:/bench/runs/" + id);
    }

    private static Optional<UUID> uuid(String text) {
        try {
            return text.isBlank() ? Optional.empty() : Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** A lead asks somebody to do a run. */
    @PostMapping("/asked")
    ModelAndView ask(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields, Model model) {
        if (!user.isLead()) {
            throw new AccessDeniedException("a lead asks for runs");
        }
        List<FieldProblem> problems = new ArrayList<>();
        Optional<Task> task = task(fields, problems);
        Optional<UUID> person = uuid(fields.getOrDefault("whom", ""));
        boolean isAsked = task.isPresent() && person.isPresent() && drills.ask(user, person.get(), task.get());
        if (!isAsked && problems.isEmpty()) {
            problems.add(FieldProblem.notAmong(
                    "whom",
                    fields.getOrDefault("whom", ""),
                    drills.group(user.pointId()).stream()
                            .map(Drills.Person::name)
                            .toList()));
        }
        return problems.isEmpty() ? new ModelAndView("redirect:/bench") : shown(user, fields, problems, model);
    }

    /** The record of practice hours, to be printed. */
    @GetMapping(path = "/hours.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> hours(@AuthenticationPrincipal SignedIn user) {
        Wording words = viewing.wording(user);
        List<Drills.Run> ended = drills.ended(user.userId());
        byte[] document = printer.print(
                "drill/hours",
                words.language(),
                Map.of(
                        "title", words.say("drill.hoursTitle"),
                        "lang", words.language(),
                        "paper", PaperSize.in(viewing.point(user).lawCountry()).css(),
                        "person", user.displayName(),
                        "point", viewing.point(user).name(),
                        "day", words.say(drills.today(user)),
                        "whole", hours(drills.practised(ended), words),
                        "runs",
                                ended.stream()
                                        .map(run -> List.of(
                                                words.say(run.begun()
                                                        .atZone(viewing.point(user)
                                                                .zone())
                                                        .toLocalDate()),
                                                name(run.task(), words),
                                                hours(drills.practised(run), words),
                                                words.say(
                                                        run.clean().orElse(false)
                                                                ? "drill.state.CLEAN"
                                                                : "drill.state.SOMETHING")))
                                        .toList()));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=practice-hours.pdf")
                .contentType(MediaType.APPLICATION_PDF)
                .body(document);
    }
}
