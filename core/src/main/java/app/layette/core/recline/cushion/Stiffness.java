package app.layette.core.recline.cushion;

/** Stiffness of a spring in N per mm of compression, more than 0. */
public record Stiffness(double newtonsPerMm) {
    public Stiffness {
        if (!Double.isFinite(newtonsPerMm) || newtonsPerMm <= 0) {
            throw new IllegalArgumentException("A stiffness (" + newtonsPerMm + " N/mm) must be more than 0");
        }
    }

    /** How far a force presses it in, in mm. */
    double depthMm(double newtons) {
        return newtons / newtonsPerMm;
    }
}
