package app.layette.core.entry;

import app.layette.core.finding.RuleCode;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A question that is answered by eye, with one tap; here its name. All about it, its answers and what each weighs, is said
 * by the rule that asks it ({@link Asked}); the names below are those that other parts of the program speak of.
 */
public final class Question implements Comparable<Question> {
    /** One of each name, so that the same is the same. */
    private static final Map<String, Question> NAMED = new ConcurrentHashMap<>();

    public static final Question CONDITION = named("CONDITION");
    public static final Question HISTORY = named("HISTORY");
    public static final Question CRASH = named("CRASH");
    public static final Question RECALL = named("RECALL");
    /** Whether the registration card was sent. It advises; a card not sent comes due. */
    public static final Question REGISTRATION = named("REGISTRATION");

    public static final Question PARTS = named("PARTS");
    public static final Question MANUALS = named("MANUALS");
    public static final Question APPROVAL = named("APPROVAL");
    public static final Question BASE_SET_UP = named("BASE_SET_UP");
    public static final Question SNUG_SHORTEST = named("SNUG_SHORTEST");
    public static final Question HEAD_ROOM = named("HEAD_ROOM");
    public static final Question SITS_WHOLE = named("SITS_WHOLE");
    public static final Question SYSTEMS = named("SYSTEMS");
    public static final Question LEG = named("LEG");
    public static final Question GAP = named("GAP");
    public static final Question GROUND = named("GROUND");
    /** Whether an indicator on both sides shows the same on both. */
    public static final Question SIDES = named("SIDES");

    public static final Question ANCHORS_HOOKED = named("ANCHORS_HOOKED");
    public static final Question STRAP = named("STRAP");
    public static final Question MOVEMENT = named("MOVEMENT");
    public static final Question WINDOWS = named("WINDOWS");
    public static final Question CLICK = named("CLICK");
    public static final Question WEBBING = named("WEBBING");
    public static final Question CLOTHING = named("CLOTHING");
    public static final Question SNUG = named("SNUG");
    public static final Question CLIP = named("CLIP");
    public static final Question SUPPORT = named("SUPPORT");
    public static final Question CAUTIONS = named("CAUTIONS");
    public static final Question RETRACTOR = named("RETRACTOR");
    public static final Question LATCH_PLATE = named("LATCH_PLATE");
    public static final Question BUCKLE = named("BUCKLE");
    public static final Question BELT_ROUTE = named("BELT_ROUTE");
    public static final Question LOCK_OFF = named("LOCK_OFF");
    public static final Question LOCK_PROOF = named("LOCK_PROOF");
    /** Which doors the caregiver can use, and whether they can lean in: it ranks places, and forbids none. */
    public static final Question REACH = named("REACH");

    public static final Question PANEL = named("PANEL");
    /** A car bed's own straps round the lap part. */
    public static final Question END_STRAPS = named("END_STRAPS");

    public static final Question SIDE_ELEMENT = named("SIDE_ELEMENT");
    /** A shell that turns, after it was turned to the door. */
    public static final Question TURNED_BACK = named("TURNED_BACK");

    public static final Question LIES_FLAT = named("LIES_FLAT");
    /** Whether the feet reach past the restraint's end or the vehicle seat back; asked only where a manual minds. */
    public static final Question FEET = named("FEET");
    /** Whether the caregiver can lift carrier and child just now. It advises and forbids nothing. */
    public static final Question LIFTING = named("LIFTING");

    public static final Question COVERS = named("COVERS");
    /** Whether the lamp or key shows the front airbag off, now, in this car. */
    public static final Question AIRBAG_LAMP = named("AIRBAG_LAMP");
    /** Whether any place of the back can take this restraint, where it is to ride in front. */
    public static final Question BACK_ROW = named("BACK_ROW");
    /** Whether an anti-rebound bar lies against the vehicle seat back. */
    public static final Question BAR = named("BAR");
    /** Whether anything was taken off, added, damaged, crashed or lent since the last fitting. */
    public static final Question SINCE = named("SINCE");
    /** Whether the seat's own conditions, such as head control, are met. */
    public static final Question OWN_CONDITIONS = named("OWN_CONDITIONS");

    /** Loaded with the first question about one, when the names above are there. */
    private static final class All {
        private static final Map<Question, Asked> BY_NAME = load();
        private static final List<Question> IN_ORDER = List.copyOf(BY_NAME.keySet());

        private static Map<Question, Asked> load() {
            Map<Question, Asked> all = new LinkedHashMap<>();
            Asking.all().stream().map(Asking::asked).flatMap(Collection::stream).forEach(asked -> {
                if (all.put(asked.question(), asked) != null) {
                    throw new IllegalStateException("Two rules ask " + asked.question());
                }
            });
            return all;
        }
    }

    private final String name;

    private Question(String name) {
        this.name = name;
    }

    /** The one of this name, whether a rule knows it or not. */
    public static Question named(String name) {
        return NAMED.computeIfAbsent(name, Question::new);
    }

    /** Every question there is, in the order of the work. */
    public static List<Question> values() {
        return All.IN_ORDER;
    }

    /**
     * The question of this name.
     *
     * @throws IllegalArgumentException when nobody asks it
     */
    public static Question valueOf(String name) {
        // Loaded first: until then nobody has named what only its rule speaks of.
        Question question = All.BY_NAME.isEmpty() ? null : NAMED.get(name);
        if (question == null || !All.BY_NAME.containsKey(question)) {
            throw new IllegalArgumentException("There is no question (" + name + ")");
        }
        return question;
    }

    /**
     * All about it.
     *
     * @throws IllegalStateException when nobody asks it
     */
    public Asked asked() {
        Asked asked = All.BY_NAME.get(this);
        if (asked == null) {
            throw new IllegalStateException("Nobody asks " + name);
        }
        return asked;
    }

    /** Whether an answer that is known like this can pass a check. */
    public boolean isPassedBy(How how) {
        boolean before = isCarried() && how.isCarried();
        return switch (asked().known()) {
            case SEEN -> how.isSeenHere() || before;
            case READ -> how.isSeenHere() || how.isReadInDocument() || before;
            case TOLD -> !how.isEstimate();
        };
    }

    /** Whether an earlier fitting of the same seat answers it, once nothing has changed since. */
    public boolean isCarried() {
        return asked().carried();
    }

    /** The rule that it belongs to. */
    public RuleCode rule() {
        return asked().rule();
    }

    public String name() {
        return name;
    }

    @Override
    public int compareTo(Question other) {
        return Integer.compare(All.IN_ORDER.indexOf(this), All.IN_ORDER.indexOf(other));
    }

    @Override
    public String toString() {
        return name;
    }
}
