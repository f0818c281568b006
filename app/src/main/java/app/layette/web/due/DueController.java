package app.layette.web.due;

import app.layette.core.evidence.Complete;
import app.layette.core.finding.Argument;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import app.layette.web.shelf.Shelf;
import app.layette.web.shell.Address;
import app.layette.web.shell.Page;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What comes due for all families, overdue first, and what was done about it. */
@Controller
class DueController {
    private static final int MOST_SHOWN = 60;
    /** What lies farther ahead than this is found when the nearer things are done. */
    private static final int MOST_READ = 5000;

    private static final int MOST_NOTES = 3;
    private static final int LONGEST_NOTE = 400;

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

    private static final String BY_FAMILY = "family";

    /** A line of the list; the one that is chosen has the form to put it off or to say what was said. */
    @Complete
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
            List<String> notes,
            String key,
            boolean chosen) {}

    private final DueItems items;
    private final CalendarFeeds feeds;
    private final Fittings fittings;
    private final Viewing viewing;
    private final Address address;
    private final Mail mail;
    private final Shelf shelf;
    private final TransactionTemplate transactions;

    DueController(
            DueItems items,
            CalendarFeeds feeds,
            Fittings fittings,
            Viewing viewing,
            Address address,
            Mail mail,
            Shelf shelf,
            TransactionTemplate transactions) {
        this.shelf = shelf;
        this.address = address;
        this.mail = mail;
        this.items = items;
        this.feeds = feeds;
        this.fittings = fittings;
        this.viewing = viewing;
        this.transactions = transactions;
    }

    @GetMapping("/due")
    String due(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "QUARTER") Ahead ahead,
            @RequestParam(defaultValue = "") String about,
            @RequestParam(defaultValue = "1") int page,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String family,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String person,
            HttpServletRequest request,
            Model model) {
        Point point = viewing.point(user);
        LocalDate today = viewing.today(point);
        Wording words = viewing.wording(user);
        LocalDate until = today.plusDays(ahead.days);
        boolean together = by.equals(BY_FAMILY);
        DueItems.Asked asked = new DueItems.Asked(what, person, family.strip().toLowerCase(Locale.ROOT), together);
        List<DueItems.Count> counts = items.counts(point.id(), today, until);
        model.addAttribute("together", together);
        model.addAttribute("kinds", kinds(counts, what, words));
        model.addAttribute("what", what);
        model.addAttribute("people", people(counts, person));
        model.addAttribute("person", person);
        model.addAttribute("family", family.strip());
        Page<DueItems.Item> shown = Page.of(
                asked.family().isEmpty()
                        ? counts.stream()
                                .filter(each -> what.isEmpty() || each.what().equals(what))
                                .filter(each ->
                                        person.isEmpty() || each.person().equals(person))
                                .mapToInt(DueItems.Count::count)
                                .sum()
                        : items.count(point.id(), today, until, asked),
                page,
                MOST_SHOWN,
                from -> items.open(point.id(), today, until, asked, MOST_SHOWN, from));
        List<DueItems.Item> open = shown.items();
        List<DueItems.Mark> marks = items.marks(
                user.pointId(),
                open.stream().map(DueItems.Item::fittingId).distinct().toList());
        List<Line> lines = open.stream()
                .map(item -> line(item, about, marks, today, words))
                .toList();
        model.addAttribute("day", words.say(today));
        model.addAttribute("today", today);
        model.addAttribute("ahead", ahead);
        model.addAttribute("lines", lines);
        model.addAttribute("pictures", pictures(open, point.id()));
        model.addAttribute("chosen", lines.stream().anyMatch(Line::chosen));
        model.addAttribute("page", shown);
        model.addAttribute("mail", mail.way().name());
        model.addAttribute(
                "feed",
                address.of(
                        "/calendar/" + feeds.of(user.userId(), viewing.clock().instant()) + ".ics", request));
        return "due/due";
    }

    /** A kind of thing that comes due, and how many of it there are. */
    public record Kind(String what, String says, long count, boolean chosen) {}

    private static List<Kind> kinds(List<DueItems.Count> all, String chosen, Wording words) {
        Map<String, Integer> counted = all.stream()
                .collect(Collectors.groupingBy(
                        DueItems.Count::what, TreeMap::new, Collectors.summingInt(DueItems.Count::count)));
        return counted.entrySet().stream()
                .map(each -> new Kind(
                        each.getKey(),
                        words.say(each.getKey()),
                        each.getValue(),
                        each.getKey().equals(chosen)))
                .sorted(Comparator.comparing(Kind::says))
                .toList();
    }

    /** Somebody who has things to see to, and how many. */
    public record Seeing(String person, long count, boolean chosen) {}

    private static List<Seeing> people(List<DueItems.Count> all, String chosen) {
        return all.stream()
                .filter(each -> !each.person().isEmpty())
                .collect(Collectors.groupingBy(
                        DueItems.Count::person, TreeMap::new, Collectors.summingInt(DueItems.Count::count)))
                .entrySet()
                .stream()
                .map(each ->
                        new Seeing(each.getKey(), each.getValue(), each.getKey().equals(chosen)))
                .toList();
    }

    /** The seat of each family, drawn; a seat that is on no shelf has no drawing. */
    private Map<UUID, String> pictures(List<DueItems.Item> open, UUID point) {
        Map<UUID, String> pictures = new HashMap<>();
        Map<String, String> drawn = new HashMap<>();
        items.seats(
                        point,
                        open.stream().map(DueItems.Item::fittingId).distinct().toList())
                .forEach((fitting, seat) -> pictures.put(
                        fitting,
                        drawn.computeIfAbsent(
                                seat,
                                id -> shelf.newestSeat(point, id)
                                        .map(sheet -> shelf.pictures().seat(point, sheet))
                                        .orElse(""))));
        return pictures;
    }

    private static Line line(
            DueItems.Item item, String about, List<DueItems.Mark> marks, LocalDate today, Wording words) {
        String key = key(item.fittingId(), item.what(), item.likely());
        boolean overdue = item.likely().isBefore(today);
        boolean now = !item.earliest().isAfter(today);
        String standing = overdue ? "overdue" : now ? "now" : "ahead";
        // What was said about it stays in sight when a new weight moves its day.
        List<String> notes = marks.stream()
                .filter(mark ->
                        mark.fittingId().equals(item.fittingId()) && mark.what().equals(item.what()))
                .limit(MOST_NOTES)
                .map(mark -> note(mark, words))
                .toList();
        return DueControllerLineParts.builder()
                .fitting(item.fittingId())
                .child(item.child())
                .reference(item.reference())
                .what(item.what())
                .whatSays(words.say(item.what()))
                .when(DueWords.when(item, words))
                .likely(item.likely().toString())
                .standing(standing)
                .standingSays(words.say("due." + standing))
                .notes(notes)
                .key(key)
                .chosen(key.equals(about))
                .build();
    }

    private static String key(UUID fitting, String what, LocalDate dueOn) {
        return fitting + "." + what + "." + dueOn;
    }

    private static String note(DueItems.Mark mark, Wording words) {
        String kind = words.say("due.mark." + mark.kind());
        String until = mark.until() == null ? "" : " " + words.say(mark.until());
        String said = mark.note().isBlank() ? "" : ": " + mark.note();
        return kind + until + said + " (" + mark.byUser() + ", " + words.say(mark.day()) + ")";
    }

    @PostMapping("/due/{fitting}/marks")
    String mark(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID fitting,
            @RequestParam UUID id,
            @RequestParam String what,
            @RequestParam LocalDate dueOn,
            @RequestParam DueItems.Mark.Kind kind,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "QUARTER") Ahead ahead,
            RedirectAttributes after) {
        fittings.planned(fitting, user.pointId());
        Wording words = viewing.wording(user);
        LocalDate today = viewing.today(viewing.point(user));
        List<String> problems = new ArrayList<>();
        boolean putOff = kind == DueItems.Mark.Kind.SNOOZED;
        Optional<LocalDate> day = putOff ? later(until, today, words, problems) : Optional.empty();
        if (kind != DueItems.Mark.Kind.DONE && note.isBlank()) {
            problems.add(words.say("due.refused.note"));
        }
        if (note.length() > LONGEST_NOTE) {
            problems.add(words.say("due.refused.long", Map.of("length", Argument.of(note.length()))));
        }
        if (items.find(user.pointId(), fitting, what, dueOn).isEmpty()) {
            problems.add(words.say("due.refused.gone"));
        }
        if (problems.isEmpty()) {
            DueItems.Mark mark = new DueItems.Mark(
                    fitting,
                    what,
                    dueOn,
                    kind,
                    day.orElse(null),
                    note.strip(),
                    user.author().id(),
                    today);
            transactions.executeWithoutResult(status -> {
                items.mark(user.pointId(), id, mark, viewing.clock().instant());
                // What comes again has its next day now; planned under the fitting's lock, lest an entry be overlooked.
                fittings.refresh(user.pointId(), fitting);
            });
        } else {
            after.addFlashAttribute("refused", problems);
            after.addFlashAttribute("typedNote", note);
            after.addFlashAttribute("typedUntil", until);
            return "redirect:/due?ahead=" + ahead + "&about=" + key(fitting, what, dueOn) + "#about";
        }
        return "redirect:/due?ahead=" + ahead;
    }

    /** Several lines are done at once; one that is gone meanwhile is left out and said. */
    @PostMapping("/due/done")
    String done(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(name = "line", defaultValue = "") List<String> lines,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "QUARTER") Ahead ahead,
            RedirectAttributes after) {
        Wording words = viewing.wording(user);
        LocalDate today = viewing.today(viewing.point(user));
        List<DueItems.Item> chosen = chosen(user, lines);
        if (chosen.size() < lines.size() || lines.isEmpty()) {
            after.addFlashAttribute(
                    "refused", List.of(words.say(lines.isEmpty() ? "due.refused.none" : "due.refused.gone")));
        }
        transactions.executeWithoutResult(status -> chosen.forEach(item -> {
            String name = id + item.fittingId().toString() + item.what();
            items.mark(
                    user.pointId(),
                    UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)),
                    new DueItems.Mark(
                            item.fittingId(),
                            item.what(),
                            item.likely(),
                            DueItems.Mark.Kind.DONE,
                            null,
                            "",
                            user.author().id(),
                            today),
                    viewing.clock().instant());
            fittings.refresh(user.pointId(), item.fittingId());
        }));
        return "redirect:/due?ahead=" + ahead;
    }

    /** Several things of one family are written about in one letter. */
    @PostMapping("/due/letters")
    String letters(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(name = "line", defaultValue = "") List<String> lines,
            @RequestParam(defaultValue = "QUARTER") Ahead ahead,
            RedirectAttributes after) {
        Wording words = viewing.wording(user);
        List<DueItems.Item> chosen = chosen(user, lines);
        long families = chosen.stream().map(DueItems.Item::fittingId).distinct().count();
        if (chosen.isEmpty() || chosen.size() < lines.size() || families > 1) {
            String why =
                    lines.isEmpty() ? "due.refused.none" : families > 1 ? "due.refused.families" : "due.refused.gone";
            after.addFlashAttribute("refused", List.of(words.say(why)));
            return "redirect:/due?ahead=" + ahead;
        }
        DueItems.Item first = chosen.get(0);
        after.addAttribute("what", first.what());
        after.addAttribute("dueOn", first.likely());
        after.addAttribute(
                "also", chosen.stream().skip(1).map(LetterController::also).collect(Collectors.joining(",")));
        return "redirect:/due/" + first.fittingId() + "/letter";
    }

    private List<DueItems.Item> chosen(SignedIn user, List<String> lines) {
        LocalDate today = viewing.today(viewing.point(user));
        Map<String, DueItems.Item> open = new HashMap<>();
        items.open(user.pointId(), today, today.plusDays(Ahead.ALL.days), MOST_READ)
                .forEach(item -> open.put(key(item.fittingId(), item.what(), item.likely()), item));
        return lines.stream().map(open::get).filter(Objects::nonNull).toList();
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
}
