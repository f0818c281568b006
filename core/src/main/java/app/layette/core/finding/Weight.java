package app.layette.core.finding;

import app.layette.core.evidence.Permission;

/** How much a finding weighs, heaviest first. The first three keep a fitting from being handed over. */
public enum Weight {
    /** Must not be used like this. */
    STOP,
    /** An answer is missing that only a manual, a label or a look can give. */
    NOT_KNOWN,
    /** Can be put right here. */
    FIX,
    /** Worth saying; does not block. */
    ADVISE,
    /** Looked at and in order. */
    HOLDS;

    public boolean blocks() {
        return this == STOP || this == NOT_KNOWN || this == FIX;
    }

    /** What a finding of this weight comes to where it is asked whether something may be: not known is never allowed. */
    public Permission asPermission() {
        return switch (this) {
            case STOP, FIX -> Permission.NOT_ALLOWED;
            case NOT_KNOWN -> Permission.NOT_KNOWN;
            case ADVISE, HOLDS -> Permission.ALLOWED;
        };
    }
}
