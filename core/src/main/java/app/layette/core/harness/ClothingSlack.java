package app.layette.core.harness;

import app.layette.core.entry.Fact;
import app.layette.core.measure.Length;

/**
 * How much webbing a thick layer hides (HAR-9): under a snug strap a layer of thickness t is pressed to t_c, and the path
 * of the strap is longer by what it takes to go round the rest.
 *
 * <pre>
 * Δ = max(0, t − t_c)    one shoulder strap ≈ π Δ    both, with hip webbing of one piece ≈ 4.7 Δ
 * </pre>
 *
 * It assumes an even layer and a strap that lies on it all the way round. It only ever warns; nothing passes on it.
 *
 * @param shoulder extra webbing in one shoulder strap
 * @param withHips extra webbing in shoulder strap and hip webbing of one piece
 */
public record ClothingSlack(Length shoulder, Length withHips) {
    /** Half a turn over the shoulder and half under the arm. */
    private static final double ROUND_THE_SHOULDER = Math.PI;
    /** The same with the part over the thigh. */
    private static final double WITH_HIP_WEBBING = 4.7;

    /** Under a layer as it was seen; a measured thickness wins over the usual one. */
    public static ClothingSlack under(Fact.LayerSeen layer) {
        if (layer.loose() != null && layer.pressed() != null) {
            return of(layer.loose(), layer.pressed());
        }
        return switch (layer.garment()) {
            case FLEECE -> usual(5, 2);
            case LIGHT_QUILT -> usual(12, 3);
            case PADDED_COAT -> usual(18, 4);
            case SNOWSUIT -> usual(30, 6);
        };
    }

    private static ClothingSlack usual(double loose, double pressed) {
        return of(Length.ofMillimetres(loose), Length.ofMillimetres(pressed));
    }

    /**
     * Under a layer that was measured.
     *
     * @param loose thickness as worn
     * @param pressed thickness under a snug strap
     */
    public static ClothingSlack of(Length loose, Length pressed) {
        double given = Math.max(0, loose.millimetres() - pressed.millimetres());
        return new ClothingSlack(
                Length.ofMillimetres(ROUND_THE_SHOULDER * given), Length.ofMillimetres(WITH_HIP_WEBBING * given));
    }
}
