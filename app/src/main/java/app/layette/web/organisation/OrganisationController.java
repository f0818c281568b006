package app.layette.web.organisation;

import app.layette.core.entry.FieldProblem;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.shell.Address;
import app.layette.web.shell.Csv;
import jakarta.servlet.http.HttpServletRequest;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** All points in numbers, and what only the organisation does. */
@Controller
@RequestMapping("/points")
class OrganisationController {
    private static final int YEARS_OFFERED = 4;
    private static final int BAR = 240;

    private final Organisation organisation;
    private final Viewing viewing;
    private final Address address;

    OrganisationController(Organisation organisation, Viewing viewing, Address address) {
        this.organisation = organisation;
        this.viewing = viewing;
        this.address = address;
    }

    /** A point drawn: handed over first, then whatever else ended. */
    public record Line(Organisation.Counts counts, int handedOver, int rest) {}

    @GetMapping
    ModelAndView page(@AuthenticationPrincipal SignedIn user, @RequestParam(defaultValue = "") String year) {
        return page(user, year, Map.of(), List.of());
    }

    private ModelAndView page(SignedIn user, String year, Map<String, String> typed, List<FieldProblem> problems) {
        Wording words = viewing.wording(user);
        int now = viewing.today(viewing.point(user)).getYear();
        int of = year(year, now);
        List<Organisation.Counts> points = organisation.points(user, of);
        int most = points.stream().mapToInt(Organisation.Counts::ended).max().orElse(0);
        ModelAndView page = new ModelAndView("organisation/points");
        page.addObject(
                "lines",
                points.stream()
                        .map(each -> new Line(
                                each,
                                each.handedOver() * BAR / Math.max(1, most),
                                (each.ended() - each.handedOver()) * BAR / Math.max(1, most)))
                        .toList());
        page.addObject("barWidth", BAR);
        page.addObject("year", of);
        page.addObject(
                "years",
                IntStream.range(0, YEARS_OFFERED)
                        .map(each -> now - each)
                        .boxed()
                        .toList());
        page.addObject("leads", organisation.leads(user));
        page.addObject("typed", typed);
        Map<String, String> wrong = new LinkedHashMap<>();
        problems.forEach(problem -> wrong.put(problem.field(), words.say(problem)));
        page.addObject("wrong", wrong);
        page.addObject(
                "zones",
                ZoneId.getAvailableZoneIds().stream()
                        .filter(each -> each.contains("/"))
                        .sorted()
                        .toList());
        page.addObject("own", user.getUsername());
        if (!problems.isEmpty()) {
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return page;
    }

    private static int year(String text, int now) {
        return text.matches("\\d{4}") && Integer.parseInt(text) <= now && Integer.parseInt(text) > now - YEARS_OFFERED
                ? Integer.parseInt(text)
                : now;
    }

    @GetMapping(path = "/counts.csv", produces = "text/csv")
    ResponseEntity<String> table(@AuthenticationPrincipal SignedIn user, @RequestParam(defaultValue = "") String year) {
        Wording words = viewing.wording(user);
        int of = year(year, viewing.today(viewing.point(user)).getYear());
        List<String> head = List.of(
                words.say("points.point"),
                words.say("field.zone"),
                words.say("points.people"),
                words.say("points.open"),
                words.say("ledger.HANDED_OVER"),
                words.say("ledger.LEFT_WITH_OPEN_FINDINGS"),
                words.say("ledger.TAUGHT"),
                words.say("ledger.NOT_FITTED"),
                words.say("points.overdue"),
                words.say("points.lent"));
        List<List<String>> rows = organisation.points(user, of).stream()
                .map(each -> List.of(
                        each.name(),
                        each.zone(),
                        String.valueOf(each.people()),
                        String.valueOf(each.open()),
                        String.valueOf(each.handedOver()),
                        String.valueOf(each.leftOpen()),
                        String.valueOf(each.taught()),
                        String.valueOf(each.notFitted()),
                        String.valueOf(each.overdue()),
                        String.valueOf(each.lent())))
                .toList();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"points-" + of + ".csv\"")
                .body(Csv.of(head, rows));
    }

    @PostMapping
    ModelAndView open(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam Map<String, String> fields,
            HttpServletRequest request,
            RedirectAttributes after) {
        Organisation.Opened opened = organisation.open(user, fields);
        if (!opened.problems().isEmpty()) {
            return page(user, "", fields, opened.problems());
        }
        opened.link().ifPresent(link -> after.addFlashAttribute("link", address.of(link, request)));
        return new ModelAndView("redirect:/points");
    }

    @PostMapping("/leads")
    ModelAndView answers(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String lead,
            @RequestParam(defaultValue = "false") boolean organisation) {
        List<FieldProblem> problems = this.organisation.answers(user, lead, organisation);
        return problems.isEmpty() ? new ModelAndView("redirect:/points") : page(user, "", Map.of(), problems);
    }
}
