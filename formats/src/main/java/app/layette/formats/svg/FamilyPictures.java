package app.layette.formats.svg;

import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.Recline.DeviceKind;
import java.util.Locale;

/**
 * The small drawings of the page that hangs on a family's fridge: this slot, this setting, this handle, and each ride in
 * six. They carry their own inks, so that screen and paper show the same; the words under a drawing say what it means.
 */
public final class FamilyPictures {
    /** What stands in the sixth drawing of a ride: how it is fixed each time. */
    public enum Fixing {
        BASE,
        AMERICAN,
        EUROPEAN,
        BELTED
    }

    private static final String INK = "#22282c";
    private static final String PAPER = "#ffffff";
    private static final String SET = "#9f2f2a";
    private static final String WASH = "#f6e4df";
    private static final String SKIN = "#f6e2cf";
    private static final String CLOTH = "#dfe6e2";
    private static final String WEBBING = "#6f675c";
    private static final String SEAT = "#ece5d6";

    private FamilyPictures() {}

    private static String open(int width, int height) {
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" class=\"family-picture\" viewBox=\"0 0 " + width + " "
                + height + "\" width=\"" + width + "\" height=\"" + height + "\" aria-hidden=\"true\">";
    }

    private static String path(String d, String fill, String stroke, double width) {
        return "<path d=\"" + d + "\" fill=\"" + fill + "\" stroke=\"" + stroke + "\" stroke-width=\"" + width
                + "\" stroke-linejoin=\"round\" stroke-linecap=\"round\"/>";
    }

