package app.layette.formats.label;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;

/** A photograph of a label turned so that its lines lie level: print is read badly where it slants. */
final class Straightened {
    private static final int LOOK_WIDTH = 480;
    private static final double MOST_TILT = 15;
    private static final double STEP = 0.5;
    private static final double NOT_WORTH_TURNING = 0.4;
    private static final int EDGE = 24;

    private Straightened() {}

    static BufferedImage of(BufferedImage photo) {
        double tilt = tilt(photo);
        return Math.abs(tilt) < NOT_WORTH_TURNING ? photo : turned(photo, -tilt);
    }

    /** The angle at which the lines lie, in degrees, clockwise: along it the ink gathers in the fewest rows. */
    static double tilt(BufferedImage photo) {
        int width = Math.min(LOOK_WIDTH, photo.getWidth());
        int height = Math.max(1, photo.getHeight() * width / photo.getWidth());
        int[][] ink = ink(scaled(photo, width, height));
        double best = 0;
        double most = -1;
        for (double angle = -MOST_TILT; angle <= MOST_TILT; angle += STEP) {
            double sharp = sharpness(ink, Math.tan(Math.toRadians(angle)));
            if (sharp > most) {
                most = sharp;
                best = angle;
            }
        }
        return best;
    }

    private static BufferedImage scaled(BufferedImage photo, int width, int height) {
        BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D pen = small.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        pen.drawImage(photo, 0, 0, width, height, null);
        pen.dispose();
        return small;
    }

    /** Where light turns to dark going down: the tops and feet of letters, whatever the light is. */
    private static int[][] ink(BufferedImage gray) {
        int[][] ink = new int[gray.getHeight()][gray.getWidth()];
        for (int y = 1; y < gray.getHeight(); y++) {
            for (int x = 0; x < gray.getWidth(); x++) {
                int step = Math.abs(
                        gray.getRaster().getSample(x, y, 0) - gray.getRaster().getSample(x, y - 1, 0));
                ink[y][x] = step > EDGE ? 1 : 0;
            }
        }
        return ink;
    }

    private static double sharpness(int[][] ink, double slope) {
        int height = ink.length;
        double[] rows = new double[height];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < ink[y].length; x++) {
                int row = (int) Math.round(y - (x - ink[y].length / 2.0) * slope);
                if (ink[y][x] == 1 && row >= 0 && row < height) {
                    rows[row]++;
                }
            }
        }
        double sum = 0;
        for (double row : rows) {
            sum += row * row;
        }
        return sum;
    }

    private static BufferedImage turned(BufferedImage photo, double degrees) {
        BufferedImage level = new BufferedImage(photo.getWidth(), photo.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = level.createGraphics();
        pen.setColor(Color.GRAY);
        pen.fillRect(0, 0, level.getWidth(), level.getHeight());
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        pen.drawImage(
                photo,
                AffineTransform.getRotateInstance(
                        Math.toRadians(degrees), photo.getWidth() / 2.0, photo.getHeight() / 2.0),
                null);
        pen.dispose();
        return level;
    }
}
