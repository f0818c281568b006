package app.layette.web.paper;

import java.util.Set;

/** Sizes that printers hold. */
public enum PaperSize {
    A4("A4"),
    LETTER("letter");

    private static final Set<String> ON_LETTER = Set.of("US", "CA", "MX", "PH", "CL", "CO");

    private final String css;

    PaperSize(String css) {
        this.css = css;
    }

    /** The size as a style sheet calls it. */
    public String css() {
        return css;
    }

    /** What is usual in a country, by its two letters (ISO 3166-1). */
    public static PaperSize in(String country) {
        return ON_LETTER.contains(country) ? LETTER : A4;
    }
}
