package app.layette.core.rethread;

/**
 * One shoulder webbing.
 *
 * @param onPlate how it is joined to the splitter plate
 * @param shellSlot slot of the shell it comes through, from 1
 * @param padSlot opening of the pad it comes through, from 1
 * @param twisted whether it was seen twisted
 */
public record StrapState(OnPlate onPlate, int shellSlot, int padSlot, boolean twisted) {
    /** How a webbing is joined to the splitter plate. */
    public enum OnPlate {
        HOME,
        HALF,
        OFF
    }

    public boolean isOff() {
        return onPlate == OnPlate.OFF;
    }

    public boolean isHome() {
        return onPlate == OnPlate.HOME;
    }

    StrapState on(OnPlate how) {
        return new StrapState(how, shellSlot, padSlot, twisted);
    }

    StrapState throughShell(int slot) {
        return new StrapState(onPlate, slot, padSlot, twisted);
    }

    StrapState throughPad(int slot) {
        return new StrapState(onPlate, shellSlot, slot, twisted);
    }

    StrapState twisted(boolean isTwisted) {
        return new StrapState(onPlate, shellSlot, padSlot, isTwisted);
    }

    boolean isAt(int slot) {
        return shellSlot == slot && padSlot == slot;
    }
}
