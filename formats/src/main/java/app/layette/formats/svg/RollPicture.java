package app.layette.formats.svg;

import app.layette.core.measure.Length;
import app.layette.core.recline.roll.Noodle;
import app.layette.core.recline.roll.Towel;
import java.util.Locale;

/**
 * What lies under a foot end from its side, loaded, all at one scale: a cloth with the whole of it rolled up, a noodle
 * alone and three as a triangle. The words beside it carry the meaning.
 */
public final class RollPicture {
    /** Pixels for a millimetre. */
    private static final double SCALE = 0.5;

    private static final double BESIDE_MM = 40;
    private static final double APART_MM = 50;
    private static final int TURNS = 3;

    private RollPicture() {}

    /** A rolled cloth: as broad as the roll was, as high as the load leaves it. */
    public static String of(Towel towel) {
        double across = towel.diameter().millimetres();
        double high = towel.height().millimetres();
        StringBuilder turns = new StringBuilder();
        for (int turn = 0; turn < TURNS; turn++) {
            double share = 1 - (double) turn / TURNS;
            turns.append(
                    round(BESIDE_MM + across / 2, high / 2, across * share, high * share, turn == 0 ? "skin" : "turn"));
        }
        return picture(across, towel.height(), turns.toString());
    }

    /** One noodle, and three taped together: two below, one on them. */
    public static String of(Noodle one, Noodle three) {
        double across = one.diameter().millimetres();
        double high = one.height().millimetres();
        double middle = BESIDE_MM + across * 2 + APART_MM;
        return picture(
                across * 3 + APART_MM,
                three.height(),
                round(BESIDE_MM + across / 2, high / 2, across, high, "skin")
                        + round(middle - across / 2, high / 2, across, high, "skin")
                        + round(middle + across / 2, high / 2, across, high, "skin")
                        + round(middle, three.height().millimetres() - high / 2, across, high, "skin"));
    }

    /** As wide and as high as what lies there asks for, the cushion's line under it. */
    private static String picture(double acrossMm, Length height, String inside) {
        double width = acrossMm + 2 * BESIDE_MM;
        double top = height.millimetres() + 6;
        return "<svg class=\"roll-picture\" viewBox=\"0 " + number(-top) + " " + number(width) + " " + number(top + 6)
                + "\" width=\"" + number(width * SCALE) + "\" height=\"" + number((top + 6) * SCALE)
                + "\" aria-hidden=\"true\"><path class=\"ground\" d=\"M0 0H" + number(width) + "\"/>" + inside
                + "</svg>";
    }

    private static String round(double x, double up, double across, double high, String kind) {
        return "<ellipse class=\"" + kind + "\" cx=\"" + number(x) + "\" cy=\"" + number(-up) + "\" rx=\""
                + number(across / 2) + "\" ry=\"" + number(high / 2) + "\"/>";
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
