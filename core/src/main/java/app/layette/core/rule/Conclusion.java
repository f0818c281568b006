package app.layette.core.rule;

import app.layette.core.finding.RuleCode;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What a hand-over has to be able to rely on; here its name. All about it is said by the rule that gives it
 * ({@link RuleCard}); the names below are those that other parts of the program speak of.
 */
public final class Conclusion implements Comparable<Conclusion> {
    /** One of each name, so that the same is the same. */
    private static final Map<String, Conclusion> NAMED = new ConcurrentHashMap<>();

    /** One rider and one unit: more are not judged together yet. */
    public static final Conclusion WHOLE_FITTING = named("WHOLE_FITTING");

    public static final Conclusion CRASH = named("CRASH");
    public static final Conclusion WEIGHT = named("WEIGHT");
    public static final Conclusion LENGTH = named("LENGTH");
    public static final Conclusion ORDERS = named("ORDERS");
    public static final Conclusion SCREENING = named("SCREENING");
    public static final Conclusion SLOT_IN_REACH = named("SLOT_IN_REACH");
    public static final Conclusion SLOT = named("SLOT");
    /** The webbing comes from the same slot on both sides and in pad and shell. */
    public static final Conclusion THREADED_ALIKE = named("THREADED_ALIKE");

    public static final Conclusion HEAD_ROOM = named("HEAD_ROOM");
    /** The method is one that this restraint is made for. */
    public static final Conclusion METHOD = named("METHOD");

    public static final Conclusion AIRBAG = named("AIRBAG");
    /** In front only where no place of the back can take it. */
    public static final Conclusion FRONT_ROW = named("FRONT_ROW");

    public static final Conclusion VEHICLE_SEAT = named("VEHICLE_SEAT");
    /** A carrier used without its base, by this routing. */
    public static final Conclusion ROUTING_ALLOWED = named("ROUTING_ALLOWED");

    public static final Conclusion BELT_LOCKS = named("BELT_LOCKS");
    public static final Conclusion INFLATABLE_BELT = named("INFLATABLE_BELT");
    public static final Conclusion FLOOR_AND_LEG = named("FLOOR_AND_LEG");
    public static final Conclusion WINDOWS = named("WINDOWS");
    /** The level before there is a child, with what stays in the car tightened. */
    public static final Conclusion LEVEL_TIGHT = named("LEVEL_TIGHT");

    public static final Conclusion LEVEL = named("LEVEL");
    public static final Conclusion HANDLE = named("HANDLE");
    public static final Conclusion TEACH_BACK = named("TEACH_BACK");
    public static final Conclusion SIGNED_FOR = named("SIGNED_FOR");

    private final String name;

    private Conclusion(String name) {
        this.name = name;
    }

    /** The one of this name, whether a rule knows it or not. */
    public static Conclusion named(String name) {
        return NAMED.computeIfAbsent(name, Conclusion::new);
    }

    /** Every conclusion there is, in the order of the work. */
    public static List<Conclusion> values() {
        return Rules.conclusions();
    }

    /**
     * The conclusion of this name.
     *
     * @throws IllegalArgumentException when no rule gives it
     */
    public static Conclusion valueOf(String name) {
        return Rules.conclusions().stream()
                .filter(each -> each.name.equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no conclusion (" + name + ")"));
    }

    /** The rule that gives it. */
    public RuleCode code() {
        return Rules.card(this).code();
    }

    public String name() {
        return name;
    }

    @Override
    public int compareTo(Conclusion other) {
        return Integer.compare(Rules.place(this), Rules.place(other));
    }

    @Override
    public String toString() {
        return name;
    }
}
