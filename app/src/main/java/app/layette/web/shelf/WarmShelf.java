package app.layette.web.shelf;

import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Reads the shelves when the application has started: a shelf of thousands takes seconds the first time. */
@Component
@ConditionalOnProperty(name = "layette.warm-up", havingValue = "true", matchIfMissing = true)
class WarmShelf {
    private static final Logger LOG = LoggerFactory.getLogger(WarmShelf.class);

    private final Shelf shelf;
    private final JdbcClient jdbc;

    WarmShelf(Shelf shelf, JdbcClient jdbc) {
        this.shelf = shelf;
        this.jdbc = jdbc;
    }

    @EventListener(ApplicationReadyEvent.class)
    public void onReady() {
        Thread warm = new Thread(this::read, "warm-shelf");
        warm.setDaemon(true);
        warm.setPriority(Thread.MIN_PRIORITY);
        warm.start();
    }

    private void read() {
        try {
            List<UUID> points =
                    jdbc.sql("select id from point").query(UUID.class).list();
            for (UUID point : points) {
                shelf.sheets(
                        point, shelf.seats(point).stream().map(SheetSummary::id).toList());
            }
        } catch (DataAccessException e) {
            LOG.warn("The shelves were not read beforehand", e);
        }
    }
}
