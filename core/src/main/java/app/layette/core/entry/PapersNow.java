package app.layette.core.entry;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Speaker;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import java.util.List;
import java.util.Optional;

/** What the papers say now: the sheets that are in use, and the pages of the manuals that were read for this fitting. */
public interface PapersNow extends FactsNow {
    /** The adopted seat sheet, a draft without the values that a rule would lean on; empty when not at hand. */
    Optional<SeatSheet> seat();

    /** Whether the seat is not on the shelf and is read from its label and manual here. */
    boolean isQuickSeat();

    /** The adopted vehicle sheet or the quick car, as far as it may be relied on. */
    Optional<VehicleSheet> car();

    /** A newer version of a sheet in use that no lead has adopted or declined. */
    List<SheetVersion> pendingVersions();

    /**
     * Whether something is permitted here: the sheets' answer, which an entry with its manual page may fill where it is
     * not known, or tighten, and never loosen.
     */
    Permission permission(PermissionKey key);

    /** The answer of one speaker alone. */
    Permission permission(PermissionKey key, Speaker speaker);

    /**
     * Whether something is permitted at a place, where the sheet's own field says so place by place; pages and what the
     * sheet says on the whole fill it where it is not known, and tighten it.
     */
    Permission permission(PermissionKey key, Speaker speaker, Permission ofPlace);

    /** Every fact of a kind that was read on a page. */
    <F extends Fact> List<F> pages(Class<F> kind);

    /** The anchor limit that a manual prints: the sheet's, or a page read for this fitting where nobody had looked. */
    Evidence<Mass> anchorLimit(Speaker speaker);

    /** The gap to the front seat that a manual asks: the sheet's, or a page read where nobody had looked. */
    Evidence<Length> gapAsked(Speaker speaker);

    /** The room above the head that the seat manual asks, a page read here filling or tightening it (SUIT-3). */
    Evidence<Length> headRoomAsked();

    /** The lightest child of the rear-facing mode, the strictest of sheet, mode and pages read here (SUIT-1). */
    Evidence<Mass> weightMin();

    /** The heaviest child of the rear-facing mode (SUIT-1). */
    Evidence<Mass> weightMax();

    /** The longest child of the rear-facing mode, or that there is no such limit (SUIT-2). */
    Evidence<LengthLimit> lengthMax();

    /** The widest spacing at which the seat manual lets the middle borrow inner anchors (CAB-4). */
    Evidence<Length> borrowedSpacingMost();
}
