package app.layette.core.placing;

/** What {@link app.layette.core.entry.Question#REACH} is answered with: which doors the caregiver can use. */
public enum CaregiverReach {
    EITHER_DOOR,
    KERB_DOOR_ONLY,
    /** They can use both, and cannot lean in as far as the middle. */
    NO_LEANING_IN
}
