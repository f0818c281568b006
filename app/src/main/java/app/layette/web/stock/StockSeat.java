package app.layette.web.stock;

import app.layette.core.entry.PartialDate;
import app.layette.core.evidence.Complete;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/**
 * A seat that is kept.
 *
 * @param sheetId the sheet that tells of it
 * @param made as its label says it
 * @param fitting with whom it is; empty unless it is lent
 * @param until the day on which it is to be back; empty unless it is lent
 * @param washedOn when it was washed last; empty where nobody knows
 * @param countedOn when its parts were counted last and all were there; empty where nobody knows
 * @param history how it came here, as an answer to {@code HISTORY}; empty where nobody knows
 * @param noCrash whether it was in no crash up to its last count
 * @param hasPhoto whether its label was photographed
 * @param remediedOn when what a recall asks for was done to it last; empty where nothing was
 */
@Complete
public record StockSeat(
        UUID id,
        String sheetId,
        String model,
        PartialDate made,
        String serial,
        State state,
        Optional<UUID> fitting,
        Optional<LocalDate> until,
        Optional<LocalDate> washedOn,
        Optional<LocalDate> countedOn,
        Optional<LocalDate> remediedOn,
        Optional<String> history,
        boolean noCrash,
        boolean hasPhoto) {
    /** What can be done with it. */
    public enum State {
        READY,
        LENT,
        /** Back, and not yet washed and counted. */
        CLEANING,
        /** Taken out of use, for good. */
        OUT
    }
}
