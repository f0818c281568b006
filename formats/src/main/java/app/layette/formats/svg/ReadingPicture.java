package app.layette.formats.svg;

import app.layette.core.seat.Indicator.Kind;
import app.layette.core.seat.Indicator.Reading;

/**
 * A small picture of what a level indicator looks like at a reading, to choose from. The upright side is drawn to the
 * left, as in the side view the head end is; the words beside the picture carry the meaning.
 */
public final class ReadingPicture {
    private static final String OPEN =
            "<svg xmlns=\"http://www.w3.org/2000/svg\" class=\"reading\" viewBox=\"0 0 126 34\" width=\"126\" height=\"34\" aria-hidden=\"true\">";

    private ReadingPicture() {}

    public static String of(Kind kind, Reading reading) {
        return OPEN
                + switch (kind) {
                    case BUBBLE -> tube("oval", bubbleAt(reading));
                    case BALL -> tube("ball", 126 - bubbleAt(reading));
                    case POINTER -> pointer(reading);
                    case WINDOW -> window(reading);
                    case LINE -> line(reading);
                }
                + "</svg>";
    }

    /** A bubble rises to the higher end: too upright, the head end is high, which is drawn left. */
    private static int bubbleAt(Reading reading) {
        return switch (reading) {
            case OUTSIDE_UPRIGHT -> 22;
            case PART_UPRIGHT -> 46;
            case INSIDE -> 63;
            case PART_RECLINED -> 80;
            case OUTSIDE_RECLINED -> 104;
        };
    }

    private static String tube(String what, int at) {
        String mark = what.equals("oval")
                ? "<ellipse class=\"mark\" cx=\"" + at + "\" cy=\"17\" rx=\"13\" ry=\"6.5\"/>"
                : "<circle class=\"ball\" cx=\"" + at + "\" cy=\"17\" r=\"7.5\"/>";
        return "<rect class=\"tube\" x=\"1\" y=\"7\" width=\"124\" height=\"20\" rx=\"10\"/>" + mark
                + "<path class=\"lines\" d=\"M46 7v20M80 7v20\"/>";
    }

    private static String pointer(Reading reading) {
        int at = bubbleAt(reading);
        return "<path class=\"out\" d=\"M4 26A90 90 0 0 1 122 26L112 33A76 76 0 0 0 14 33Z\"/>"
                + "<path class=\"in\" d=\"M45 9A90 90 0 0 1 81 9L78 21A76 76 0 0 0 48 21Z\"/>"
                + "<path class=\"needle\" d=\"M63 34L" + at + " 8\"/>";
    }

    private static String window(Reading reading) {
        int border = switch (reading) {
            case OUTSIDE_UPRIGHT -> 126;
            case PART_UPRIGHT -> 56;
            case INSIDE, PART_RECLINED, OUTSIDE_RECLINED -> 38;
        };
        int second = switch (reading) {
            case OUTSIDE_RECLINED -> 38;
            case PART_RECLINED -> 72;
            default -> 88;
        };
        return "<rect class=\"in\" x=\"38\" y=\"5\" width=\"50\" height=\"24\"/><rect class=\"out\" x=\"38\" y=\"5\" width=\""
                + Math.max(0, Math.min(88, border) - 38) + "\" height=\"24\"/><rect class=\"out2\" x=\"" + second
                + "\" y=\"5\" width=\"" + (88 - second)
                + "\" height=\"24\"/><rect class=\"frame\" x=\"38\" y=\"5\" width=\"50\" height=\"24\" rx=\"3\"/>";
    }

    private static String line(Reading reading) {
        int slope = switch (reading) {
            case OUTSIDE_UPRIGHT -> -10;
            case PART_UPRIGHT -> -5;
            case INSIDE -> 0;
            case PART_RECLINED -> 5;
            case OUTSIDE_RECLINED -> 10;
        };
        return "<path class=\"ground\" d=\"M6 30H120\"/><path class=\"needle\" d=\"M18 " + (16 + slope) + "L108 "
                + (16 - slope) + "\"/>";
    }
}
