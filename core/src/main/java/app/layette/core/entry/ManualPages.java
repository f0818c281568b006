package app.layette.core.entry;

import app.layette.core.entry.Fact.PageSays;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.PermissionTable;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.Source;
import app.layette.core.evidence.Speaker;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.LengthLimit;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What the manuals say: the sheets, and the pages that were read for this fitting. A page may fill what is not known, or
 * tighten it, and never loosens.
 */
record ManualPages(Optional<SeatSheet> seat, Optional<VehicleSheet> car, Facts facts, Permission rollsOfProfile) {
    /** Whether something is permitted; every speaker has to allow it. */
    Permission permission(PermissionKey key) {
        Permission answer = Permission.ALLOWED;
        for (Speaker speaker : PermissionTable.shipped().speakers(key)) {
            answer = answer.and(permission(key, speaker));
        }
        return answer;
    }

    /** The answer of one speaker alone. */
    Permission permission(PermissionKey key, Speaker speaker) {
        return filled(
                key, speaker, judge(key, speaker, sheet(speaker, each -> each.says(key), each -> each.says(key))));
    }

    /**
     * The answer of a permission that a sheet gives place by place: what it says of the place, tightened by what it says
     * on the whole, and by the pages read here, which may also fill it.
     *
     * @param ofPlace what the sheet's own field says of the place
     */
    Permission permission(PermissionKey key, Speaker speaker, Permission ofPlace) {
        Permission onTheWhole = judge(key, speaker, sheet(speaker, each -> each.says(key), each -> each.says(key)));
        boolean says =
                sheet(speaker, each -> each.says(key), each -> each.says(key)).isLooked();
        Permission bySheet = !says ? ofPlace : ofPlace == Permission.NOT_KNOWN ? onTheWhole : ofPlace.and(onTheWhole);
        return filled(key, speaker, bySheet);
    }

    /** The sheet's answer, which the pages read for this fitting fill where it is not known, or tighten. */
    private Permission filled(PermissionKey key, Speaker speaker, Permission bySheet) {
        List<Stamped<Fact.PermissionRead>> read = facts.pages(Fact.PermissionRead.class).stream()
                .filter(page -> page.value().permission() == key && page.value().speaker() == speaker)
                .toList();
        if (read.isEmpty()) {
            return bySheet;
        }
        Permission byPage = agreed(read)
                .map(says -> judge(key, speaker, evidence(says, read.get(0))))
                .orElse(Permission.NOT_KNOWN);
        return bySheet == Permission.NOT_KNOWN ? byPage : bySheet.and(byPage);
    }

    private Permission judge(PermissionKey key, Speaker speaker, Evidence<Said> evidence) {
        return PermissionTable.shipped().decideFor(speaker, key, evidence, rollsOfProfile);
    }

    <V> Evidence<V> sheet(
            Speaker speaker, Function<SeatSheet, Evidence<V>> ofSeat, Function<VehicleSheet, Evidence<V>> ofCar) {
        return speaker == Speaker.SEAT
                ? seat.map(ofSeat).orElse(Evidence.notLooked())
                : car.map(ofCar).orElse(Evidence.notLooked());
    }

    /** What all readings of a page say; empty when two of them disagree. */
    private static Optional<PageSays> agreed(List<Stamped<Fact.PermissionRead>> read) {
        Set<PageSays> says = read.stream().map(each -> each.value().says()).collect(Collectors.toSet());
        return says.size() == 1 ? Optional.of(says.iterator().next()) : Optional.empty();
    }

    private static Evidence<Said> evidence(PageSays says, Stamped<?> read) {
        return switch (says) {
            case ALLOWED -> Evidence.stated(Said.ALLOWED, source(read));
            case NOT_ALLOWED -> Evidence.stated(Said.NOT_ALLOWED, source(read));
            case SILENT -> Evidence.silent(source(read));
        };
    }

    private static Source source(Stamped<?> read) {
        return new Source("manual", read.how().place(), read.on());
    }

    /** Which of two values binds more. */
    enum Stricter {
        LARGER,
        SMALLER
    }

