package app.layette.core.ride;

import app.layette.core.entry.Method;
import app.layette.core.evidence.PermissionKey;
import java.util.Arrays;

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
        return Arrays.stream(Method.values())
                .filter(method -> method.isBaseless() && method.isRoundBehindShell() == (this == EUROPEAN))
                .findFirst()
                .orElseThrow();
    }

    public PermissionKey permission() {
        return permission;
    }
}
