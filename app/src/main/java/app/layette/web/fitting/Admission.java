package app.layette.web.fitting;

import app.layette.core.entry.AfterTheEnd;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FactCheck;
import app.layette.core.entry.Neighbours;
import app.layette.core.entry.Rights;
import app.layette.core.fitting.FittingPlan;
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
        Neighbours besides = before.situation().neighbours();
        boolean ofAnother = besides.units().stream()
                        .anyMatch(other -> fact.of().is(other.id()) || fact.of().is(other.rider()))
                || besides.inOtherCars().stream().anyMatch(other -> fact.of().is(other.id()));
        if (ofAnother) {
            throw RefusedEntryException.because("OTHER_UNIT");
        }
        if (fact instanceof Fact.Withdrawn && draft.corrects() == null) {
            throw RefusedEntryException.because("CORRECTS_NOTHING");
        }
        checkCorrection(draft, before);
        checkRight(draft, before, author);
        checkMove(fact, before);
        if (fact instanceof Fact.CorrectionSigned signed) {
            AfterTheEnd afterwards = AfterTheEnd.in(before.situation().everything());
            if (!afterwards.waits(signed.entry())) {
                throw RefusedEntryException.because("NOTHING_WAITS");
            }
            if (signed.taken() && afterwards.isOvertaken(signed.entry())) {
                throw RefusedEntryException.because("CORRECTION_OVERTAKEN");
            }
        }
        boolean taught = fact instanceof Fact.Ended ended && ended.ending() == Fact.Ending.TAUGHT;
        if (taught && !before.situation().isBedside()) {
            throw RefusedEntryException.because("NOT_BEDSIDE");
        }
        if (fact instanceof Fact.Prepared && !before.mayBePrepared()) {
            throw RefusedEntryException.because("NOT_PREPARED");
        }
        boolean handsOver = fact instanceof Fact.Ended ended && ended.ending() == Fact.Ending.HANDED_OVER;
        if (handsOver && !before.mayHandOver()) {
            throw RefusedEntryException.because("GATE_SHUT");
        }
    }

    /** The one table of rights, asked for whatever way an entry comes in. */
    private static void checkRight(EntryDraft draft, FittingPlan before, Author author) {
        Fact fact = draft.fact();
        boolean open = before.state().isUnderWay();
        boolean newer = fact instanceof Fact.SheetAdopted sheet
                && before.situation().pendingVersions().contains(sheet.sheet());
        Rights.Way way = draft.corrects() == null
                ? newer ? Rights.Way.NEWER : Rights.Way.NEW
                : fact instanceof Fact.Withdrawn ? Rights.Way.WITHDRAW : Rights.Way.CORRECT;
        Class<? extends Fact> kind =
                way == Rights.Way.WITHDRAW ? corrected(draft, before).fact().getClass() : fact.getClass();
        if (!Rights.allows(author.role(), kind, way, open)) {
            throw RefusedEntryException.because(refusal(way, author.role(), kind, open));
        }
    }

    private static String refusal(Rights.Way way, Author.Role role, Class<? extends Fact> kind, boolean open) {
        return switch (way) {
            case NEW -> {
                if (kind == Fact.CorrectionSigned.class) {
                    yield open ? "NOTHING_WAITS" : "TRAINEE_SIGNS";
                }
                yield !open ? "CLOSED" : kind == Fact.CrashedSince.class ? "NOT_OVER" : "TRAINEE_SIGNS";
            }
            case NEWER -> open ? "LEAD_ADOPTS" : "CLOSED";
            case WITHDRAW, CORRECT -> {
                boolean byNobody = !Rights.allows(Author.Role.LEAD, kind, way, open);
                String never = way == Rights.Way.WITHDRAW ? "NOT_WITHDRAWN" : "NOT_CORRECTED";
                yield byNobody ? never : "TRAINEE_CORRECTS_SEALED";
            }
        };
    }

    private static Entry corrected(EntryDraft draft, FittingPlan before) {
        return before.situation().everything().stream()
                .filter(each -> each.id().equals(draft.corrects()))
                .findFirst()
                .orElseThrow(() -> RefusedEntryException.because("CORRECTS_NOTHING"));
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
        if (draft.corrects() == null) {
            return;
        }
        List<Entry> entries = before.situation().everything();
        Entry corrected = corrected(draft, before);
        AfterTheEnd afterwards = AfterTheEnd.in(entries);
        if (!afterwards.counts(corrected)) {
            throw RefusedEntryException.because("CORRECTION_WAITS");
        }
        boolean gone = entries.stream()
                .anyMatch(each -> corrected.id().equals(each.corrects())
                        && each.fact() instanceof Fact.Withdrawn
                        && afterwards.counts(each));
        if (gone || corrected.fact() instanceof Fact.Withdrawn) {
            throw RefusedEntryException.because("WITHDRAWN");
        }
        if (!(draft.fact() instanceof Fact.Withdrawn)
                && !corrected.fact().getClass().equals(draft.fact().getClass())) {
            throw RefusedEntryException.because("CORRECTS_NOTHING");
        }
    }
}
