package app.layette.core.recline.roll;

import app.layette.core.measure.Length;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Which cloth, folded and rolled how far, or which noodle, makes a wanted lift (REC-6).
 *
 * <p>A roll's own thickness moves its middle away from the seat back, which changes the lift it makes; the wanted height
 * is found by a few rounds of that. A cloth is folded to the width that leaves belt or anchor strap within reach: n =
 * cloth width / target width, rounded, at least 1.
 */
public final class RollMaker {
    /** Widest that usually leaves belt and anchor strap reachable, where the sheet says nothing. */
    public static final Length USUAL_WIDTH = Length.ofMillimetres(280);

    private static final double CLOSE_MM = 6;
    private static final int ROUNDS = 30;
    /** h / x_n of a towel: 0.75 D over D / 2. */
    private static final double HEIGHT_PER_MIDDLE = 1.5;

    /**
     * One way to make it.
     *
     * @param cloth rolled; {@code null} for a noodle
     * @param roll as made
     * @param lift ℓ_t that it makes
     */
    public record Recipe(@Nullable Cloth cloth, Roll roll, Length lift) {
        public boolean isOfCloth() {
            return cloth != null;
        }
    }

    private final Length contact;
    private final Length targetWidth;

    /**
     * For one base.
     *
     * @param contact L, distance of the two contact points
     * @param targetWidth how wide the roll may be
     */
    public RollMaker(Length contact, Length targetWidth) {
        this.contact = contact;
        this.targetWidth = targetWidth;
    }

    /**
     * The ways to make a lift: each cloth that is long enough, each noodle that comes close; nearest to the wanted lift
     * first.
     *
     * @param lift wanted ℓ_t, more than 0
     */
    public List<Recipe> recipes(Length lift, List<Cloth> cloths, List<Noodle> noodles) {
        List<Recipe> recipes = new ArrayList<>();
        for (Cloth cloth : cloths) {
            Recipe recipe = of(cloth, lift);
            if (!((Towel) recipe.roll()).rolled().isMoreThan(cloth.length())) {
                recipes.add(recipe);
            }
        }
        for (Noodle noodle : noodles) {
            Recipe recipe = new Recipe(null, noodle, noodle.equivalentLift(contact, Length.ZERO));
            if (missedMm(recipe, lift) <= CLOSE_MM) {
                recipes.add(recipe);
            }
        }
        recipes.sort(Comparator.comparingDouble(recipe -> missedMm(recipe, lift)));
        return List.copyOf(recipes);
    }

    /** The roll of one cloth for a lift; it may want more cloth than there is. */
    public Recipe of(Cloth cloth, Length lift) {
        int layers = layers(cloth, targetWidth);
        double height = lift.millimetres();
        for (int round = 0; round < ROUNDS; round++) {
            double fromBack = height / HEIGHT_PER_MIDDLE;
            height = lift.millimetres() * (contact.millimetres() - fromBack) / contact.millimetres();
        }
        Towel towel = new Towel(
                cloth.thickness(), layers, Towel.rolledFor(Length.ofMillimetres(height), cloth.thickness(), layers));
        return new Recipe(cloth, towel, towel.equivalentLift(contact, Length.ZERO));
    }

    /** REC-6: the whole of a cloth rolled up, folded to the usual width; higher than that it makes nothing. */
    public static Towel whole(Cloth cloth) {
        return new Towel(cloth.thickness(), layers(cloth, USUAL_WIDTH), cloth.length());
    }

    private static int layers(Cloth cloth, Length width) {
        return Math.max(1, (int) Math.round(cloth.width().millimetres() / width.millimetres()));
    }

    private static double missedMm(Recipe recipe, Length lift) {
        return Math.abs(recipe.lift().millimetres() - lift.millimetres());
    }
}
