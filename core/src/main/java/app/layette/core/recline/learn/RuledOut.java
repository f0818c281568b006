package app.layette.core.recline.learn;

/**
 * The settings that looks with the child in leave: one that was too reclined rules out that setting and every more
 * reclined one, one that was too upright that one and every more upright one. It counts until belt, cushion or place
 * change.
 *
 * @param from first index that is left
 * @param to first index that is no longer left
 */
public record RuledOut(int from, int to) {
    public static final RuledOut NOTHING = new RuledOut(0, Integer.MAX_VALUE);

    public boolean leaves(int setting) {
        return setting >= from && setting < to;
    }

    /** After a look at a setting that was too upright. */
    public RuledOut tooUprightAt(int setting) {
        return new RuledOut(Math.max(from, setting + 1), to);
    }

    /** After a look at a setting that was too reclined. */
    public RuledOut tooReclinedAt(int setting) {
        return new RuledOut(from, Math.min(to, setting));
    }
}
