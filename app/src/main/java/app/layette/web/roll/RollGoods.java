package app.layette.web.roll;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a fitting point keeps to roll up. */
@Service
public class RollGoods {
    /** A kept good under its id. */
    public record Kept(UUID id, RollGood good) {}

    private final RollGoodRows rows;

    RollGoods(RollGoodRows rows) {
        this.rows = rows;
    }

    @Transactional(readOnly = true)
    public List<Kept> of(UUID pointId) {
        return rows.of(pointId).stream()
                .map(row -> new Kept(row.id(), row.good()))
                .toList();
    }

    @Transactional
    public void keep(UUID pointId, RollGood good) {
        rows.save(new RollGoodRow(pointId, good));
    }

    /** Takes one from the list; false where it is gone already, or another point's. */
    @Transactional
    public boolean drop(UUID pointId, UUID id) {
        Optional<RollGoodRow> row = rows.one(pointId, id);
        row.ifPresent(rows::delete);
        return row.isPresent();
    }
}
