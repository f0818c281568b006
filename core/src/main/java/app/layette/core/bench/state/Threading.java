package app.layette.core.bench.state;

/** The slots that the webbings go through, from 1, on pad and shell. */
public record Threading(int leftShell, int rightShell, int leftPad, int rightPad) {
    /** The same slot everywhere. */
    public static Threading through(int slot) {
        return new Threading(slot, slot, slot, slot);
    }

    public boolean isAlike() {
        return leftShell == rightShell && leftShell == leftPad && rightShell == rightPad;
    }
}
