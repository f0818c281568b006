package app.layette.web.account;

import app.layette.core.entry.Author;
import app.layette.core.entry.FieldProblem;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.document.ShippedProfiles;
import app.layette.formats.wording.Wording;
import app.layette.web.trail.Trail;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** What a fitting point is called, where and by which law and practice it works, and whom a family calls; a lead sets it. */
@Controller
class PointController {
    private static final int LONGEST_PHONE = 40;
    private static final int LONGEST_HOURS = 80;

    private final Points points;
    private final Viewing viewing;
    private final Trail trail;

    PointController(Points points, Viewing viewing, Trail trail) {
        this.points = points;
        this.viewing = viewing;
        this.trail = trail;
    }

    @GetMapping("/point")
    ModelAndView show(@AuthenticationPrincipal SignedIn user) {
        Point point = viewing.point(user);
        Map<String, String> now = new LinkedHashMap<>();
        now.put("pointName", point.name());
        now.put("zone", point.zone().getId());
        now.put("lawCountry", point.lawCountry());
        now.put("profile", point.profileId());
        now.put("units", point.units().name());
        now.put("phone", point.phone().orElse(""));
        now.put("callHours", point.callHours().orElse(""));
        if (point.leadsNeedSecond()) {
            now.put("leadsNeedSecond", "yes");
        }
        return page(user, now, List.of());
    }

    @PostMapping("/point")
    @Transactional
    public ModelAndView set(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields) {
        if (user.role() != Author.Role.LEAD) {
            throw new AccessDeniedException("Only a lead sets what the point says of itself");
        }
        List<FieldProblem> problems = new ArrayList<>();
        String name = text(fields, "pointName");
        if (name.isEmpty()) {
            problems.add(new FieldProblem("pointName", "", "NEEDED", "", ""));
        } else {
            upTo(PointFields.LONGEST_NAME, "pointName", name, problems);
        }
        String phone = text(fields, "phone");
        if (phone.length() > LONGEST_PHONE || !phone.matches("[-+0-9 ().x]*")) {
            problems.add(new FieldProblem("phone", phone, "NOT_A_NUMBER_TO_CALL", "0", String.valueOf(LONGEST_PHONE)));
        }
        String hours = text(fields, "callHours");
        upTo(LONGEST_HOURS, "callHours", hours, problems);
        Optional<ZoneId> zone = PointFields.zone(text(fields, "zone"), problems);
        String country = PointFields.country(text(fields, "lawCountry"), problems);
        String profile = text(fields, "profile");
        if (!ShippedProfiles.IDS.contains(profile)) {
            problems.add(FieldProblem.notAmong("profile", profile, ShippedProfiles.IDS));
        }
        Optional<UnitSystem> units = Arrays.stream(UnitSystem.values())
                .filter(each -> each.name().equals(text(fields, "units")))
                .findFirst();
        if (units.isEmpty()) {
            problems.add(FieldProblem.notAmong(
                    "units",
                    text(fields, "units"),
                    Arrays.stream(UnitSystem.values())
                            .map(each -> each.name().toLowerCase(Locale.ROOT))
                            .toList()));
        }
        if (!problems.isEmpty()) {
            ModelAndView page = page(user, fields, problems);
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        points.save(points.findById(user.pointId())
                .orElseThrow()
                .working(name, zone.orElseThrow(), country, profile, units.orElseThrow())
                .reachedBy(phone, hours)
                .guardedBy(fields.containsKey("leadsNeedSecond")));
        trail.add(
                user.pointId(),
                user.getUsername(),
                Trail.What.POINT_CHANGED,
                String.join(" · ", name, zone.get().getId(), country, profile)
                        + (fields.containsKey("leadsNeedSecond") ? " · leads need a second factor" : ""));
        return new ModelAndView("redirect:/point?kept");
    }

    private static String text(Map<String, String> fields, String name) {
        return fields.getOrDefault(name, "").strip();
    }

    private static void upTo(int longest, String field, String text, List<FieldProblem> problems) {
        if (text.length() > longest) {
            problems.add(new FieldProblem(field, text, "TOO_LONG", "0", String.valueOf(longest)));
        }
    }

    private ModelAndView page(SignedIn user, Map<String, String> typed, List<FieldProblem> problems) {
        ModelAndView page = new ModelAndView("account/point");
        page.addObject("name", viewing.point(user).name());
        page.addObject("typed", typed);
        Wording words = viewing.wording(user);
        Map<String, String> wrong = new LinkedHashMap<>();
        problems.forEach(problem -> wrong.put(problem.field(), words.say(problem)));
        page.addObject("wrong", wrong);
        page.addObject("profiles", ShippedProfiles.IDS);
        page.addObject(
                "zones",
                ZoneId.getAvailableZoneIds().stream()
                        .filter(each -> each.contains("/"))
                        .sorted()
                        .toList());
        page.addObject("sets", user.role() == Author.Role.LEAD);
        return page;
    }
}
