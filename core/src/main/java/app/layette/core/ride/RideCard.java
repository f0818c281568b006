package app.layette.core.ride;

import static app.layette.core.finding.RuleCode.CND_8;
import static app.layette.core.finding.RuleCode.SEC_8;
import static app.layette.core.finding.RuleCode.SUIT_1;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.PermissionTable;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.Source;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.measure.Mass;
import app.layette.core.seat.Limits;
import app.layette.core.seat.SeatSheet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A baseless ride as planned: the routing to use, or why there is none.
 *
 * @param routing to use; empty when nothing may be used
 * @param findings what it rests on and what stands against it
 */
public record RideCard(Optional<Routing> routing, List<Finding> findings) {
    public RideCard {
        findings = List.copyOf(findings);
    }

    /**
     * Plans a ride.
     *
     * @param seat the carrier's sheet, as far as it may be relied on
     * @param weight of the child
     * @param shown the routings that the seat manual at hand shows; empty when nobody has looked
     * @param today the day
     */
    public static RideCard plan(SeatSheet seat, Mass weight, Optional<Set<Routing>> shown, LocalDate today) {
        List<Finding> findings = new ArrayList<>();
        findings.add(weightFits(seat.limits(), weight));
        boolean baseless = withoutBase(seat, shown, today, findings);
        List<Routing> allowed = new ArrayList<>();
        for (Routing routing : Routing.values()) {
            Permission permission = permission(seat, routing, shown, today);
            findings.add(finding(routing, permission));
            if (permission == Permission.ALLOWED) {
                allowed.add(routing);
            }
        }
        boolean mayRide = baseless && !findings.get(0).weight().blocks() && !allowed.isEmpty();
        // Both allowed: European first, it rotates and rebounds less; American is safe where permitted.
        return new RideCard(mayRide ? Optional.of(allowed.get(0)) : Optional.empty(), findings);
    }

    /** The same card, after what an earlier fitting of this child and seat found: what it stopped stays stopped. */
    public RideCard heeding(EarlierClearing earlier) {
        List<Finding> stops = earlier.stops();
        List<Finding> all = new ArrayList<>(stops);
        all.addAll(findings);
        return new RideCard(stops.isEmpty() ? routing : Optional.empty(), all);
    }

    private static Finding weightFits(Limits limits, Mass weight) {
        if (limits.weightMin().value().isEmpty() || limits.weightMax().value().isEmpty()) {
            return Finding.of(SUIT_1, Weight.NOT_KNOWN, "limitsNotKnown")
                    .changedBy("SEAT_MANUAL")
                    .build();
        }
        Mass min = limits.weightMin().value().get();
        Mass max = limits.weightMax().value().get();
        String reason = weight.isLessThan(min) ? "tooLight" : weight.isMoreThan(max) ? "tooHeavy" : "inside";
        return Finding.of(SUIT_1, reason.equals("inside") ? Weight.HOLDS : Weight.STOP, reason)
                .with("weight", weight)
                .with("min", min)
                .with("max", max)
                .with("room", max.minus(weight))
                .from(limits.weightMax())
                .changedBy("OTHER_SEAT")
                .build();
    }

    /** Some carriers may not be used without a base; a manual that shows a routing shows that it may. */
    private static boolean withoutBase(
            SeatSheet seat, Optional<Set<Routing>> shown, LocalDate today, List<Finding> findings) {
        Evidence<Said> page = shown.filter(each -> !each.isEmpty())
                .<Evidence<Said>>map(each -> Evidence.stated(Said.ALLOWED, Source.seen(today)))
                .orElse(Evidence.notLooked());
        Permission permission = together(seat, PermissionKey.CARRIER_WITHOUT_BASE, page);
        String reason = switch (permission) {
            case ALLOWED -> "withoutBaseAllowed";
            case NOT_ALLOWED -> "withoutBaseNotAllowed";
            case NOT_KNOWN -> "withoutBaseNotKnown";
        };
        findings.add(Finding.of(CND_8, weight(permission), reason)
                .from(seat.says(PermissionKey.CARRIER_WITHOUT_BASE))
                .changedBy("SEAT_MANUAL")
                .build());
        return permission == Permission.ALLOWED;
    }

    private static Permission permission(
            SeatSheet seat, Routing routing, Optional<Set<Routing>> shown, LocalDate today) {
        Evidence<Said> page = shown.<Evidence<Said>>map(each ->
                        Evidence.stated(each.contains(routing) ? Said.ALLOWED : Said.NOT_ALLOWED, Source.seen(today)))
                .orElse(Evidence.notLooked());
        return together(seat, routing.permission(), page);
    }

    /** The sheet's answer; a page fills it where it is not known, or tightens it, and never loosens it. */
    private static Permission together(SeatSheet seat, PermissionKey key, Evidence<Said> page) {
        PermissionTable table = PermissionTable.shipped();
        Evidence<Said> nobody = Evidence.notLooked();
        Permission bySheet = table.decide(key, seat.says(key), nobody, Permission.NOT_KNOWN);
        if (!page.isLooked()) {
            return bySheet;
        }
        Permission byPage = table.decide(key, page, nobody, Permission.NOT_KNOWN);
        return bySheet == Permission.NOT_KNOWN ? byPage : bySheet.and(byPage);
    }

    private static Finding finding(Routing routing, Permission permission) {
        String name = routing == Routing.EUROPEAN ? "european" : "american";
        String suffix = switch (permission) {
            case ALLOWED -> "Allowed";
            case NOT_ALLOWED -> "NotAllowed";
            case NOT_KNOWN -> "NotKnown";
        };
        Weight weight = permission == Permission.NOT_ALLOWED ? Weight.ADVISE : weight(permission);
        return Finding.of(SEC_8, weight, name + suffix).changedBy("SEAT_MANUAL").build();
    }

    private static Weight weight(Permission permission) {
        return switch (permission) {
            case ALLOWED -> Weight.HOLDS;
            case NOT_ALLOWED -> Weight.STOP;
            case NOT_KNOWN -> Weight.NOT_KNOWN;
        };
    }
}
