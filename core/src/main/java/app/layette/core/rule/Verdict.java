package app.layette.core.rule;

import app.layette.core.entry.Question;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import java.util.ArrayList;
import java.util.List;

/** What a rule came to. <em>Not evaluated</em> and <em>found</em> are different things. */
public sealed interface Verdict {
    /** What would change a verdict that asks for the same look or measure once more. */
    String AGAIN = "AGAIN";

    /**
     * Nothing to judge yet: a look, a measure or an answer is missing.
     *
     * @param missing what
     */
    record Open(Missing missing) implements Verdict {}

    /**
     * Was looked at, and what was looked at is no longer what counts.
     *
     * @param since place of what changed it
     */
    record Stale(int since) implements Verdict {}

    /**
     * Judged.
     *
     * @param findings the deciding one first, then what else is worth saying
     * @param checks the looks that it rests on; empty when it is computed afresh from facts
     */
    record Judged(List<Finding> findings, List<Check> checks) implements Verdict {
        public Judged {
            findings = List.copyOf(findings);
            checks = List.copyOf(checks);
        }

        public Finding deciding() {
            return findings.get(0);
        }

        /** Whether nothing in it keeps a hand-over shut. */
        public boolean passes() {
            return !deciding().weight().blocks();
        }

        /** The same verdict, resting on this look too: a change after it makes the verdict stale. */
        public Judged restingOn(Stamped<?> look) {
            List<Check> more = new ArrayList<>(checks);
            more.add(new Check(look.seq(), look.seen()));
            return new Judged(findings, more);
        }

        /** The same verdict, with something else worth saying. */
        public Judged andAlso(Finding finding) {
            List<Finding> more = new ArrayList<>(findings);
            more.add(finding);
            return new Judged(more, checks);
        }
    }

    /**
     * A look in its place.
     *
     * @param seq its place
     * @param seen the last place that its author had seen
     */
    record Check(int seq, int seen) {}

    static Verdict open(Missing missing) {
        return new Open(missing);
    }

    static Verdict open(Question question) {
        return new Open(new Missing.Look(question));
    }

    static Judged judged(Finding.Builder finding) {
        return new Judged(List.of(finding.build()), List.of());
    }

    /** Not known any more: time or a newer word has spoiled what was known, and the same has to be looked at again. */
    static Finding.Builder again(String message) {
        return Finding.of(Weight.NOT_KNOWN, message).changedBy(AGAIN);
    }
}
