package app.layette.formats.svg;

import app.layette.core.measure.Length;
import app.layette.core.seat.SeatKind;
import app.layette.core.seat.SeatSheet;
import java.util.Locale;
import java.util.Optional;

/**
 * A restraint from the side, small, to be picked from among others: all at one scale, so that the taller shell looks
 * taller. Dotted where nobody measured it. The name beside it carries the meaning.
 */
public final class CarrierPicture {
    private static final double USUAL_TOP = 460;
    private static final double USUAL_BED = 720;

    private CarrierPicture() {}

    /** The picture of a restraint. */
    public static String of(SeatSheet seat) {
        Optional<Double> top = seat.shell().top().value().map(Length::millimetres);
        String known = top.isPresent() ? "" : " unknown";
        return "<svg class=\"carrier" + known
                + "\" viewBox=\"-60 -40 860 660\" width=\"86\" height=\"66\" aria-hidden=\"true\">"
                + (lies(seat.kind())
                        ? bed(top.orElse(USUAL_BED))
                        : shell(top.orElse(USUAL_TOP), seat.kind() == SeatKind.CONVERTIBLE))
                + "</svg>";
    }

    private static boolean lies(SeatKind kind) {
        return kind == SeatKind.CAR_BED || kind == SeatKind.LAY_FLAT;
    }

    /** The back leans back from the hips; the seat runs forward from them; the handle stands over both. */
    private static String shell(double top, boolean oneForAll) {
        double lean = Math.toRadians(45);
        double hipX = 390;
        double hipY = 520;
        double headX = hipX - top * Math.sin(lean);
        double headY = hipY - top * Math.cos(lean);
        String back = "M" + pair(headX - 22, headY + 30) + "Q" + pair(headX - 10, headY - 26) + " "
                + pair(headX + 26, headY + 2) + "L" + pair(hipX, hipY - 40) + "Q" + pair(hipX + 60, hipY) + " "
                + pair(hipX + 170, hipY - 20) + "L" + pair(hipX + 300, hipY - 130) + "Q" + pair(hipX + 330, hipY - 40)
                + " " + pair(hipX + 230, hipY + 40) + "L" + pair(hipX - 10, hipY + 60) + "Q"
                + pair(hipX - 80, hipY + 40)
                + " " + pair(headX - 22, headY + 30) + "Z";
        String handle = oneForAll
                ? "<path class=\"handle\" d=\"M240 586H700\"/>"
                : "<path class=\"handle\" d=\"M" + pair(hipX + 70, hipY - 60) + "L"
                        + pair(hipX + 50, hipY - 60 - top * 0.86)
                        + "\"/><circle class=\"hub\" cx=\"" + number(hipX + 70) + "\" cy=\"" + number(hipY - 60)
                        + "\" r=\"16\"/>";
        return "<path class=\"shell\" d=\"" + back + "\"/>" + handle;
    }

    private static String bed(double length) {
        double from = (780 - length) / 2;
        return "<path class=\"shell\" d=\"M" + pair(from, 330) + "V470Q" + pair(from, 520) + " " + pair(from + 60, 520)
                + "H" + number(780 - from - 60) + "Q" + pair(780 - from, 520) + " " + pair(780 - from, 470)
                + "V330\"/><path class=\"handle\" d=\"M" + pair(from, 330) + "H" + number(780 - from) + "\"/>";
    }

    private static String pair(double x, double y) {
        return number(x) + " " + number(y);
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.0f", value);
    }
}
