package app.layette.web.account;

import app.layette.core.entry.FieldProblem;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What a fitting point is asked about itself, when it is opened and later. */
public final class PointFields {
    /** Most letters of its name. */
    public static final int LONGEST_NAME = 120;

    private PointFields() {}

    /**
     * A place, not a mere distance from Greenwich: summer time has to be known.
     *
     * @param problems takes what is wrong
     */
    public static Optional<ZoneId> zone(String text, List<FieldProblem> problems) {
        if (ZoneId.getAvailableZoneIds().contains(text)) {
            return Optional.of(ZoneId.of(text));
        }
        problems.add(new FieldProblem("zone", text, "NOT_A_ZONE", "America/Chicago", ""));
        return Optional.empty();
    }

    /**
     * The country whose law counts, as two capitals (ISO 3166).
     *
     * @param problems takes what is wrong
     */
    public static String country(String text, List<FieldProblem> problems) {
        String country = text.toUpperCase(Locale.ROOT);
        if (!Arrays.asList(Locale.getISOCountries()).contains(country)) {
            problems.add(new FieldProblem("lawCountry", country, "NOT_A_COUNTRY", "US", ""));
        }
        return country;
    }
}
