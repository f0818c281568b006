package app.layette.web.api;

import app.layette.core.entry.FieldProblem;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The programs of a point, for a lead; and for everybody what there is to ask. */
@Controller
@RequestMapping("/programs")
class ProgramsController {
    private static final String USUAL_DAYS = "180";

    private final Programs programs;
    private final Description description;
    private final Viewing viewing;

    ProgramsController(Programs programs, Description description, Viewing viewing) {
        this.programs = programs;
        this.description = description;
        this.viewing = viewing;
    }

    /** A program in words. */
    public record Line(UUID id, String name, String may, String until, String asked, boolean over) {}

    /** A scope to choose. */
    public record Choice(String spelled, String says, boolean chosen) {}

    @GetMapping
    ModelAndView page(@AuthenticationPrincipal SignedIn user) {
        return page(user, Map.of(), List.of(), List.of());
    }

    private ModelAndView page(
            SignedIn user, Map<String, String> typed, List<String> scopes, List<FieldProblem> problems) {
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        ModelAndView page = new ModelAndView("api/programs");
        page.addObject(
                "programs",
                user.isLead()
                        ? programs.of(user).stream()
                                .map(each -> new Line(
                                        each.id(),
                                        each.name(),
                                        each.scopes().stream()
                                                .sorted()
                                                .map(Scope::spelled)
                                                .collect(Collectors.joining(", ")),
                                        words.say(each.expiresOn()),
                                        each.lastAsked()
                                                .map(at -> words.moment(at.atZone(point.zone())))
                                                .orElseGet(() -> words.say("programs.never")),
                                        each.revokedAt().isPresent()
                                                || viewing.today(point).isAfter(each.expiresOn())))
                                .toList()
                        : List.of());
        page.addObject("leads", user.isLead());
        page.addObject("asked", description.asked());
        page.addObject(
                "scopes",
                Arrays.stream(Scope.values())
                        .map(each -> new Choice(
                                each.spelled(),
                                words.say("programs.scope." + each.spelled()),
                                scopes.contains(each.spelled())))
                        .toList());
        page.addObject("name", typed.getOrDefault("programName", ""));
        page.addObject("days", typed.getOrDefault("days", USUAL_DAYS));
        page.addObject("aMinute", Programs.A_MINUTE);
        Map<String, String> wrong = new LinkedHashMap<>();
        problems.forEach(problem -> wrong.put(problem.field(), words.say(problem)));
        page.addObject("wrong", wrong);
        if (!problems.isEmpty()) {
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return page;
    }

    @PostMapping
    ModelAndView make(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam Map<String, String> fields,
            @RequestParam(name = "scopes", defaultValue = "") List<String> scopes,
            RedirectAttributes after) {
        Programs.Made made =
                programs.make(user, fields.getOrDefault("programName", ""), scopes, fields.getOrDefault("days", ""));
        if (!made.problems().isEmpty()) {
            return page(user, fields, scopes, made.problems());
        }
        made.token().ifPresent(token -> after.addFlashAttribute("token", token));
        return new ModelAndView("redirect:/programs");
    }

    @PostMapping("/{id}/revoke")
    String revoke(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        if (!programs.revoke(user, id)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return "redirect:/programs";
    }
}
