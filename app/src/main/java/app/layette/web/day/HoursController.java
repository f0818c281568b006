package app.layette.web.day;

import app.layette.core.day.OpenHours;
import app.layette.core.entry.FieldProblem;
import app.layette.core.finding.Argument;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** When the point is open, days that are otherwise, and its bays; a lead keeps them. */
@Controller
@RequestMapping("/hours")
class HoursController {
    private final Openings openings;
    private final Staff staff;
    private final Viewing viewing;

    HoursController(Openings openings, Staff staff, Viewing viewing) {
        this.openings = openings;
        this.staff = staff;
        this.viewing = viewing;
    }

    /** A day of the week. */
    public record Day(int number, String name, String hours) {}

    /** A day that is otherwise. */
    public record Otherwise(String day, String hours) {}

    /** A day of the week on which somebody works or does not. */
    public record Works(int number, String name, boolean there) {}

    /** Days off. */
    public record OffLine(String from, String words) {}

    /** Somebody who may sign. */
    public record PersonLine(String id, String name, List<Works> days, String until, List<OffLine> away) {}

    /** A bay. */
    public record BayLine(String name, boolean ward, int travel) {}

    @GetMapping
    ModelAndView page(@AuthenticationPrincipal SignedIn user, Model model) {
        return shown(user, Map.of(), List.of(), model);
    }

    private ModelAndView shown(SignedIn user, Map<String, String> typed, List<FieldProblem> problems, Model model) {
        Wording words = viewing.wording(user);
        OpenHours hours = openings.hours(user.pointId());
        model.addAttribute(
                "days",
                Arrays.stream(DayOfWeek.values())
                        .map(day -> new Day(
                                day.getValue(),
                                day.getDisplayName(TextStyle.FULL, words.locale()),
                                Openings.text(hours.weekly().getOrDefault(day, List.of()))))
                        .toList());
        model.addAttribute(
                "exceptions",
                hours.exceptions().entrySet().stream()
                        .filter(each -> !each.getKey().isBefore(viewing.today(viewing.point(user))))
                        .sorted(Map.Entry.comparingByKey())
                        .map(each -> new Otherwise(
                                words.say(each.getKey()),
                                each.getValue().isEmpty() ? words.say("day.closed") : Openings.text(each.getValue())))
                        .toList());
        model.addAttribute(
                "bays",
                openings.bays(user.pointId()).stream()
                        .map(bay -> new BayLine(DayBoard.name(bay, words), bay.ward(), bay.travel()))
                        .toList());
        model.addAttribute(
                "people",
                staff.signing(user.pointId()).stream()
                        .map(each -> line(each, words))
                        .toList());
        model.addAttribute("typed", typed);
        model.addAttribute("lead", user.isLead());
        model.addAttribute("problems", problems.stream().map(words::say).toList());
        return new ModelAndView(
                "day/hours", model.asMap(), problems.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private static PersonLine line(Staff.Signing of, Wording words) {
        return new PersonLine(
                of.id().toString(),
                of.name(),
                Arrays.stream(DayOfWeek.values())
                        .map(day -> new Works(
                                day.getValue(),
                                day.getDisplayName(TextStyle.SHORT, words.locale()),
                                of.days().contains(day)))
                        .toList(),
                of.until()
                        .map(day -> words.say("day.signsUntil", Map.of("day", Argument.of(day))))
                        .orElse(""),
                of.away().stream()
                        .map(off -> new OffLine(
                                off.from().toString(),
                                off.from().equals(off.to())
                                        ? words.say(off.from())
                                        : words.say(off.from()) + " – " + words.say(off.to())))
                        .toList());
    }

    /** On which days of the week somebody works. */
    @PostMapping("/people")
    ModelAndView works(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String person,
            @RequestParam(defaultValue = "") List<Integer> weekdays,
            Model model) {
        leadOnly(user);
        return after(user, staff.works(user, person, weekdays), Map.of(), model);
    }

    /** When somebody is not here. */
    @PostMapping("/away")
    ModelAndView away(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields, Model model) {
        leadOnly(user);
        List<FieldProblem> problems = staff.away(
                user,
                fields.getOrDefault("person", ""),
                fields.getOrDefault("awayFrom", ""),
                fields.getOrDefault("awayTo", ""));
        return after(user, problems, fields, model);
    }

    /** They are here after all. */
    @PostMapping("/back")
    ModelAndView back(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String person,
            @RequestParam(defaultValue = "") String from,
            Model model) {
        leadOnly(user);
        staff.backAgain(user, person, from);
        return after(user, List.of(), Map.of(), model);
    }

    private ModelAndView after(SignedIn user, List<FieldProblem> problems, Map<String, String> typed, Model model) {
        return problems.isEmpty() ? new ModelAndView("redirect:/hours") : shown(user, typed, problems, model);
    }

    @PostMapping
    ModelAndView set(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam int weekday,
            @RequestParam(defaultValue = "") String hours,
            Model model) {
        leadOnly(user);
        boolean isOne = weekday >= 1 && weekday <= DayOfWeek.values().length;
        List<FieldProblem> problems = isOne
                ? openings.set(user, DayOfWeek.of(weekday), hours)
                : List.of(FieldProblem.outside("weekday", weekday, 1, DayOfWeek.values().length));
        return problems.isEmpty()
                ? new ModelAndView("redirect:/hours")
                : shown(user, Map.of("hours" + weekday, hours), problems, model);
    }

    @PostMapping("/exceptions")
    ModelAndView except(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String day,
            @RequestParam(defaultValue = "") String hours,
            Model model) {
        leadOnly(user);
        List<FieldProblem> problems = openings.except(user, day, hours);
        return problems.isEmpty()
                ? new ModelAndView("redirect:/hours")
                : shown(user, Map.of("day", day, "hours", hours), problems, model);
    }

    @PostMapping("/bays")
    ModelAndView addBay(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields, Model model) {
        leadOnly(user);
        List<FieldProblem> problems = openings.addBay(user, fields);
        return problems.isEmpty() ? new ModelAndView("redirect:/hours") : shown(user, fields, problems, model);
    }

    private static void leadOnly(SignedIn user) {
        if (!user.isLead()) {
            throw new AccessDeniedException("a lead keeps the hours");
        }
    }
}
