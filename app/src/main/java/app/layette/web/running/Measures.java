package app.layette.web.running;

import app.layette.web.fitting.FittingChanged;
import io.micrometer.core.instrument.Counter;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import java.util.Locale;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What is counted of the work itself, beside what the framework counts; a number never says whose. */
@Component
class Measures {
    private final MeterRegistry registry;
    private final JdbcClient jdbc;

    Measures(MeterRegistry registry, JdbcClient jdbc) {
        this.registry = registry;
        this.jdbc = jdbc;
        Gauge.builder("layette.fittings.waiting", () -> count("select count(*) from fitting_stale"))
                .description("Fittings that wait to be planned again")
                .register(registry);
        Gauge.builder(
                        "layette.seals.broken",
                        () -> count("select coalesce(sum(broken), 0) from (select distinct on (point_id) broken from"
                                + " seals_checked order by point_id, at desc) last"))
                .description("Seals that did not hold when they were last looked at")
                .register(registry);
        Gauge.builder(
                        "layette.backup.age.seconds",
                        () -> count("select extract(epoch from (now() - max(at))) from backup_made"))
                .description("Seconds since the last backup; NaN where there is none")
                .register(registry);
    }

    private double count(String sql) {
        try {
            return jdbc.sql(sql).query(Double.class).optional().orElse(Double.NaN);
        } catch (DataAccessException e) {
            return Double.NaN;
        }
    }

    @EventListener
    public void onChange(FittingChanged changed) {
        Counter.builder("layette.entries")
                .description("Entries that were kept, by kind")
                .tag("kind", changed.entry().fact().getClass().getSimpleName().toLowerCase(Locale.ROOT))
                .register(registry)
                .increment();
    }
}
