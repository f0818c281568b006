package app.layette.web.record;

import app.layette.web.fitting.Fittings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every seal there is, looked at anew. */
@Service
public class Seals {
    private static final int AT_ONCE = 500;
    /** Before every other. */
    private static final UUID FIRST = new UUID(0, 0);

    private final SealRows rows;
    private final Fittings fittings;
    private final JdbcClient jdbc;

    Seals(SealRows rows, Fittings fittings, JdbcClient jdbc) {
        this.rows = rows;
        this.fittings = fittings;
        this.jdbc = jdbc;
    }

    /**
     * What a look at every seal came to.
     *
     * @param checked how many there are
     * @param broken fittings whose seal does not hold
     */
    public record Checked(int checked, List<UUID> broken) {
        public Checked {
            broken = List.copyOf(broken);
        }
    }

    /** Looks at every seal, in the order of the fittings, some at a time: nothing is held for long. */
    public Checked check() {
        List<UUID> broken = new ArrayList<>();
        int checked = 0;
        Optional<Sealed> last = Optional.empty();
        List<Sealed> next = after(last);
        while (!next.isEmpty()) {
            for (Sealed each : next) {
                checked++;
                if (!holds(each.pointId(), each.fittingId())) {
                    broken.add(each.fittingId());
                }
            }
            last = Optional.of(next.get(next.size() - 1));
            next = after(last);
        }
        return new Checked(checked, broken);
    }

    private record Sealed(UUID pointId, UUID fittingId) {}

    private List<Sealed> after(Optional<Sealed> last) {
        Sealed from = last.orElse(new Sealed(FIRST, FIRST));
        return jdbc.sql("select point_id, fitting_id from seal where (point_id, fitting_id) > (:point, :fitting)"
                        + " order by point_id, fitting_id limit " + AT_ONCE)
                .param("point", from.pointId())
                .param("fitting", from.fittingId())
                .query(Sealed.class)
                .list();
    }

    /** Whether the seal of a fitting holds over its entries as they stand. */
    @Transactional(readOnly = true)
    public boolean holds(UUID point, UUID fitting) {
        return rows.findByPointIdAndFittingId(point, fitting)
                .filter(row -> row.seal().holds(fittings.documents(point, fitting)))
                .isPresent();
    }
}
