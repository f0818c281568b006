package app.layette.core.entry;

/**
 * Who made an entry.
 *
 * @param id of the user
 * @param role held when it was made
 */
public record Author(String id, Role role) {
    /** What a user may do: a trainee enters, a technician signs, a lead keeps sheets and profiles. */
    public enum Role {
        TRAINEE,
        TECHNICIAN,
        LEAD
    }

    public boolean isTrainee() {
        return role == Role.TRAINEE;
    }
}
