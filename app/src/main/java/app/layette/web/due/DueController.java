package app.layette.web.due;

import app.layette.core.finding.Argument;
import app.layette.formats.calendar.FollowUps;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import jakarta.servlet.http.HttpServletRequest;
import java.security.SecureRandom;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** What comes due, overdue first; what was done about it; calendars and letters. */
@Controller
class DueController {
    private static final int MOST_SHOWN = 300;
    private static final int MOST_IN_FEED = 2000;
    private static final int TOKEN_BYTES = 32;
    private static final int DAYS_IN_FEED = 400;
    private static final int LONGEST_NOTE = 400;
    private static final String CALENDAR = "text/calendar;charset=UTF-8";

    /** How far ahead is looked. */
    enum Ahead {
        MONTH(31),
        QUARTER(92),
        ALL(4000);

        private final int days;

        Ahead(int days) {
            this.days = days;
        }
    }

    /** A line of the list. */
    public record Line(
            UUID fitting,
            String child,
            String reference,
            String what,
            String whatSays,
            String when,
            String likely,
            String standing,
            String standingSays,
            List<String> notes) {}

    private final DueItems items;
    private final Fittings fittings;
    private final Mail mail;
    private final Viewing viewing;
    private final SecureRandom random = new SecureRandom();

    DueController(DueItems items, Fittings fittings, Mail mail, Viewing viewing) {
        this.items = items;
        this.fittings = fittings;
        this.mail = mail;
        this.viewing = viewing;
    }

