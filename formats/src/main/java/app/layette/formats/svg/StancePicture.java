package app.layette.formats.svg;

import app.layette.core.stance.Stance;
import app.layette.core.stance.Stance.Pull;
import app.layette.core.vehicle.Side;

/**
 * A small picture of where to stand and which way to pull: the car's row from above, its front to the left as in the
 * cabin, so that the car's right side is above. The words beside it carry the meaning.
 */
public final class StancePicture {
    private static final int ROW_X = 46;
    private static final int PLACE = 18;

    private StancePicture() {}

    public static String of(Stance stance) {
        int at = middleOf(stance.place().side());
        StringBuilder svg = new StringBuilder("<svg class=\"stance-picture\" viewBox=\"0 0 112 96\" width=\"112\" "
                + "height=\"96\" aria-hidden=\"true\"><rect class=\"car\" x=\"14\" y=\"14\" width=\"84\" height=\"68\" "
                + "rx=\"12\"/>");
        for (Side side : Side.values()) {
            boolean here = side == stance.place().side();
            svg.append("<rect class=\"")
                    .append(here ? "here" : "place")
                    .append("\" x=\"")
                    .append(ROW_X)
                    .append("\" y=\"")
                    .append(middleOf(side) - PLACE / 2)
                    .append("\" width=\"30\" height=\"")
                    .append(PLACE)
                    .append("\" rx=\"3\"/>");
        }
        svg.append(person(stance.door(), "stander"));
        stance.helper().ifPresent(side -> svg.append(person(side, "helper")));
        stance.pull().ifPresent(pull -> svg.append(arrow(pull, at)));
        return svg.append("</svg>").toString();
    }

    private static int middleOf(Side side) {
        return switch (side) {
            case RIGHT -> 27;
            case MIDDLE -> 48;
            case LEFT -> 69;
        };
    }

    private static String person(Side door, String how) {
        int y = door == Side.RIGHT ? 6 : 90;
        return "<circle class=\"" + how + "\" cx=\"61\" cy=\"" + y + "\" r=\"5\"/>";
    }

    private static String arrow(Pull pull, int at) {
        return switch (pull) {
            case TO_THE_RIGHT -> path(61, at, 0, -15);
            case TO_THE_LEFT -> path(61, at, 0, 15);
            case TO_THE_FRONT -> path(56, at, -32, 0);
            case INTO_THE_SEAT -> path(48, at, 34, 0);
        };
    }

    private static String path(int x, int y, int dx, int dy) {
        int tipX = x + dx;
        int tipY = y + dy;
        int backX = tipX - Integer.signum(dx) * 6;
        int backY = tipY - Integer.signum(dy) * 6;
        int wing = 4;
        int wingX = dx == 0 ? wing : 0;
        int wingY = dy == 0 ? wing : 0;
        return "<path class=\"pull\" d=\"M" + x + " " + y + "L" + tipX + " " + tipY + "M" + (backX - wingX) + " "
                + (backY - wingY) + "L" + tipX + " " + tipY + "L" + (backX + wingX) + " " + (backY + wingY) + "\"/>";
    }
}
