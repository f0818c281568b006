package app.layette.web.fitting;

import app.layette.core.fitting.FittingState;
import app.layette.core.run.StepKey;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
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

    /** A fitting in the list. */
    public record Row(
            UUID id, String child, String reference, String state, String stateWord, String next, String touched) {}

    private final Fittings fittings;
    private final Viewing viewing;

    TodayController(Fittings fittings, Viewing viewing) {
        this.fittings = fittings;
        this.viewing = viewing;
    }

    @GetMapping("/")
    String today(@AuthenticationPrincipal SignedIn user, @RequestParam(defaultValue = "") String find, Model model) {
        Point point = viewing.point(user);
        Wording words = viewing.wording(user);
        String wanted = find.strip().toLowerCase(Locale.ROOT);
        List<Row> rows = fittings.recent(user).stream()
                .map(row -> row(row, point, words))
                .filter(row -> (row.child() + " " + row.reference())
                        .toLowerCase(Locale.ROOT)
                        .contains(wanted))
                .toList();
        model.addAttribute("point", point.name());
        model.addAttribute("day", words.say(viewing.today(point)));
        model.addAttribute("rows", rows);
        model.addAttribute("find", find);
        return "fitting/today";
    }

    private static Row row(FittingRow row, Point point, Wording words) {
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
                CLOCK.format(row.touchedAt().atZone(point.zone())));
    }
}