    @GetMapping("/due")
    String due(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "QUARTER") Ahead ahead,
            HttpServletRequest request,
            Model model) {
        Point point = viewing.point(user);
        LocalDate today = viewing.today(point);
        Wording words = viewing.wording(user);
        List<DueItems.Mark> marks = items.marks(point.id());
        List<Line> lines = items.open(point.id(), today, today.plusDays(ahead.days), MOST_SHOWN).stream()
                .map(item -> line(item, marks, today, words))
                .toList();
        byte[] token = new byte[TOKEN_BYTES];
        random.nextBytes(token);
        String feed = items.feed(
                user.userId(),
                Base64.getUrlEncoder().withoutPadding().encodeToString(token),
                viewing.clock().instant());
        model.addAttribute("day", words.say(today));
        model.addAttribute("today", today);
        model.addAttribute("ahead", ahead);
        model.addAttribute("lines", lines);
        model.addAttribute("most", MOST_SHOWN);
        model.addAttribute(
                "feed",
                ServletUriComponentsBuilder.fromContextPath(request)
                        .path("/calendar/" + feed + ".ics")
                        .toUriString());
        return "due/due";
    }

    private static Line line(DueItems.Item item, List<DueItems.Mark> marks, LocalDate today, Wording words) {
        boolean overdue = item.likely().isBefore(today);
        boolean now = !item.earliest().isAfter(today);
        String standing = overdue ? "overdue" : now ? "now" : "ahead";
        List<String> notes = marks.stream()
                .filter(mark -> mark.fittingId().equals(item.fittingId())
                        && mark.what().equals(item.what())
                        && mark.dueOn().equals(item.likely()))
                .map(mark -> note(mark, words))
                .toList();
        return new Line(
                item.fittingId(),
                item.child(),
                item.reference(),
                item.what(),
                words.say(item.what()),
                when(item, words),
                item.likely().toString(),
                standing,
                words.say("due." + standing),
                notes);
    }

    private static String when(DueItems.Item item, Wording words) {
        if (item.earliest().equals(item.likely()) && item.likely().equals(item.latest())) {
            return words.say(item.likely());
        }
        Argument on = Argument.of(item.likely());
        Argument earliest = Argument.of(item.earliest());
        return item.latest() == null
                ? words.say("date.from", Map.of("on", on, "earliest", earliest))
                : words.say(
                        "date.between", Map.of("on", on, "earliest", earliest, "latest", Argument.of(item.latest())));
    }

    private static String note(DueItems.Mark mark, Wording words) {
        String kind = words.say("due.mark." + mark.kind());
        String until = mark.until() == null ? "" : " " + words.say(mark.until());
        return kind + until + (mark.note().isBlank() ? "" : ": " + mark.note()) + " (" + mark.byUser() + ")";
    }

    @PostMapping("/due/{fitting}/marks")
    String mark(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID fitting,
            @RequestParam UUID id,
            @RequestParam String what,
            @RequestParam LocalDate dueOn,
            @RequestParam String kind,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "QUARTER") Ahead ahead,
            RedirectAttributes after) {
        fittings.planned(fitting, user.pointId());
        Wording words = viewing.wording(user);
        LocalDate today = viewing.today(viewing.point(user));
        List<String> problems = new ArrayList<>();
        Optional<LocalDate> day = kind.equals("SNOOZED") ? later(until, today, words, problems) : Optional.empty();
        boolean needsReason = kind.equals("SNOOZED") || kind.equals("CONTACT");
        if (needsReason && note.isBlank()) {
            problems.add(words.say("due.refused.note"));
        }
        if (note.length() > LONGEST_NOTE) {
            problems.add(words.say("due.refused.long", Map.of("length", Argument.of(note.length()))));
        }
        boolean known = List.of("DONE", "SNOOZED", "CONTACT").contains(kind) && items.exists(fitting, what, dueOn);
        if (!known) {
            problems.add(words.say("due.refused.gone"));
        }
        if (problems.isEmpty()) {
            items.mark(
                    id,
                    new DueItems.Mark(
                            fitting,
                            what,
                            dueOn,
                            kind,
                            day.orElse(null),
                            note.strip(),
                            user.author().id()),
                    viewing.clock().instant());
        } else {
            after.addFlashAttribute("refused", problems);
            after.addFlashAttribute("typedFor", fitting + what);
            after.addFlashAttribute("typedNote", note);
            after.addFlashAttribute("typedUntil", until);
        }
        return "redirect:/due?ahead=" + ahead;
    }

    private static Optional<LocalDate> later(String text, LocalDate today, Wording words, List<String> problems) {
        LocalDate last = today.plusYears(1);
        try {
            LocalDate day = LocalDate.parse(text.strip());
            if (day.isAfter(today) && !day.isAfter(last)) {
                return Optional.of(day);
            }
        } catch (DateTimeException e) {
            // Said below, like a day out of range.
        }
        problems.add(words.say(
                "due.refused.until",
                Map.of(
                        "value", Argument.of(text),
                        "lowest", Argument.of(today.plusDays(1).toString()),
                        "highest", Argument.of(last.toString()))));
        return Optional.empty();
    }

    /** Writes to a family about one thing that comes due. */
    @PostMapping("/due/{fitting}/letters")
    String write(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID fitting,
            @RequestParam UUID id,
            @RequestParam String what,
            @RequestParam LocalDate dueOn,
            @RequestParam(defaultValue = "QUARTER") Ahead ahead) {
        Fittings.Planned planned = fittings.planned(fitting, user.pointId());
        Wording words = viewing.wording(user);
        items.of(fitting).stream()
                .filter(item -> item.what().equals(what) && item.likely().equals(dueOn))
                .findFirst()
                .ifPresent(item -> {
                    mail.send(
                            user.pointId(),
                            new Mail.Letter(
                                    planned.reference(),
                                    words.say("letter.subject", Map.of("child", Argument.of(planned.childName()))),
                                    words.say(
                                            "letter.body",
                                            Map.of(
                                                    "child", Argument.of(planned.childName()),
                                                    "what", new Argument.OfKey(what),
                                                    "when", Argument.of(when(item, words)),
                                                    "point",
                                                            Argument.of(viewing.point(user)
                                                                    .name())))));
                    items.mark(
                            id,
                            new DueItems.Mark(
                                    fitting,
                                    what,
                                    dueOn,
                                    "CONTACT",
                                    null,
                                    words.say("due.letterSent"),
                                    user.author().id()),
                            viewing.clock().instant());
                });
        return "redirect:/due?ahead=" + ahead;
    }

    /** The follow-ups of one family as a file. */
    @GetMapping("/fittings/{id}/calendar.ics")
    ResponseEntity<String> family(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        Fittings.Planned planned = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        return calendar(items.of(id), planned.plan().situation().lastSeq(), words);
    }

    /** A technician's private feed: no names in it, since calendars are shared more than one thinks. */
    @GetMapping("/calendar/{token}.ics")
    ResponseEntity<String> feed(@PathVariable String token) {
        Optional<UUID> point = items.pointOfFeed(token);
        if (point.isEmpty()) {
            return ResponseEntity.notFound().build();
        }
        Wording words = new Wording(Locale.ENGLISH, Wording.DEFAULT_UNITS);
        LocalDate today = viewing.today(viewing.point(point.get()));
        return calendar(items.open(point.get(), today, today.plusDays(DAYS_IN_FEED), MOST_IN_FEED), 0, words);
    }

    /** Stable while the days move: what it is, and which of several of a kind. */
    private static String id(DueItems.Item item, Map<String, Integer> seen) {
        String id = item.fittingId() + "." + item.what();
        int which = seen.merge(id, 1, Integer::sum);
        return which == 1 ? id : id + "." + which;
    }

    private ResponseEntity<String> calendar(List<DueItems.Item> due, int revision, Wording words) {
        Map<String, Integer> seen = new HashMap<>();
        List<FollowUps.FollowUp> followUps = due.stream()
                .map(item -> new FollowUps.FollowUp(
                        id(item, seen),
                        item.earliest(),
                        words.say(
                                "due.calendar",
                                Map.of(
                                        "reference",
                                        Argument.of(item.reference()),
                                        "what",
                                        new Argument.OfKey(item.what()))),
                        when(item, words),
                        revision))
                .toList();
        return ResponseEntity.ok()
                .header("Content-Type", CALENDAR)
                .body(FollowUps.of(followUps, viewing.clock().instant()));
    }
}
