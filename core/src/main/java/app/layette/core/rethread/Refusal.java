package app.layette.core.rethread;

/** Why a move is refused. */
public enum Refusal {
    /** The harness is to be loosened fully before anything comes off the plate. */
    NOT_LOOSENED,
    /** The inner shell is to be lifted out first. */
    SHELL_STILL_IN,
    /** The other webbing is off: with both off nothing shows any longer how it was. */
    OTHER_IS_OFF,
    /** It is off already. */
    ALREADY_OFF,
    /** It is still on the plate. */
    STILL_ON_PLATE,
    /** It comes through another opening of the pad than slot of the shell: the fabric bunches in its way. */
    PAD_DIFFERS,
    /** It is twisted. */
    TWISTED,
    /** Only half on the plate. */
    HALF_ON,
    /** The two sides come through different slots. */
    SIDES_DIFFER
}
