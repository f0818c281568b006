package app.layette.core.recline.learn;

import java.util.List;
import java.util.OptionalInt;

/**
 * Which setting to try (REC-1): for a newborn the most reclined one whose likelihood comes within a slack of the best, since
 * the airway comes first; for others the likeliest. Nothing that a look has ruled out, and nothing hopeless, is named.
 */
public final class SettingChoice {
    /** How much likelihood a newborn's more reclined setting may cost at most; half the best one's where that is less. */
    public static final double NEWBORN_SLACK = 0.35;
    /** After a look: when nothing is as likely as this, nothing reaches the band. */
    public static final double OUT_OF_REACH = 0.05;
    /** What is less likely than this is not named. */
    public static final double HOPELESS = 0.02;
    /** A more reclined setting as likely as this is offered after a pass. */
    public static final double WORTH_OFFERING = 0.5;

    private SettingChoice() {}

    /**
     * The index of the setting to try; empty when none is worth naming.
     *
     * @param likelihoods of the settings, from the most upright to the most reclined
     * @param ruledOut what looks with the child in have ruled out
     * @param slack likelihood that a more reclined setting may cost, 0 to 1; 0 names the likeliest
     */
    public static OptionalInt of(List<Double> likelihoods, RuledOut ruledOut, double slack) {
        double best = -1;
        int likeliest = -1;
        for (int i = 0; i < likelihoods.size(); i++) {
            if (ruledOut.leaves(i) && likelihoods.get(i) > best) {
                best = likelihoods.get(i);
                likeliest = i;
            }
        }
        if (best < HOPELESS) {
            return OptionalInt.empty();
        }
        int chosen = likeliest;
        double least = best - Math.min(slack, best / 2);
        for (int i = likeliest + 1; slack > 0 && i < likelihoods.size(); i++) {
            if (ruledOut.leaves(i) && likelihoods.get(i) >= least) {
                chosen = i;
            }
        }
        return OptionalInt.of(chosen);
    }

    /** The same for a newborn, or for others. */
    public static OptionalInt of(List<Double> likelihoods, RuledOut ruledOut, boolean mostReclined) {
        return of(likelihoods, ruledOut, mostReclined ? NEWBORN_SLACK : 0);
    }
}
