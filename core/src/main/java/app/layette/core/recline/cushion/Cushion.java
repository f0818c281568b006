package app.layette.core.recline.cushion;

/**
 * The cushion under both ends of a base.
 *
 * @param footEnd k_r, at the bight
 * @param headEnd k_f
 */
public record Cushion(Stiffness footEnd, Stiffness headEnd) {
    /** The same stiffness, in N/mm, under both ends. */
    public static Cushion even(double newtonsPerMm) {
        return new Cushion(new Stiffness(newtonsPerMm), new Stiffness(newtonsPerMm));
    }

    public static Cushion of(double footEnd, double headEnd) {
        return new Cushion(new Stiffness(footEnd), new Stiffness(headEnd));
    }

    /** How far each end gives to forces on it. */
    Depths under(double footEndNewtons, double headEndNewtons) {
        return new Depths(footEnd.depthMm(footEndNewtons), headEnd.depthMm(headEndNewtons));
    }
}
