package app.layette.web.due;

import app.layette.core.finding.Argument;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.workbench.TodayNotice;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Says on the first page of the day how much is overdue and due now. */
@Component
class DueToday implements TodayNotice {
    private static final int MOST_COUNTED = 300;
    private static final int MOST_TOLD = 5;

    private final DueItems items;
    private final Viewing viewing;

    DueToday(DueItems items, Viewing viewing) {
        this.items = items;
        this.viewing = viewing;
    }

    @Override
    public List<Line> today(SignedIn user) {
        Point point = viewing.point(user);
        LocalDate today = viewing.today(point);
        List<DueItems.Item> now = items.open(point.id(), today, today, MOST_COUNTED);
        long overdue =
                now.stream().filter(item -> item.likely().isBefore(today)).count();
        if (now.isEmpty()) {
            return List.of();
        }
        String says = viewing.wording(user)
                .say("due.today", Map.of("overdue", Argument.of(overdue), "now", Argument.of(now.size() - overdue)));
        List<Line> lines = new ArrayList<>(List.of(new Line(says, "/due?ahead=MONTH", overdue > 0)));
        now.stream()
                .limit(MOST_TOLD)
                .map(item -> new Line(
                        item.child() + ": " + viewing.wording(user).say(item.what()),
                        "/fittings/" + item.fittingId(),
                        item.likely().isBefore(today)))
                .forEach(lines::add);
        return lines;
    }
}
