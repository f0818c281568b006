package app.layette.web.fitting;

import app.layette.core.fitting.FittingState;
import app.layette.core.run.StepKey;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Today: the fittings at hand and how they stand. */
@Controller
class TodayController {
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private static final int MONTHS_WITH_HOURS = 3;

    /** A fitting in the list. */
    public record Row(
            UUID id, String child, String reference, String state, String stateWord, String next, String touched) {}

    private final Fittings fittings;
    private final List<TodayNotice> notices;
    private final Viewing viewing;

    TodayController(Fittings fittings, List<TodayNotice> notices, Viewing viewing) {
        this.fittings = fittings;
        this.notices = notices;
        this.viewing = viewing;
    }

    @GetMapping("/")
    String today(@AuthenticationPrincipal SignedIn user, @RequestParam(defaultValue = "") String find, Model model) {
        Point point = viewing.point(user);
        Wording words = viewing.wording(user);
        List<FittingRow> found = find.isBlank() ? fittings.recent(user) : fittings.find(user, find.strip());
        List<Row> rows = found.stream().map(row -> row(row, point, words)).toList();
        model.addAttribute(
                "notices",
                notices.stream().flatMap(each -> each.today(user).stream()).toList());
        model.addAttribute("point", point.name());
        model.addAttribute("day", words.say(viewing.today(point)));
        model.addAttribute("rows", rows);
        model.addAttribute("find", find);
        return "fitting/today";
    }

    private Row row(FittingRow row, Point point, Wording words) {
        FittingRow.Overview overview = row.overview();
        boolean open = overview.state() == FittingState.OPEN;
        boolean ready = open && overview.blocking() == 0;
        String next = !open
                ? ""
                : ready
                        ? words.say("head.ready")
                        : overview.nextStep() == null ? "" : words.say("step." + StepKey.valueOf(overview.nextStep()));
        return new Row(
                row.id(),
                row.family().childName(),
                row.family().reference(),
                ready ? "ready" : overview.state().name().toLowerCase(Locale.ROOT),
                words.say(ready ? "head.ready" : "state." + overview.state()),
                next,
                touched(row.touchedAt().atZone(point.zone()), viewing.today(point)));
    }

    /** What is long over needs its year, not its hour. */
    private static String touched(ZonedDateTime at, LocalDate today) {
        boolean recent = at.toLocalDate().isAfter(today.minusMonths(MONTHS_WITH_HOURS));
        return (recent ? CLOCK : DAY).format(at);
    }
}
