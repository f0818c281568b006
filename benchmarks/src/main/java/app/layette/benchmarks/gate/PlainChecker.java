package app.layette.benchmarks.gate;

import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.Method;
import app.layette.core.entry.Sheets;
import app.layette.core.practice.Practice;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether a fitting may be handed over, said in the plainest way: one long list of things that have to be so, by subject.
 * Where only a growth curve could tell, it says that it cannot.
 */
final class PlainChecker {
    /** What it says of a fitting. */
    enum Answer {
        OPEN,
        SHUT,
        /** Only a growth curve could tell. */
        CANNOT_SAY
    }

    private final PlainFitting fitting;
    private final List<String> wrong = new ArrayList<>();

    PlainChecker(Practice practice, Sheets sheets, FittingRecord record, LocalDate today) {
        this.fitting = new PlainFitting(practice, sheets, record, today);
        judge();
    }

    /** What keeps it shut; for looking into a disagreement. */
    List<String> against() {
        return wrong;
    }

    Answer answer() {
        return !wrong.isEmpty() ? Answer.SHUT : fitting.isInDoubt() ? Answer.CANNOT_SAY : Answer.OPEN;
    }

    private void judge() {
        if (!fitting.isWhole()) {
            wrong.add("no seat, no car, no place, or a draft");
            return;
        }
        Method method = fitting.placed.method();
        new PlainCondition(fitting).condition(wrong, method);
        new PlainChild(fitting).child(wrong, method);
        if (method != Method.CAR_BED) {
            new PlainHarness(fitting).harness(wrong, method);
        }
        new PlainPlace(fitting).place(wrong, method);
        new PlainSecuring(fitting).securing(wrong, method);
        PlainRiding riding = new PlainRiding(fitting);
        riding.withChild(wrong, method);
        riding.handOver(wrong, method);
    }
}
