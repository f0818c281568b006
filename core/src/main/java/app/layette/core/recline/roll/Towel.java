package app.layette.core.recline.roll;

import app.layette.core.measure.Length;

/**
 * A rolled towel: D = 2 √(n t s / π), h = 0.75 D.
 *
 * @param thickness t of one layer of cloth
 * @param layers n, how often it was folded before rolling, 1 or more
 * @param rolled s, length of it that is rolled up
 */
public record Towel(Length thickness, int layers, Length rolled) implements Roll {
    /** What a loaded roll of cloth keeps of its diameter. */
    private static final double KEPT = 0.75;

    public Towel {
        if (layers < 1) {
            throw new IllegalArgumentException("The layers (" + layers + ") must be counted; allowed [1, …)");
        }
    }

    /** s = π (h / 0.75)² / (4 n t), the length to roll up for a wanted height. */
    static Length rolledFor(Length height, Length thickness, int layers) {
        double diameter = height.millimetres() / KEPT;
        return Length.ofMillimetres(Math.PI * diameter * diameter / (4 * layers * thickness.millimetres()));
    }

    /** D, the roll's diameter before it is loaded. */
    public Length diameter() {
        return Length.ofMillimetres(2 * Math.sqrt(layers * thickness.millimetres() * rolled.millimetres() / Math.PI));
    }

    @Override
    public Length height() {
        return Length.ofMillimetres(diameter().millimetres() * KEPT);
    }

    @Override
    public Length fromSeatBack() {
        return Length.ofMillimetres(diameter().millimetres() / 2);
    }
}
