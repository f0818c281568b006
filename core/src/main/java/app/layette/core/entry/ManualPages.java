package app.layette.core.entry;

import app.layette.core.entry.Fact.PageSays;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.PermissionTable;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.Source;
import app.layette.core.evidence.Speaker;
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
        Permission bySheet = judge(key, speaker, sheet(speaker, each -> each.says(key), each -> each.says(key)));
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

    private <V> Evidence<V> sheet(
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

    /** A quantity that a manual prints: the sheet's, or a page read for this fitting where nobody had looked. */
    <Q> Evidence<Q> quantity(
            Fact.Quantity quantity,
            Speaker speaker,
            Function<SeatSheet, Evidence<Q>> ofSeat,
            Function<VehicleSheet, Evidence<Q>> ofCar,
            Function<Fact.QuantityRead, Q> value) {
        return sheet(speaker, ofSeat, ofCar).orElse(page(quantity, speaker, value));
    }

    private <Q> Evidence<Q> page(Fact.Quantity quantity, Speaker speaker, Function<Fact.QuantityRead, Q> value) {
        return facts.pages(Fact.QuantityRead.class).stream()
                .filter(page ->
                        page.value().quantity() == quantity && page.value().speaker() == speaker)
                .reduce((first, second) -> second)
                .map(read -> {
                    Q stated = value.apply(read.value());
                    return stated == null ? Evidence.<Q>silent(source(read)) : Evidence.stated(stated, source(read));
                })
                .orElse(Evidence.notLooked());
    }
}
