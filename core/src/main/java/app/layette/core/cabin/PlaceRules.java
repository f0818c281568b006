package app.layette.core.cabin;

import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;

/** What rules about a place have in common. */
final class PlaceRules {
    private PlaceRules() {}

    /** A finding from a permission: holds, stop or not known, with reasons ending in Allowed, NotAllowed, NotKnown. */
    static Finding.Builder permitted(Situation situation, RuleCode code, PermissionKey key, String subject) {
        Permission permission = situation.permission(key);
        return switch (permission) {
            case ALLOWED -> Finding.of(code, Weight.HOLDS, subject + "Allowed");
            case NOT_ALLOWED -> Finding.of(code, Weight.STOP, subject + "NotAllowed");
            case NOT_KNOWN ->
                Finding.of(code, Weight.NOT_KNOWN, subject + "NotKnown")
                        .changedBy("BOTH_MANUALS")
                        .toldBy(key);
        };
    }
}
