package app.layette.core.cabin;

import app.layette.core.entry.PapersNow;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import java.util.Optional;

/** What the rules of a place share. */
final class PlaceRules {
    private PlaceRules() {}

    /** The whole keys of what is said where a permission is given, refused, or nobody has read the page. */
    record ByPage(String allowed, String notAllowed, String notKnown) {}

    /** What a permission comes to: a page that forbids it stops, one that nobody has read is asked for. */
    static Finding.Builder permitted(PapersNow situation, PermissionKey key, ByPage says) {
        return refused(situation, key, says.notAllowed(), says.notKnown())
                .orElseGet(() -> Finding.of(Weight.HOLDS, says.allowed()));
    }

    /** What is said where a page forbids it, or nobody has read one; empty where it is allowed. */
    static Optional<Finding.Builder> refused(
            PapersNow situation, PermissionKey key, String notAllowed, String notKnown) {
        return switch (situation.permission(key)) {
            case ALLOWED -> Optional.empty();
            case NOT_ALLOWED -> Optional.of(Finding.of(Weight.STOP, notAllowed));
            case NOT_KNOWN ->
                Optional.of(Finding.of(Weight.NOT_KNOWN, notKnown)
                        .changedBy("BOTH_MANUALS")
                        .toldBy(key));
        };
    }
}
