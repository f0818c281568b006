package app.layette.formats.text;

import java.util.Locale;

/** Constants as documents write them. */
public final class CamelCase {
    private CamelCase() {}

    public static String of(Enum<?> constant) {
        return of(constant.name());
    }

    /** {@code FRONT_ROW} becomes {@code frontRow}. */
    public static String of(String constant) {
        String[] words = constant.toLowerCase(Locale.ROOT).split("_");
        StringBuilder camel = new StringBuilder(words[0]);
        for (int i = 1; i < words.length; i++) {
            camel.append(Character.toUpperCase(words[i].charAt(0))).append(words[i].substring(1));
        }
        return camel.toString();
    }
}
