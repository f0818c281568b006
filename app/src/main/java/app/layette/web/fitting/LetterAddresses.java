package app.layette.web.fitting;

import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Where families want their letters; it goes with their names. */
@Component
public class LetterAddresses {
    private final FittingRows rows;

    LetterAddresses(FittingRows rows) {
        this.rows = rows;
    }

    /** The address of a fitting's family; empty where nobody said. */
    @Transactional(readOnly = true)
    public String of(UUID point, UUID fitting) {
        return rows.find(fitting, point).map(row -> row.family().lettersTo()).orElse("");
    }

    @Transactional
    public void keep(UUID point, UUID fitting, String address) {
        rows.find(fitting, point).ifPresent(row -> row.family().writeTo(address));
    }
}
