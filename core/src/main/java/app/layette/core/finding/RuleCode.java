package app.layette.core.finding;

import java.util.Arrays;

/** The stable codes of the fitting rules, in the order of the work. */
public enum RuleCode {
    CND_1,
    CND_2,
    CND_3,
    CND_4,
    CND_5,
    CND_6,
    CND_7,
    CND_8,
    CND_9,
    SUIT_1,
    SUIT_2,
    SUIT_3,
    SUIT_4,
    SUIT_5,
    SUIT_6,
    SUIT_7,
    SUIT_8,
    SUIT_9,
    SUIT_10,
    SUIT_11,
    SUIT_12,
    CAB_1,
    CAB_2,
    CAB_3,
    CAB_4,
    CAB_5,
    CAB_6,
    CAB_7,
    CAB_8,
    CAB_9,
    CAB_10,
    CAB_11,
    CAB_12,
    CAB_13,
    REC_1,
    REC_2,
    REC_3,
    REC_4,
    REC_5,
    REC_6,
    REC_7,
    REC_8,
    SEC_1,
    SEC_2,
    SEC_3,
    SEC_4,
    SEC_5,
    SEC_6,
    SEC_7,
    SEC_8,
    SEC_9,
    SEC_10,
    HAR_1,
    HAR_2,
    HAR_3,
    HAR_4,
    HAR_5,
    HAR_6,
    HAR_7,
    HAR_8,
    HAR_9,
    HAR_10,
    HAR_11,
    HAR_12,
    JRN_1,
    JRN_2,
    JRN_3,
    JRN_4,
    JRN_5,
    /** The family has had the cautions that the product always carries. */
    OUT_1,
    /** Each part of the teach-back was done by the caregiver, or declined with a reason. */
    OUT_2,
    /** A trainee's checks were looked at and signed for by a technician. */
    OUT_3,
    /** Every rider and unit of the fitting is judged. */
    OUT_4;

    /** The code as people write it, for example {@code CND-1}. */
    public String text() {
        return name().replace('_', '-');
    }

    /**
     * The rule with this code.
     *
     * @throws IllegalArgumentException when there is no such rule
     */
    public static RuleCode of(String text) {
        return Arrays.stream(values())
                .filter(code -> code.text().equals(text))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("There is no rule with the code " + text));
    }

    @Override
    public String toString() {
        return text();
    }
}
