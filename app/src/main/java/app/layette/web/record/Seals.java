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
        Optional<UUID> last = Optional.empty();
        List<UUID> next = after(last);
        while (!next.isEmpty()) {
            for (UUID fitting : next) {
                checked++;
                if (!holds(fitting)) {
                    broken.add(fitting);
                }
            }
            last = Optional.of(next.get(next.size() - 1));
            next = after(last);
        }
        return new Checked(checked, broken);
    }

    private List<UUID> after(Optional<UUID> last) {
        return jdbc.sql(
                        "select fitting_id from seal where cast(:last as uuid) is null or fitting_id > cast(:last as uuid)"
                                + " order by fitting_id limit " + AT_ONCE)
                .param("last", last.map(UUID::toString).orElse(null))
                .query(UUID.class)
                .list();
    }

    /** Whether the seal of a fitting holds over its entries as they stand. */
    @Transactional(readOnly = true)
    public boolean holds(UUID fitting) {
        return rows.findById(fitting)
                .filter(row -> row.seal().holds(fittings.documents(fitting)))
                .isPresent();
    }
}
