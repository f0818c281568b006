package app.layette.web.workbench;

import app.layette.core.fitting.FittingState;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.FittingLists;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Today: the fittings at hand and how they stand. */
@Controller
class TodayController {
    private static final int MONTHS_WITH_HOURS = 3;
    private static final String DAY = "\\d{4}-\\d{2}-\\d{2}";

    /**
     * A fitting in the list.
     *
     * @param car where the same child stands there in several; else empty
     */
    public record Row(
            UUID id,
            String child,
            String car,
            String reference,
            String state,
            String stateWord,
            String next,
            String touched) {}

    private final FittingLists lists;
    private final List<TodayNotice> notices;
    private final TodayPlan plan;
    private final Viewing viewing;

    TodayController(FittingLists lists, List<TodayNotice> notices, TodayPlan plan, Viewing viewing) {
        this.plan = plan;
        this.lists = lists;
        this.notices = notices;
        this.viewing = viewing;
    }

    @GetMapping("/")
    String today(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "") String day,
            Model model) {
        Point point = viewing.point(user);
        Wording words = viewing.wording(user);
        boolean isFound = !find.isBlank();
        List<FittingLists.Listed> listed = isFound ? lists.find(user, find.strip()) : lists.recent(user);
        Map<List<String>, Long> often =
                listed.stream().collect(Collectors.groupingBy(TodayController::who, Collectors.counting()));
        model.addAttribute(
                "rows",
                listed.stream()
                        .map(each -> row(each, often.getOrDefault(who(each), 0L) > 1, point, words))
                        .toList());
        model.addAttribute("point", point.name());
        model.addAttribute("find", find);
        if (!isFound) {
            day(user, point, day, model);
        }
        return "workbench/today";
    }

    /** The day's own part of the page; what was looked for needs none of it. */
    private void day(SignedIn user, Point point, String day, Model model) {
        LocalDate today = viewing.today(point);
        LocalDate on = day.matches(DAY) ? dayOr(day, today) : today;
        model.addAttribute("board", plan.on(user, on));
        model.addAttribute("isToday", on.equals(today));
        model.addAttribute(
                "notices",
                notices.stream().flatMap(each -> each.today(user).stream()).toList());
    }

    private static LocalDate dayOr(String day, LocalDate today) {
        try {
            return LocalDate.parse(day);
        } catch (DateTimeParseException e) {
            return today;
        }
    }

    private static List<String> who(FittingLists.Listed fitting) {
        return List.of(fitting.reference(), fitting.child());
    }

    private Row row(FittingLists.Listed fitting, boolean inSeveral, Point point, Wording words) {
        boolean open = fitting.state().isUnderWay();
        boolean ready = fitting.state() == FittingState.OPEN && fitting.blocking() == 0;
        String next = !open
                ? ""
                : ready
                        ? words.say("head.ready")
                        : fitting.nextStep() == null ? "" : words.say("step." + fitting.nextStep());
        return new Row(
                fitting.id(),
                fitting.child(),
                !inSeveral ? "" : fitting.car() == null ? words.say("head.noCar") : fitting.car(),
                fitting.reference(),
                ready ? "ready" : fitting.state().name().toLowerCase(Locale.ROOT),
                words.say(ready ? "head.ready" : "state." + fitting.state()),
                next,
                touched(fitting.touchedAt().atZone(point.zone()), viewing.today(point), words));
    }

    /** What is long over needs its year, not its hour. */
    private static String touched(ZonedDateTime at, LocalDate today, Wording words) {
        boolean recent = at.toLocalDate().isAfter(today.minusMonths(MONTHS_WITH_HOURS));
        return recent ? words.recent(at) : words.say(at.toLocalDate());
    }
}
