package app.layette.formats.text;

import java.text.Normalizer;

/**
 * Text as everything behind the door expects it: composed (Unicode NFC), with line feeds as its only line breaks, and
 * with nothing in it that is no writing. What could join two numbers into another one becomes a space; what only comes
 * along with pasted text and shows nowhere is left out.
 */
public final class PlainText {
    private static final char REPLACEMENT = '\ufffd';

    private PlainText() {}

    /** The same writing without controls, overrides of direction and broken characters. */
    public static String of(String text) {
        if (isPlain(text)) {
            return text;
        }
        StringBuilder out = new StringBuilder(text.length());
        String lines = text.replace("\r\n", "\n").replace('\r', '\n');
        for (int i = 0; i < lines.length(); i++) {
            char each = lines.charAt(i);
            if (Character.isHighSurrogate(each)
                    && i + 1 < lines.length()
                    && Character.isLowSurrogate(lines.charAt(i + 1))) {
                out.append(each).append(lines.charAt(++i));
            } else if (Character.isSurrogate(each)) {
                out.append(REPLACEMENT);
            } else if (isSilent(each)) {
                continue;
            } else if (isControl(each) || isOverride(each)) {
                out.append(' ');
            } else {
                out.append(each);
            }
        }
        return Normalizer.normalize(out, Normalizer.Form.NFC);
    }

    /** Whether there is nothing to mend. */
    public static boolean isPlain(String text) {
        boolean plainAscii = true;
        for (int i = 0; i < text.length() && plainAscii; i++) {
            char each = text.charAt(i);
            plainAscii = each >= ' ' && each < '\u007f' || each == '\n' || each == '\t';
        }
        return plainAscii;
    }

    private static boolean isControl(char each) {
        return Character.isISOControl(each) && each != '\n' && each != '\t';
    }

    /** Turns the direction of what follows, so that it reads otherwise than it stands. */
    private static boolean isOverride(char each) {
        return each == '\u202d' || each == '\u202e';
    }

    /** Marks of direction and order that programs put round what is copied out of them; they change no reading. */
    private static boolean isSilent(char each) {
        return each >= '\u200e' && each <= '\u200f'
                || each >= '\u202a' && each <= '\u202c'
                || each >= '\u2066' && each <= '\u2069'
                || each == '\u061c'
                || each == '\u00ad'
                || each == '\ufeff';
    }
}
