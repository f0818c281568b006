package app.layette.web.due;

import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import java.util.Locale;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Follow-ups for calendars: a family's file, and a technician's private feed. */
@Controller
class CalendarController {
    private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=UTF-8");

    private final FollowUpCalendar calendar;
    private final CalendarFeeds feeds;
    private final Fittings fittings;
    private final Viewing viewing;

    CalendarController(FollowUpCalendar calendar, CalendarFeeds feeds, Fittings fittings, Viewing viewing) {
        this.calendar = calendar;
        this.feeds = feeds;
        this.fittings = fittings;
        this.viewing = viewing;
    }

    @GetMapping("/fittings/{id}/calendar.ics")
    ResponseEntity<String> family(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        fittings.planned(id, user.pointId());
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .body(calendar.ofFamily(user.pointId(), id, viewing.wording(user)));
    }

    @GetMapping("/calendar/{token}.ics")
    ResponseEntity<String> feed(@PathVariable String token, Locale locale) {
        Wording words = Viewing.wording(locale, Wording.DEFAULT_UNITS);
        return feeds.pointOf(token)
                .map(point -> ResponseEntity.ok().contentType(CALENDAR).body(calendar.ofPoint(point, words)))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    @PostMapping("/due/feed")
    String renew(@AuthenticationPrincipal SignedIn user) {
        feeds.renew(user.userId(), viewing.clock().instant());
        return "redirect:/due#feed";
    }
}
