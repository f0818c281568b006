package app.layette.core.rule;

import app.layette.core.entry.Question;

/** What is missing where a rule cannot be judged yet. */
public sealed interface Missing {
    /** The last part of the key of the words that ask for it. */
    String key();

    /** The key of the words that ask for it. */
    default String message() {
        return "open." + key();
    }

    /**
     * A look, or an answer by eye.
     *
     * @param question which
     */
    record Look(Question question) implements Missing {
        @Override
        public String key() {
            return question.name();
        }
    }

    /** What was not told, measured, set, chosen or signed yet. */
    enum Entry implements Missing {
        /** The two-part test of retractor and latch plate. */
        BELT_TEST,
        /** A rule that can be judged at all. */
        BROKEN_RULE,
        /** The buckle of the second place. */
        BUCKLE_SECOND,
        CONDITION,
        /** A technician’s signature for what a trainee did. */
        COUNTERSIGN,
        CROTCH,
        GAP,
        HANDLE,
        HEAD_ROOM,
        INSERT,
        LABEL,
        LENGTH,
        LEVEL,
        /** A look here, of what somebody only spoke of. */
        LOOK_HERE,
        ORDER,
        /** Which place of which car, by which method. */
        PLACE,
        /** The webbings after one was moved. */
        RETHREAD,
        /** Which restraint it is, by its sheet. */
        SHEET,
        SHOULDER,
        SLOTS,
        /** What the caregiver has to do by themselves. */
        TEACH_BACK,
        WEIGHT;

        @Override
        public String key() {
            return name();
        }
    }
}
