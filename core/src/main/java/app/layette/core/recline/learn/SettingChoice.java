package app.layette.core.recline.learn;

import java.util.List;

/**
 * Which setting to try (REC-1): for a newborn the most reclined one whose likelihood comes within 0.20 of the best, since
 * the airway comes first; for others the likeliest.
 */
public final class SettingChoice {
    /** How much likelihood a newborn's more reclined setting may cost. */
    public static final double NEWBORN_SLACK = 0.20;
    /** Below this nothing reaches the band. */
    public static final double OUT_OF_REACH = 0.05;

    private SettingChoice() {}

    /**
     * The index of the setting to try.
     *
     * @param likelihoods of the settings, from the most upright to the most reclined, 1 or more
     */
    public static int of(List<Double> likelihoods, boolean mostReclined) {
        return of(likelihoods, mostReclined ? NEWBORN_SLACK : 0);
    }

    /**
     * The index of the most reclined setting within a slack of the best.
     *
     * @param slack likelihood that a more reclined setting may cost, 0 to 1
     */
    public static int of(List<Double> likelihoods, double slack) {
        double best =
                likelihoods.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        int chosen = likelihoods.indexOf(best);
        for (int i = chosen + 1; i < likelihoods.size(); i++) {
            if (slack > 0 && likelihoods.get(i) >= best - slack) {
                chosen = i;
            }
        }
        return chosen;
    }
}
