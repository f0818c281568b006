package app.layette.web.account;

import app.layette.core.entry.Author;
import app.layette.core.entry.FieldProblem;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** What the fitting point says of itself on a family's page; a lead sets it. */
@Controller
class PointController {
    private static final int LONGEST_PHONE = 40;
    private static final int LONGEST_HOURS = 80;

    private final Points points;
    private final Viewing viewing;

    PointController(Points points, Viewing viewing) {
        this.points = points;
        this.viewing = viewing;
    }

    @GetMapping("/point")
    ModelAndView show(@AuthenticationPrincipal SignedIn user) {
        Point point = viewing.point(user);
        return page(user, point.phone().orElse(""), point.callHours().orElse(""), List.of());
    }

    @PostMapping("/point")
    @Transactional
    public ModelAndView set(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String phone,
            @RequestParam(defaultValue = "") String callHours) {
        if (user.role() != Author.Role.LEAD) {
            throw new AccessDeniedException("Only a lead sets what the point says of itself");
        }
        List<FieldProblem> problems = new ArrayList<>();
        if (phone.strip().length() > LONGEST_PHONE || !phone.strip().matches("[-+0-9 ().x]*")) {
            problems.add(outside("phone", phone, "NOT_A_NUMBER_TO_CALL", LONGEST_PHONE));
        }
        if (callHours.strip().length() > LONGEST_HOURS) {
            problems.add(outside("callHours", callHours, "TOO_LONG", LONGEST_HOURS));
        }
        if (!problems.isEmpty()) {
            ModelAndView page = page(user, phone, callHours, problems);
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        points.save(points.findById(user.pointId()).orElseThrow().reachedBy(phone, callHours));
        return new ModelAndView("redirect:/point?kept");
    }

    private static FieldProblem outside(String field, String typed, String reason, int longest) {
        return new FieldProblem(field, typed.strip(), reason, "0", String.valueOf(longest));
    }

    private ModelAndView page(SignedIn user, String phone, String callHours, List<FieldProblem> problems) {
        ModelAndView page = new ModelAndView("account/point");
        page.addObject("name", viewing.point(user).name());
        page.addObject("phone", phone);
        page.addObject("callHours", callHours);
        Wording words = viewing.wording(user);
        Map<String, String> wrong = new LinkedHashMap<>();
        problems.forEach(problem -> wrong.put(problem.field(), words.say(problem)));
        page.addObject("wrong", wrong);
        page.addObject("sets", user.role() == Author.Role.LEAD);
        return page;
    }
}
