package app.layette.web.keeping;

import app.layette.core.entry.FieldProblem;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** How long who a family was is kept: tried, then put in force, by a lead. */
@Controller
@RequestMapping("/keeping/how-long")
class RetentionController {
    private final Retention retention;
    private final Viewing viewing;

    RetentionController(Retention retention, Viewing viewing) {
        this.retention = retention;
        this.viewing = viewing;
    }

    /** A family that would be forgotten. */
    public record Line(String reference, String last) {}

    @GetMapping
    ModelAndView page(@AuthenticationPrincipal SignedIn user, @RequestParam(defaultValue = "") String months) {
        leadOnly(user);
        return page(user, months, List.of());
    }

    private ModelAndView page(SignedIn user, String months, List<String> problems) {
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        ModelAndView page = new ModelAndView("keeping/how-long");
        Optional<Retention.Rule> rule = retention.rule(user.pointId());
        page.addObject("rule", rule.map(Retention.Rule::months).orElse(0));
        page.addObject("since", rule.map(each -> words.say(each.from())).orElse(""));
        page.addObject("by", rule.map(Retention.Rule::by).orElse(""));
        page.addObject("months", months);
        Optional<Integer> read = read(months);
        List<String> wrong = problems;
        if (!months.isEmpty() && read.isEmpty() && problems.isEmpty()) {
            wrong = List.of(words.say(problem(months)));
        }
        page.addObject("problems", wrong);
        page.addObject("tried", read.isPresent());
        read.map(each -> retention.tried(point, each)).ifPresent(trial -> {
            page.addObject("families", trial.families());
            page.addObject(
                    "lines",
                    trial.first().stream()
                            .map(each -> new Line(each.reference(), words.say(each.last())))
                            .toList());
        });
        if (!wrong.isEmpty()) {
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return page;
    }

    private static FieldProblem problem(String months) {
        return FieldProblem.outside("months", months, Retention.FEWEST_MONTHS, Retention.MOST_MONTHS);
    }

    private static Optional<Integer> read(String months) {
        return Optional.of(months.strip())
                .filter(each -> each.matches("\\d{1,3}"))
                .map(Integer::parseInt)
                .filter(each -> each >= Retention.FEWEST_MONTHS && each <= Retention.MOST_MONTHS);
    }

    @PostMapping
    ModelAndView put(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String months,
            @RequestParam(defaultValue = "false") boolean never) {
        leadOnly(user);
        Optional<Integer> read = read(months);
        if (read.isEmpty() && !never) {
            return page(user, months, List.of(viewing.wording(user).say(problem(months))));
        }
        retention.put(user, never ? Optional.empty() : read);
        return new ModelAndView("redirect:/keeping/how-long");
    }

    private static void leadOnly(SignedIn user) {
        if (!user.isLead()) {
            throw new AccessDeniedException("a lead answers for what is kept");
        }
    }
}
