package app.layette.web.ledger;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Situation;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.misuse.AsFound;
import app.layette.web.account.Point;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.FittingChanged;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Writes a fitting's line when it has ended, in the transaction of the entry that ended it or was corrected after. */
@Component
class LedgerLines {
    private static final String WRITE = "insert into ledger_line (point_id, fitting_id, day, ended_at, ending, by_user,"
            + " method, minutes, looks, found, put_right, kind) values (:point, :fitting, :day, :at, :ending, :by, :method,"
            + " :minutes, :looks, :found, :right, :kind) on conflict (point_id, fitting_id) do update set"
            + " ending = excluded.ending, method = excluded.method, looks = excluded.looks, found = excluded.found,"
            + " put_right = excluded.put_right, kind = excluded.kind";

    private final JdbcClient jdbc;
    private final Viewing viewing;

    LedgerLines(JdbcClient jdbc, Viewing viewing) {
        this.jdbc = jdbc;
        this.viewing = viewing;
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onChange(FittingChanged changed) {
        FittingPlan plan = changed.plan();
        if (plan.state().isUnderWay()) {
            return;
        }
        Situation now = plan.situation();
        Entry ended = lastEnd(now.own());
        Point point = viewing.point(changed.point());
        OffsetDateTime began = began(now);
        AsFound found = AsFound.of(plan);
        jdbc.sql(WRITE)
                .param("point", changed.point())
                .param("fitting", changed.fitting())
                .param("day", ended.at().atZoneSameInstant(point.zone()).toLocalDate())
                .param("at", Timestamp.from(ended.at().toInstant()))
                .param("ending", plan.state().name())
                .param("by", ended.by().id())
                .param("method", now.method().map(Enum::name).orElse(""))
                .param("minutes", (int)
                        Math.max(0, Duration.between(began, ended.at()).toMinutes()))
                .param("looks", now.history(Fact.LevelRead.class).size())
                .param("kind", now.seat().map(seat -> seat.kind().name()).orElse(""))
                .param("found", found.found().size())
                .param("right", (int) found.found().stream()
                        .filter(each -> each.now() == AsFound.Now.PUT_RIGHT)
                        .count())
                .update();
    }

    /** In another car the same seat begins anew: what it took in the first one is that one's. */
    private static OffsetDateTime began(Situation now) {
        return now.own().stream()
                .filter(entry -> !now.unit().isInAnotherCar()
                        || entry.fact() instanceof Fact.UnitJoined joined
                                && joined.of().equals(now.unit().id()))
                .findFirst()
                .orElseGet(() -> now.own().get(0))
                .at();
    }

    private static Entry lastEnd(List<Entry> entries) {
        return entries.stream()
                .filter(each -> each.fact() instanceof Fact.Ended)
                .reduce((earlier, later) -> later)
                .orElseGet(() -> entries.get(entries.size() - 1));
    }
}