    private static String circle(double x, double y, double r, String fill) {
        return "<circle cx=\"" + x + "\" cy=\"" + y + "\" r=\"" + r + "\" fill=\"" + fill + "\" stroke=\"" + INK
                + "\" stroke-width=\"1.6\"/>";
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    /**
     * The shell from the front with its slots; the one in use is filled.
     *
     * @param slots how many rows, 1 or more
     * @param chosen counted from the bottom, from 1
     */
    public static String slot(int slots, int chosen) {
        StringBuilder svg = new StringBuilder(open(240, 140))
                .append(path("M64 132C60 70 74 8 120 8C166 8 180 70 176 132Z", PAPER, INK, 2.2));
        double apart = 84.0 / Math.max(3, slots);
        for (int slot = 1; slot <= slots; slot++) {
            double y = 118 - (slot - 1) * apart - 8;
            String fill = slot == chosen ? SET : PAPER;
            String edge = slot == chosen ? SET : INK;
            for (int x : new int[] {90, 128}) {
                svg.append("<rect x=\"" + x + "\" y=\"" + number(y) + "\" width=\"22\" height=\"7\" fill=\"" + fill
                        + "\" stroke=\"" + edge + "\" stroke-width=\"1.6\"/>");
            }
            if (slot == chosen) {
                svg.append(path(
                        "M196 " + number(y + 3.5) + "H182M188 " + number(y - 1.5) + "L182 " + number(y + 3.5) + "L188 "
                                + number(y + 8.5),
                        "none",
                        SET,
                        2));
            }
        }
        return svg.append("</svg>").toString();
    }

    /**
     * The base on the cushion with its recline device at a setting.
     *
     * @param step as the seat calls it
     */
    public static String device(DeviceKind kind, String step) {
        String base = path("M20 96C26 74 60 72 132 86L128 122C90 124 30 116 20 96Z", SEAT, "#8f8675", 1.6)
                + path("M150 128C140 110 158 30 176 10L214 10C202 60 186 112 172 128Z", SEAT, "#8f8675", 1.6)
                + path("M42 74C40 62 52 56 64 56H116C132 58 142 72 140 88L60 84C48 84 43 80 42 74Z", PAPER, INK, 2.2);
        String device = switch (kind) {
            case FOOT, STAND -> path("M118 86L136 88L134 108L116 106Z", WASH, SET, 2.2);
            case DIAL ->
                "<circle cx=\"92\" cy=\"70\" r=\"12\" fill=\"" + WASH + "\" stroke=\"" + SET
                        + "\" stroke-width=\"2.2\"/>" + path("M92 70L99 62", "none", SET, 2.2);
            case SLIDE -> path("M56 66H126M112 60L124 66L112 72", "none", SET, 2.6);
            case LEG -> path("M44 78V130H34V134H58V130H54V80", WASH, SET, 2.2);
            case NONE -> "";
        };
        String mark = step.length() > 4 ? "" : text(step, 206, 112, 34);
        return open(240, 140) + base + device + mark + "</svg>";
    }

    private static String text(String words, double x, double y, int size) {
        String safe = words.replace("&", "&amp;").replace("<", "&lt;");
        return "<text x=\"" + x + "\" y=\"" + y + "\" text-anchor=\"middle\" font-family=\"Source Sans 3, sans-serif\""
                + " font-weight=\"600\" font-size=\"" + size + "\" fill=\"" + SET + "\">" + safe + "</text>";
    }

    /** The carrier from the side with its handle where it belongs for driving. */
    public static String handle(HandlePosition position) {
        String handle = switch (position) {
            case UP -> "M126 84L122 12";
            case TOWARDS_HEAD_END -> "M126 84L62 40";
            case TOWARDS_FOOT_END -> "M126 84L192 52";
            case DOWN -> "M126 84L150 128";
        };
        return open(240, 140)
                + path(
                        "M58 34C50 30 46 36 52 44L96 112C104 122 150 124 170 114C182 106 190 84 188 66",
                        "none",
                        INK,
                        2.4)
                + path("M84 66C96 60 110 74 116 84L146 80L160 96L132 100L112 110C98 104 86 84 84 66Z", CLOTH, INK, 1.6)
                + circle(84, 52, 14, SKIN) + path(handle, "none", SET, 6) + circle(126, 84, 5, PAPER) + "</svg>";
    }

    /** The insert's cushion, in the shell or beside it. */
    public static String insert(boolean in) {
        String cushion = in
                ? "M96 62C96 48 144 48 144 62V104C144 116 96 116 96 104Z"
                : "M196 62C196 50 232 50 232 62V104C232 114 196 114 196 104Z";
        return open(240, 140)
                + path("M64 132C60 70 74 8 120 8C166 8 180 70 176 132Z", PAPER, INK, 2.2)
                + path(cushion, in ? WASH : PAPER, SET, 2.2) + "</svg>";
    }

    /** How the belt goes round a carrier that rides without its base. */
    public static String belt(Fixing fixing) {
        return open(240, 140)
                + path("M20 128H220", "none", "#8f8675", 1.6)
                + path(
                        "M58 34C50 30 46 36 52 44L96 112C104 122 150 124 170 114C182 106 190 84 188 66",
                        "none",
                        INK,
                        2.4)
                + path("M84 66C96 60 110 74 116 84L146 80L160 96L132 100L112 110C98 104 86 84 84 66Z", CLOTH, INK, 1.6)
                + circle(84, 52, 14, SKIN)
                + (fixing == Fixing.EUROPEAN
                        ? path("M214 30C170 14 90 6 44 40C40 70 66 108 96 114", "none", WEBBING, 5)
                        : fixing == Fixing.AMERICAN ? path("M214 30L206 112", "none", WEBBING, 5) : "")
                + path("M206 114L150 96L96 96", "none", WEBBING, 5) + "</svg>";
    }

    /**
     * One of the six drawings of a ride.
     *
     * @param place 1 to 6
     * @param clip whether the seat has a chest clip
     */
    public static String ride(int place, boolean clip, Fixing fixing) {
        if (place == 6) {
            return lastOfRide(fixing);
        }
        StringBuilder svg = new StringBuilder(open(100, 112));
        svg.append(path("M30 92L34 48C34 42 66 42 66 48L70 92Z", CLOTH, INK, 2));
        if (place == 1) {
            svg.append(path("M18 56L10 96M82 56L90 96", "none", WEBBING, 5))
                    .append(path("M22 40C14 46 12 56 14 64M78 40C86 46 88 56 86 64", "none", SET, 1.8));
        } else {
            svg.append(path("M40 46L46 92M60 46L54 92", "none", WEBBING, 5));
        }
        svg.append(circle(50, 28, 17, SKIN)).append(path("M43 29q2.5 2 5 0M52 29q2.5 2 5 0", "none", INK, 1.4));
        switch (place) {
            case 2 ->
                svg.append(path("M22 78L34 84M78 78L66 84M28 78L34 84L27 87M72 78L66 84L73 87", "none", SET, 1.8));
            case 3 ->
                svg.append("<rect x=\"41\" y=\"84\" width=\"18\" height=\"12\" rx=\"2\" fill=\"" + WASH + "\" stroke=\""
                        + SET + "\" stroke-width=\"2\"/>");
            case 4 -> svg.append(path("M50 90V108M45 102L50 109L55 102", "none", SET, 2.2));
            case 5 ->
                svg.append(
                        clip
                                ? "<rect x=\"36\" y=\"58\" width=\"28\" height=\"8\" fill=\"" + PAPER + "\" stroke=\""
                                        + SET + "\" stroke-width=\"2\"/>"
                                : path("M34 62H28M66 62H72", "none", SET, 2.2));
            default -> {
                // The first has nothing more.
            }
        }
        return svg.append("</svg>").toString();
    }

    private static String lastOfRide(Fixing fixing) {
        String carrier = path("M18 22C13 20 11 24 15 29L38 62C42 67 66 68 76 63C82 58 86 48 85 38", "none", INK, 2)
                + circle(30, 32, 8, SKIN);
        String how = switch (fixing) {
            case BASE ->
                path("M26 92C26 84 34 82 40 82H72C80 82 84 88 82 98L38 96C30 96 26 95 26 92Z", PAPER, INK, 2)
                        + path("M52 66V80M47 75L52 81L57 75", "none", SET, 2.2);
            case AMERICAN -> path("M92 8L90 70L60 58H38", "none", WEBBING, 4);
            case EUROPEAN -> path("M92 12C70 2 26 4 10 22C8 36 24 58 38 64M90 70L60 58H38", "none", WEBBING, 4);
            case BELTED -> path("M30 92H74M37 86L30 92L37 98M67 86L74 92L67 98", "none", SET, 2.2);
        };
        return open(100, 112) + carrier + how + "</svg>";
    }
}
