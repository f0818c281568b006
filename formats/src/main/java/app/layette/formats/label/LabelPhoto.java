package app.layette.formats.label;

import app.layette.formats.label.LabelSays.Said;
import app.layette.formats.label.PrintedWord.Box;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;

/**
 * Reads a photograph of a label. Print is read in several ways of telling ink from paper, and counts as read where at
 * least two say the same, surely, and none surely says otherwise; a code counts before print. Whatever comes out is a
 * proposal: a hand confirms each.
 */
public final class LabelPhoto {
    private static final double SURE = 60;
    private static final int ENOUGH = 2;
    private static final int ROOM = 12;
    private static final int LEAST_SIDE = 60;

    private LabelPhoto() {}

    /** Reads the print of a picture. */
    public interface Print {
        /**
         * Every word, for each way in which the picture was read; empty where nothing here can read print.
         *
         * @param png the picture
         */
        List<List<PrintedWord>> read(byte[] png);
    }

    /**
     * Reads a photograph.
     *
     * @return what it seems to say, in the order of {@link LabelValue.Of}; empty where nothing was found
     */
    public static List<LabelValue> read(BufferedImage photo, Print print) {
        BufferedImage level = Straightened.of(photo);
        List<Map<LabelValue.Of, Said>> readings =
                print.read(png(level)).stream().map(LabelSays::of).toList();
        Optional<LabelCode> code = LabelCode.in(level).or(() -> LabelCode.in(photo));
        Map<LabelValue.Of, String> coded =
                code.map(each -> LabelSays.ofCode(each.text())).orElse(Map.of());
        List<LabelValue> values = new ArrayList<>();
        for (LabelValue.Of of : LabelValue.Of.values()) {
            Optional<LabelValue> printed = printed(of, readings, level);
            if (coded.containsKey(of)) {
                values.add(byCode(of, coded.get(of), printed, code.orElseThrow(), level));
            } else {
                printed.ifPresent(values::add);
            }
        }
        return values;
    }

    /** Where the print plainly says something else than the code, nobody knows which is right. */
    private static LabelValue byCode(
            LabelValue.Of of, String value, Optional<LabelValue> printed, LabelCode code, BufferedImage photo) {
        boolean contradicted = printed.flatMap(LabelValue::value)
                .filter(each -> !each.equalsIgnoreCase(value))
                .isPresent();
        byte[] cutOut = printed.map(LabelValue::cutOut).orElseGet(() -> cut(photo, code.box()));
        return new LabelValue(of, contradicted ? Optional.empty() : Optional.of(value), !contradicted, cutOut);
    }

    private static Optional<LabelValue> printed(
            LabelValue.Of of, List<Map<LabelValue.Of, Said>> readings, BufferedImage photo) {
        List<Said> said = readings.stream()
                .filter(each -> each.containsKey(of))
                .map(each -> each.get(of))
                .toList();
        if (said.isEmpty()) {
            return Optional.empty();
        }
        List<String> sure = said.stream()
                .filter(LabelPhoto::isSure)
                .flatMap(each -> each.value().stream())
                .toList();
        boolean agreed = sure.size() >= ENOUGH && sure.stream().distinct().count() == 1;
        Box box = said.get(0).words().stream()
                .map(PrintedWord::box)
                .reduce(Box::with)
                .orElseThrow();
        return Optional.of(
                new LabelValue(of, agreed ? Optional.of(sure.get(0)) : Optional.empty(), false, cut(photo, box)));
    }

    /** Sure of every word of what was taken for the value: one doubtful word makes all of it doubtful. */
    private static boolean isSure(Said said) {
        return said.value().isPresent()
                && said.words().stream()
                        .filter(word -> word.text().chars().anyMatch(Character::isDigit))
                        .allMatch(word -> word.confidence() >= SURE);
    }

    private static byte[] cut(BufferedImage photo, Box box) {
        int x = Math.max(0, Math.min(photo.getWidth() - 1, box.x() - ROOM));
        int y = Math.max(0, Math.min(photo.getHeight() - 1, box.y() - ROOM));
        int width = Math.min(photo.getWidth() - x, Math.max(LEAST_SIDE, box.width() + 2 * ROOM));
        int height = Math.min(photo.getHeight() - y, Math.max(LEAST_SIDE, box.height() + 2 * ROOM));
        return png(photo.getSubimage(x, y, width, height));
    }

    private static byte[] png(BufferedImage image) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException("A picture in memory cannot be written", e);
        }
        return out.toByteArray();
    }
}
