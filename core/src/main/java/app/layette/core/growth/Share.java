package app.layette.core.growth;

import app.layette.core.measure.Length;

/**
 * A seated height as a share of the child's length: ρ of the handbook, section 8, growth.
 *
 * @param least for the latest day, more than 0
 * @param likely where nothing speaks for more or less
 * @param most for the earliest day
 */
public record Share(double least, double likely, double most) {
    /** Shoulder over length where it was not measured. */
    public static final Share USUAL_SHOULDER = spread(0.43);
    /** Crown over length where it was not measured. */
    public static final Share USUAL_CROWN = spread(0.66);

    private static final double SPREAD = 0.07;
    private static final Length LEAST = Length.ofMillimetres(0.01);

    private static Share spread(double share) {
        return new Share(share * (1 - SPREAD), share, share * (1 + SPREAD));
    }

    /** The child's own, measured. */
    public static Share of(Length height, Length length) {
        double share = height.millimetres() / length.millimetres();
        return new Share(share, share, share);
    }

    /** The same, kept between two heights that were seen at a length. */
    public Share within(Length low, Length high, Length length) {
        double from = low.millimetres() / length.millimetres();
        // Seen below the upper one: it lies there and no nearer than a length can say.
        double to = high.minus(LEAST).millimetres() / length.millimetres();
        return new Share(within(least, from, to), within(likely, from, to), within(most, from, to));
    }

    private static double within(double share, double from, double to) {
        return Math.max(from, Math.min(to, share));
    }
}
