package app.layette.formats.svg;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.Properties;

/**
 * Small pictures of what one sees, to answer a question by choosing. They are data ({@code answers.properties}); the
 * words beside a picture carry the meaning, so each picture is hidden from a screen reader.
 */
public final class AnswerPicture {
    private static final String OPEN =
            "<svg class=\"answer-picture\" viewBox=\"0 0 96 60\" width=\"96\" height=\"60\" aria-hidden=\"true\">";
    private static final Properties DRAWN = load();

    private AnswerPicture() {}

    /**
     * The picture of an answer.
     *
     * @param question name of the question
     * @param answer name of the answer
     * @return an SVG; empty when nothing is drawn for it
     */
    public static Optional<String> of(String question, String answer) {
        return Optional.ofNullable(DRAWN.getProperty(question + "." + answer))
                .map(drawn -> OPEN + withParts(drawn) + "</svg>");
    }

    /**
     * The shoulder among harness slots that are drawn evenly.
     *
     * @param slots number of slots, 1 or more
     * @param atOrBelow the slot at or next below the shoulder; 0 when it is below them all
     */
    public static String shoulder(int slots, int atOrBelow) {
        double apart = 44.0 / (slots + 1);
        StringBuilder svg = new StringBuilder(OPEN).append("<path class=\"o\" d=\"M16 58V4h64v54\"/>");
        for (int slot = 1; slot <= slots; slot++) {
            String y = number(56 - slot * apart);
            svg.append("<path class=\"w\" d=\"M26 ")
                    .append(y)
                    .append("h12M58 ")
                    .append(y)
                    .append("h12\"/>");
        }
        String shoulder = number(56 - (atOrBelow + 0.5) * apart);
        return svg.append("<path class=\"r\" d=\"M8 ")
                .append(shoulder)
                .append("h80\"/></svg>")
                .toString();
    }

    private static String number(double value) {
        return String.valueOf(Math.round(value * 10) / 10.0);
    }

    private static String withParts(String drawn) {
        int first = drawn.indexOf('<');
        String own = first < 0 ? "" : drawn.substring(first);
        String names = first < 0 ? drawn : drawn.substring(0, first);
        StringBuilder all = new StringBuilder();
        for (String part : names.strip().split(" ")) {
            if (!part.isEmpty()) {
                all.append(DRAWN.getProperty(part));
            }
        }
        return all.append(own).toString();
    }

    private static Properties load() {
        Properties drawn = new Properties();
        try (Reader reader = new InputStreamReader(
                AnswerPicture.class.getResourceAsStream("answers.properties"), StandardCharsets.UTF_8)) {
            drawn.load(reader);
            return drawn;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
