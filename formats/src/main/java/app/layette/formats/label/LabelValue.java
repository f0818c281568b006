package app.layette.formats.label;

import java.util.Optional;

/**
 * Something that a label seems to say.
 *
 * @param value what it says, as a form takes it; empty where it is there and cannot be read
 * @param byCode whether a bar or QR code says it
 * @param cutOut the part of the photograph that says it, as a PNG
 */
public record LabelValue(Of of, Optional<String> value, boolean byCode, byte[] cutOut) {
    /** What a label is read for. */
    public enum Of {
        MODEL_NUMBER,
        MADE,
        SERIAL,
        WEIGHT_MIN,
        WEIGHT_MAX,
        LENGTH_MAX,
        STANDARDS
    }
}
