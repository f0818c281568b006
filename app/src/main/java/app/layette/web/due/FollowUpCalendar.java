package app.layette.web.due;

import app.layette.core.finding.Argument;
import app.layette.formats.calendar.FollowUps;
import app.layette.formats.calendar.FollowUps.FollowUp;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Viewing;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What comes due as an iCalendar: a file for one family, a feed for a technician. */
@Service
public class FollowUpCalendar {
    private static final int MOST_IN_FEED = 2000;
    private static final int YEARS_IN_FEED = 2;

    private final DueItems items;
    private final Viewing viewing;

    FollowUpCalendar(DueItems items, Viewing viewing) {
        this.items = items;
        this.viewing = viewing;
    }

    /** What a family has before it, in its own words; there is no name in it. */
    @Transactional(readOnly = true)
    public String ofFamily(UUID point, UUID fitting, Wording words) {
        List<DueItems.Item> theirs = items.of(point, fitting).stream()
                .filter(item -> item.kind().isForTheFamily())
                .toList();
        return calendar(theirs, item -> words.say(item.what()), words);
    }

    /** What a fitting point has before it: references alone, since calendars are shared more than one thinks. */
    @Transactional(readOnly = true)
    String ofPoint(UUID point, Wording words) {
        LocalDate today = viewing.today(viewing.point(point));
        Function<DueItems.Item, String> title = item -> words.say(
                "due.calendar",
                Map.of("reference", Argument.of(item.reference()), "what", new Argument.OfKey(item.what())));
        return calendar(items.open(point, today, today.plusYears(YEARS_IN_FEED), MOST_IN_FEED), title, words);
    }

    private String calendar(List<DueItems.Item> due, Function<DueItems.Item, String> title, Wording words) {
        Map<String, Integer> seen = new HashMap<>();
        Map<UUID, LocalDate> ends = ends(due);
        List<FollowUp> followUps = due.stream()
                .map(item -> new FollowUp(
                        id(item, seen),
                        item.earliest(),
                        title.apply(item),
                        DueWords.when(item, words),
                        item.revision(),
                        item.period().map(every -> new FollowUps.Repeat(every, ends.get(item.fittingId())))))
                .toList();
        return FollowUps.of(followUps, viewing.clock().instant());
    }

    /** Stable while the days move: what it is, and which of several of a kind. */
    private static String id(DueItems.Item item, Map<String, Integer> seen) {
        String id = item.fittingId() + "." + item.what();
        int which = seen.merge(id, 1, Integer::sum);
        return which == 1 ? id : id + "." + which;
    }

    /** What comes again ends with the restraint: when it is outgrown or expires, whichever is known and comes first. */
    private static Map<UUID, LocalDate> ends(List<DueItems.Item> due) {
        Map<UUID, LocalDate> ends = new HashMap<>();
        for (DueItems.Item item : due) {
            if (item.kind().isEndOfUse()) {
                LocalDate last = Optional.ofNullable(item.latest()).orElse(item.likely());
                ends.merge(item.fittingId(), last, (one, other) -> one.isBefore(other) ? one : other);
            }
        }
        return ends;
    }
}