    /**
     * A quantity that a manual prints: the sheet's and every page read for this fitting, the strictest of them. A page may
     * fill what nobody had looked up, or tighten it, and never loosens.
     */
    <Q extends Comparable<Q>> Evidence<Q> quantity(
            Fact.Quantity quantity,
            Speaker speaker,
            Evidence<Q> ofSheet,
            Function<Fact.QuantityRead, Q> value,
            Stricter stricter) {
        Evidence<Q> strictest = ofSheet;
        for (Stamped<Fact.QuantityRead> page : facts.pages(Fact.QuantityRead.class)) {
            boolean here = page.value().quantity() == quantity && page.value().speaker() == speaker;
            if (here) {
                Q read = value.apply(page.value());
                Evidence<Q> evidence =
                        read == null ? Evidence.silent(source(page)) : Evidence.stated(read, source(page));
                strictest = stricterOf(strictest, evidence, stricter);
            }
        }
        return strictest;
    }

    /** The anchor limit that a manual prints: the sheet's, or a page read for this fitting where nobody had looked. */
    Evidence<Mass> anchorLimit(Speaker speaker) {
        return quantity(
                Fact.Quantity.ANCHOR_LIMIT,
                speaker,
                sheet(speaker, SeatSheet::anchorLimit, VehicleSheet::anchorLimit),
                Fact.QuantityRead::mass,
                Stricter.SMALLER);
    }

    /** The gap to the front seat that a manual asks: the sheet's, or a page read where nobody had looked. */
    Evidence<Length> gapAsked(Speaker speaker) {
        return quantity(
                Fact.Quantity.GAP,
                speaker,
                sheet(speaker, SeatSheet::gap, VehicleSheet::gap),
                Fact.QuantityRead::length,
                Stricter.LARGER);
    }

    /** The room above the head that the seat manual asks, a page read here filling or tightening it (SUIT-3). */
    Evidence<Length> headRoomAsked() {
        return ofSeat(
                Fact.Quantity.HEAD_ROOM, seat -> seat.shell().headRoom(), Fact.QuantityRead::length, Stricter.LARGER);
    }

    /** The lightest child of the rear-facing mode, the strictest of sheet, mode and pages read here (SUIT-1). */
    Evidence<Mass> weightMin() {
        return ofSeat(Fact.Quantity.WEIGHT_MIN, SeatSheet::weightMin, Fact.QuantityRead::mass, Stricter.LARGER);
    }

    /** The heaviest child of the rear-facing mode (SUIT-1). */
    Evidence<Mass> weightMax() {
        return ofSeat(Fact.Quantity.WEIGHT_MAX, SeatSheet::weightMax, Fact.QuantityRead::mass, Stricter.SMALLER);
    }

    /** The longest child of the rear-facing mode, or that there is no such limit (SUIT-2). */
    Evidence<LengthLimit> lengthMax() {
        return ofSeat(
                Fact.Quantity.LENGTH_MAX,
                SeatSheet::lengthMax,
                page -> page.length() == null ? null : LengthLimit.of(page.length()),
                Stricter.SMALLER);
    }

    /** The widest spacing at which the seat manual lets the middle borrow inner anchors (CAB-4). */
    Evidence<Length> borrowedSpacingMost() {
        return ofSeat(
                Fact.Quantity.BORROWED_SPACING,
                SeatSheet::borrowedSpacingMost,
                Fact.QuantityRead::length,
                Stricter.SMALLER);
    }

    /** A quantity of the seat manual: the sheet's and every page read here, the strictest of them. */
    private <Q extends Comparable<Q>> Evidence<Q> ofSeat(
            Fact.Quantity quantity,
            Function<SeatSheet, Evidence<Q>> ofSheet,
            Function<Fact.QuantityRead, Q> ofPage,
            Stricter stricter) {
        return quantity(quantity, Speaker.SEAT, seat.map(ofSheet).orElse(Evidence.notLooked()), ofPage, stricter);
    }

    private static <Q extends Comparable<Q>> Evidence<Q> stricterOf(
            Evidence<Q> before, Evidence<Q> page, Stricter stricter) {
        if (before.value().isEmpty() || page.value().isEmpty()) {
            return before.value().isPresent() ? before : page.value().isPresent() || !before.isLooked() ? page : before;
        }
        int larger = page.value().get().compareTo(before.value().get());
        return (stricter == Stricter.LARGER ? larger > 0 : larger < 0) ? page : before;
    }
}
