package app.layette.core.entry;

/** Which entries can be taken back as a mistake. Signatures and words stay: they are answered by further ones. */
public final class Withdrawals {
    private Withdrawals() {}

    /**
     * Whether an entry that says this can be withdrawn. A move of a rethread is undone by the move back, a sheet version
     * by a lead's next decision.
     */
    public static boolean isAllowedFor(Fact fact) {
        return !(fact instanceof Fact.Ended
                || fact instanceof Fact.Countersigned
                || fact instanceof Fact.Noted
                || fact instanceof Fact.Withdrawn
                || fact instanceof Fact.WebbingMoved
                || fact instanceof Fact.BoxChosen
                || fact instanceof Fact.SheetAdopted);
    }
}
