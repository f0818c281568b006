package app.layette.core.ride;

import app.layette.core.entry.Method;
import app.layette.core.evidence.PermissionKey;

/** How the belt runs over a carrier without its base. */
public enum Routing {
    /** The shoulder part goes round behind the shell. */
    EUROPEAN(PermissionKey.EUROPEAN_ROUTING),
    /** Lap part over both guides, the shoulder part along the vehicle seat back. */
    AMERICAN(PermissionKey.AMERICAN_ROUTING);

    private final PermissionKey permission;

    Routing(PermissionKey permission) {
        this.permission = permission;
    }

    /** The method that it is in a fitting. */
    public Method method() {
        return this == EUROPEAN ? Method.BASELESS_EUROPEAN : Method.BASELESS_AMERICAN;
    }

    public PermissionKey permission() {
        return permission;
    }
}
