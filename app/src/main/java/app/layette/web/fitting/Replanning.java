package app.layette.web.fitting;

import app.layette.web.shelf.SheetTakenIn;
import app.layette.web.wall.Wall;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Plans fittings again that nobody touched: an open one whose next date has come, any that uses a sheet of which a newer
 * version arrived, and all that an older version of this program had written. They wait in a list in the database, so
 * that nothing is forgotten when the program stops; two processes doing the same one do no harm.
 */
@Component
@EnableScheduling
class Replanning {
    private static final Logger LOG = LoggerFactory.getLogger(Replanning.class);
    private static final int AT_ONCE = 100;

    private final JdbcClient jdbc;
    private final Fittings fittings;
    private final TransactionTemplate transactions;

    Replanning(JdbcClient jdbc, Fittings fittings, TransactionTemplate transactions) {
        this.transactions = transactions;
        this.jdbc = jdbc;
        this.fittings = fittings;
    }

    /** Every fitting that uses this sheet has something new to hear; stored with the sheet or not at all. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onSheet(SheetTakenIn taken) {
        jdbc.sql(
                        "insert into fitting_stale (point_id, fitting_id) select distinct e.point_id, e.fitting_id from entry e"
                                + " where e.point_id = :point"
                                + " and e.document #>> '{fact,kind}' = 'sheetAdopted' and e.document #>> '{fact,of}' = :sheet"
                                + " on conflict do nothing")
                .param("point", taken.point())
                .param("sheet", taken.sheet().id())
                .update();
    }

    @Scheduled(initialDelay = 5, fixedDelay = 60, timeUnit = TimeUnit.SECONDS)
    void planAgain() {
        jdbc.sql(
                        "insert into fitting_stale (point_id, fitting_id) select f.point_id, f.id from fitting f join point p on p.id = f.point_id"
                                + " where f.state in ('OPEN', 'PREPARED') and f.next_change_on <= (now() at time zone p.zone)::date"
                                + " on conflict do nothing")
                .update();
        while (planSome() == AT_ONCE) {
            LOG.info("Planning fittings again");
        }
    }

    private record Waiting(UUID pointId, UUID fittingId) {}

    private int planSome() {
        List<Waiting> waiting = jdbc.sql("select point_id, fitting_id from fitting_stale limit " + AT_ONCE)
                .query(Waiting.class)
                .list();
        for (Waiting each : waiting) {
            Wall.Inside own = Wall.inside(each.pointId());
            try {
                // Taken off the list first and with the plan: what comes meanwhile waits, and puts it on the list
                // again.
                transactions.executeWithoutResult(status -> {
                    takeOff(each);
                    fittings.refresh(each.pointId(), each.fittingId());
                });
            } catch (RuntimeException e) {
                // Its next entry plans it anyway; one that cannot be planned must not keep the others waiting.
                LOG.error("The fitting {} cannot be planned again", each.fittingId(), e);
                takeOff(each);
            } finally {
                own.close();
            }
        }
        return waiting.size();
    }

    private void takeOff(Waiting each) {
        jdbc.sql("delete from fitting_stale where point_id = ? and fitting_id = ?")
                .param(each.pointId())
                .param(each.fittingId())
                .update();
    }
}
