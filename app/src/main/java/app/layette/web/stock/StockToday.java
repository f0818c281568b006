package app.layette.web.stock;

import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.stock.Stock.Bar;
import app.layette.web.workbench.TodayNotice;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Says on the first page of the day which kept seats are late, recalled or over their life. */
@Component
class StockToday implements TodayNotice {
    private static final int MOST = 4;

    private final Stock stock;
    private final Viewing viewing;

    StockToday(Stock stock, Viewing viewing) {
        this.stock = stock;
        this.viewing = viewing;
    }

    @Override
    public List<Line> today(SignedIn user) {
        Point point = viewing.point(user);
        LocalDate today = viewing.today(point);
        List<Line> lines = new ArrayList<>();
        for (StockSeat seat : stock.of(user.pointId())) {
            boolean late = seat.until().filter(today::isAfter).isPresent();
            String says = late
                    ? viewing.wording(user).say("page.stock.late")
                    : stock.bar(point, seat)
                            .filter(bar -> bar == Bar.RECALL_OPEN || bar == Bar.OVER_ITS_LIFE)
                            .map(bar -> viewing.wording(user).say("stock.bar." + bar))
                            .orElse("");
            if (!says.isEmpty() && lines.size() < MOST) {
                lines.add(new Line(
                        seat.model() + " " + seat.serial() + ": " + says, "/stock?find=" + seat.serial(), true));
            }
        }
        return lines;
    }
}
