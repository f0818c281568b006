package app.layette.core.finding;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The stable codes of the fitting rules. Those below are spoken of by name; a rule that is newer than they brings its own
 * code with it.
 */
public final class RuleCode implements Comparable<RuleCode> {
    /** One of each code, so that the same is the same. */
    private static final Map<String, RuleCode> NAMED = new ConcurrentHashMap<>();

    /** The families of codes, in the order of the work. */
    private static final List<String> FAMILIES = List.of("CND", "SUIT", "CAB", "REC", "SEC", "HAR", "JRN", "OUT");

    private static final Comparator<RuleCode> BY_FAMILY = Comparator.<RuleCode>comparingInt(
                    code -> FAMILIES.indexOf(code.family))
            .thenComparingInt(code -> code.number);

    public static final RuleCode CND_1 = named("CND_1");
    public static final RuleCode CND_2 = named("CND_2");
    public static final RuleCode CND_3 = named("CND_3");
    public static final RuleCode CND_4 = named("CND_4");
    public static final RuleCode CND_5 = named("CND_5");
    public static final RuleCode CND_6 = named("CND_6");
    public static final RuleCode CND_7 = named("CND_7");
    public static final RuleCode CND_8 = named("CND_8");
    public static final RuleCode CND_9 = named("CND_9");
    public static final RuleCode SUIT_1 = named("SUIT_1");
    public static final RuleCode SUIT_2 = named("SUIT_2");
    public static final RuleCode SUIT_3 = named("SUIT_3");
    public static final RuleCode SUIT_4 = named("SUIT_4");
    public static final RuleCode SUIT_5 = named("SUIT_5");
    public static final RuleCode SUIT_6 = named("SUIT_6");
    public static final RuleCode SUIT_7 = named("SUIT_7");
    public static final RuleCode SUIT_8 = named("SUIT_8");
    public static final RuleCode SUIT_9 = named("SUIT_9");
    public static final RuleCode SUIT_10 = named("SUIT_10");
    public static final RuleCode SUIT_11 = named("SUIT_11");
    public static final RuleCode SUIT_12 = named("SUIT_12");
    public static final RuleCode CAB_1 = named("CAB_1");
    public static final RuleCode CAB_2 = named("CAB_2");
    public static final RuleCode CAB_3 = named("CAB_3");
    public static final RuleCode CAB_4 = named("CAB_4");
    public static final RuleCode CAB_5 = named("CAB_5");
    public static final RuleCode CAB_6 = named("CAB_6");
    public static final RuleCode CAB_7 = named("CAB_7");
    public static final RuleCode CAB_8 = named("CAB_8");
    public static final RuleCode CAB_9 = named("CAB_9");
    public static final RuleCode CAB_10 = named("CAB_10");
    public static final RuleCode CAB_11 = named("CAB_11");
    public static final RuleCode CAB_12 = named("CAB_12");
    public static final RuleCode CAB_13 = named("CAB_13");
    public static final RuleCode REC_1 = named("REC_1");
    public static final RuleCode REC_2 = named("REC_2");
    public static final RuleCode REC_3 = named("REC_3");
    public static final RuleCode REC_4 = named("REC_4");
    public static final RuleCode REC_5 = named("REC_5");
    public static final RuleCode REC_6 = named("REC_6");
    public static final RuleCode REC_7 = named("REC_7");
    public static final RuleCode REC_8 = named("REC_8");
    public static final RuleCode SEC_1 = named("SEC_1");
    public static final RuleCode SEC_2 = named("SEC_2");
    public static final RuleCode SEC_3 = named("SEC_3");
    public static final RuleCode SEC_4 = named("SEC_4");
    public static final RuleCode SEC_5 = named("SEC_5");
    public static final RuleCode SEC_6 = named("SEC_6");
    public static final RuleCode SEC_7 = named("SEC_7");
    public static final RuleCode SEC_8 = named("SEC_8");
    public static final RuleCode SEC_9 = named("SEC_9");
    public static final RuleCode SEC_10 = named("SEC_10");
    public static final RuleCode HAR_1 = named("HAR_1");
    public static final RuleCode HAR_2 = named("HAR_2");
    public static final RuleCode HAR_3 = named("HAR_3");
    public static final RuleCode HAR_4 = named("HAR_4");
    public static final RuleCode HAR_5 = named("HAR_5");
    public static final RuleCode HAR_6 = named("HAR_6");
    public static final RuleCode HAR_7 = named("HAR_7");
    public static final RuleCode HAR_8 = named("HAR_8");
    public static final RuleCode HAR_9 = named("HAR_9");
    public static final RuleCode HAR_10 = named("HAR_10");
    public static final RuleCode HAR_11 = named("HAR_11");
    public static final RuleCode HAR_12 = named("HAR_12");
    public static final RuleCode JRN_1 = named("JRN_1");
    public static final RuleCode JRN_2 = named("JRN_2");
    public static final RuleCode JRN_3 = named("JRN_3");
    public static final RuleCode JRN_4 = named("JRN_4");
    public static final RuleCode JRN_5 = named("JRN_5");
    /** The family has had the cautions that the product always carries. */
    public static final RuleCode OUT_1 = named("OUT_1");
    /** Each part of the teach-back was done by the caregiver, or declined with a reason. */
    public static final RuleCode OUT_2 = named("OUT_2");
    /** A trainee's checks were looked at and signed for by a technician. */
    public static final RuleCode OUT_3 = named("OUT_3");
    /** Every rider and unit of the fitting is judged. */
    public static final RuleCode OUT_4 = named("OUT_4");

    private final String family;
    private final int number;

    private RuleCode(String name) {
        int at = name.indexOf('_');
        this.family = at < 0 ? "" : name.substring(0, at);
        if (!FAMILIES.contains(family) || !name.substring(at + 1).matches("[1-9]\\d?")) {
            throw new IllegalArgumentException(
                    "A rule has no code (" + name + "); allowed is one of " + FAMILIES + ", _ and a number to 99");
        }
        this.number = Integer.parseInt(name.substring(at + 1));
    }

    /**
     * The code of this name, {@code CND_1}; a new one where there is none.
     *
     * @throws IllegalArgumentException when it is no code
     */
    public static RuleCode named(String name) {
        return NAMED.computeIfAbsent(name, RuleCode::new);
    }

    /** Every code that the rules have, in the order of the work; those of rules of their own once the rules are there. */
    public static RuleCode[] values() {
        return NAMED.values().stream().sorted().toArray(RuleCode[]::new);
    }

    public String name() {
        return family + "_" + number;
    }

    /** The code as people write it, for example {@code CND-1}. */
    public String text() {
        return family + "-" + number;
    }

    /**
     * The rule with this code.
     *
     * @throws IllegalArgumentException when there is no such rule
     */
    public static RuleCode of(String text) {
        RuleCode code = NAMED.get(text.replace('-', '_'));
        if (code == null || !code.text().equals(text)) {
            throw new IllegalArgumentException("There is no rule with the code " + text);
        }
        return code;
    }

    @Override
    public int compareTo(RuleCode other) {
        return BY_FAMILY.compare(this, other);
    }

    @Override
    public String toString() {
        return text();
    }
}
