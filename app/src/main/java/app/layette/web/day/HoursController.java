package app.layette.web.day;

import app.layette.core.day.OpenHours;
import app.layette.core.entry.FieldProblem;
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
    private final Viewing viewing;

    HoursController(Openings openings, Viewing viewing) {
        this.openings = openings;
        this.viewing = viewing;
    }

    /** A day of the week. */
    public record Day(int number, String name, String hours) {}

    /** A day that is otherwise. */
    public record Otherwise(String day, String hours) {}

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
        model.addAttribute("typed", typed);
        model.addAttribute("lead", user.isLead());
        model.addAttribute("problems", problems.stream().map(words::say).toList());
        return new ModelAndView(
                "day/hours", model.asMap(), problems.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
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
