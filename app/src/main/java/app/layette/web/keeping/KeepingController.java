package app.layette.web.keeping;

import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlanner;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.due.Mail;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** How it stands with what is kept: the database, the disk, the last backup, the seals. For a lead. */
@Controller
@RequestMapping("/keeping")
class KeepingController {
    private static final Duration BACKUP_AGES = Duration.ofDays(2);
    private static final Duration CHECK_AGES = Duration.ofDays(2);
    private static final long LITTLE_SPACE = 2L * 1024 * 1024 * 1024;
    private static final int MANY_WAITING = 1000;
    private static final long BYTES_A_MB = 1024 * 1024;

    private final Keeping keeping;
    private final Mail mail;
    private final Viewing viewing;
    private final Clock clock;

    KeepingController(Keeping keeping, Mail mail, Viewing viewing, Clock clock) {
        this.mail = mail;
        this.keeping = keeping;
        this.viewing = viewing;
        this.clock = clock;
    }

    /** A thing that is looked after. */
    public record Line(String mark, String judged, String name, String says) {}

    @GetMapping
    String page(@AuthenticationPrincipal SignedIn user, Model model) {
        leadOnly(user);
        Wording words = viewing.wording(user);
        ZoneId zone = viewing.point(user).zone();
        List<Line> lines = new ArrayList<>();
        lines.add(line(true, "database", words.say("keeping.megabytes", amount(keeping.databaseBytes())), words));
        long free = Keeping.freeBytes();
        lines.add(line(free > LITTLE_SPACE, "disk", words.say("keeping.free", amount(free)), words));
        Optional<Keeping.LastBackup> backup = keeping.lastBackup();
        lines.add(line(
                backup.filter(each -> isYoung(each.at(), BACKUP_AGES)).isPresent(),
                "backup",
                backup.map(each -> words.say(
                                "keeping.backedUp",
                                Map.of(
                                        "when",
                                                Argument.of(
                                                        words.moment(each.at().atZone(zone))),
                                        "amount", Argument.of((int) (each.bytes() / BYTES_A_MB) + 1))))
                        .orElseGet(() -> words.say("keeping.never")),
                words));
        Optional<Keeping.LastCheck> check = keeping.lastCheck(user.pointId());
        lines.add(line(
                check.filter(each -> each.broken() == 0 && isYoung(each.at(), CHECK_AGES))
                        .isPresent(),
                "seals",
                check.map(each -> words.say(
                                "keeping.checked",
                                Map.of(
                                        "when",
                                                Argument.of(
                                                        words.moment(each.at().atZone(zone))),
                                        "seals", Argument.of(each.seals()),
                                        "broken", Argument.of(each.broken()))))
                        .orElseGet(() -> words.say("keeping.never")),
                words));
        lines.add(line(mail.way() != Mail.Way.NONE, "mail", words.say("keeping.mail." + mail.way()), words));
        Optional<Instant> heard = keeping.recallsHeard();
        lines.add(line(
                heard.filter(each -> isYoung(each, CHECK_AGES)).isPresent(),
                "recalls",
                heard.map(each -> words.say(
                                "keeping.recallsHeard", Map.of("when", Argument.of(words.moment(each.atZone(zone))))))
                        .orElseGet(() -> words.say("keeping.never")),
                words));
        int waiting = keeping.waiting(user.pointId());
        lines.add(line(
                waiting < MANY_WAITING,
                "waiting",
                words.say("keeping.waitingCount", Map.of("count", Argument.of(waiting))),
                words));
        lines.add(line(
                true,
                "edition",
                words.say("keeping.rules", Map.of("edition", Argument.of(FittingPlanner.ENGINE_VERSION))),
                words));
        model.addAttribute("lines", lines);
        return "keeping/keeping";
    }

    private static Map<String, Argument> amount(long bytes) {
        return Map.of("amount", Argument.of((int) Math.min(Integer.MAX_VALUE, bytes / BYTES_A_MB)));
    }

    private boolean isYoung(Instant at, Duration age) {
        return at.isAfter(clock.instant().minus(age));
    }

    private static Line line(boolean good, String what, String says, Wording words) {
        return new Line(
                good ? "holds" : "fix",
                words.say(good ? "keeping.good" : "keeping.look"),
                words.say("keeping." + what),
                says);
    }

    /** Every seal is looked at now. */
    @PostMapping("/seals")
    String seals(@AuthenticationPrincipal SignedIn user) {
        leadOnly(user);
        keeping.checkSeals(user.pointId());
        return "redirect:/keeping";
    }

    private static void leadOnly(SignedIn user) {
        if (!user.isLead()) {
            throw new AccessDeniedException("a lead answers for what is kept");
        }
    }
}
