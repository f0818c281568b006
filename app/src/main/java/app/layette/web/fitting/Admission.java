package app.layette.web.fitting;

import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.Withdrawals;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingState;
import app.layette.core.rethread.Move;
import app.layette.core.rethread.ShellBack;
import java.util.List;

/** Who may enter what, and when: what is closed takes additions only, signatures need the right hands, the gate stands. */
final class Admission {
    private Admission() {}

    /**
     * Checks an entry before it is stored.
     *
     * @throws RefusedEntryException with the first reason that keeps it out
     */
    static void check(EntryDraft draft, FittingPlan before, Author author) {
        Fact fact = draft.fact();
        // A sealed record takes additions, and corrections beside what they correct; neither touches the seal.
        boolean addition = fact instanceof Fact.Noted || fact instanceof Fact.PhotoTaken || draft.corrects() != null;
        boolean ends = fact instanceof Fact.Ended;
        if (before.state() != FittingState.OPEN && (!addition || ends)) {
            throw RefusedEntryException.because("CLOSED");
        }
        boolean signs = fact instanceof Fact.Ended || fact instanceof Fact.Countersigned;
        if (signs && author.isTrainee()) {
            throw RefusedEntryException.because("TRAINEE_SIGNS");
        }
        boolean leads = fact instanceof Fact.SheetAdopted sheet
                && before.situation().pendingVersions().contains(new SheetVersion(sheet.of(), sheet.version()));
        if (leads && author.role() != Author.Role.LEAD) {
            throw RefusedEntryException.because("LEAD_ADOPTS");
        }
        checkMove(fact, before);
        checkCorrection(draft, before);
        boolean taught = fact instanceof Fact.Ended ended && ended.ending() == Fact.Ending.TAUGHT;
        if (taught && !before.situation().isBedside()) {
            throw RefusedEntryException.because("NOT_BEDSIDE");
        }
        boolean handsOver = fact instanceof Fact.Ended ended && ended.ending() == Fact.Ending.HANDED_OVER;
        if (handsOver && !before.mayHandOver()) {
            throw RefusedEntryException.because("GATE_SHUT");
        }
    }

    /** HAR-4: a move that would lose the way back is not made. */
    private static void checkMove(Fact fact, FittingPlan before) {
        if (fact instanceof Fact.WebbingMoved moved) {
            ShellBack back = ShellBack.in(before.situation())
                    .orElseThrow(() -> RefusedEntryException.because("RETHREAD_NO_SLOTS"));
            // Which webbing has to be named is the fact check's business.
            boolean named = FactCheck.problems(fact, before.situation()).isEmpty();
            if (named) {
                back.refuses(Move.from(moved)).ifPresent(refusal -> {
                    throw RefusedEntryException.because("RETHREAD_" + refusal);
                });
            }
        }
    }

    /** A correction that no replay could place must not get in. */
    private static void checkCorrection(EntryDraft draft, FittingPlan before) {
        if (draft.fact() instanceof Fact.Withdrawn && draft.corrects() == null) {
            throw RefusedEntryException.because("CORRECTS_NOTHING");
        }
        if (draft.corrects() == null) {
            return;
        }
        List<Entry> entries = before.situation().everything();
        Entry corrected = entries.stream()
                .filter(each -> each.id().equals(draft.corrects()))
                .findFirst()
                .orElseThrow(() -> RefusedEntryException.because("CORRECTS_NOTHING"));
        boolean gone = entries.stream()
                .anyMatch(each -> corrected.id().equals(each.corrects()) && each.fact() instanceof Fact.Withdrawn);
        if (gone || corrected.fact() instanceof Fact.Withdrawn) {
            throw RefusedEntryException.because("WITHDRAWN");
        }
        if (draft.fact() instanceof Fact.Withdrawn) {
            if (!Withdrawals.isAllowedFor(corrected.fact())) {
                throw RefusedEntryException.because("NOT_WITHDRAWN");
            }
        } else if (!corrected.fact().getClass().equals(draft.fact().getClass())) {
            throw RefusedEntryException.because("CORRECTS_NOTHING");
        }
    }
}
