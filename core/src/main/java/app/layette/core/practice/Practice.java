package app.layette.core.practice;

import java.time.ZoneId;
import java.util.Optional;

/**
 * Where and how a fitting is done.
 *
 * @param profile the answers on which schools differ
 * @param lawCountry country whose law and label approvals count where the family drives, ISO 3166 alpha-2; empty where
 *     nobody said
 * @param zone of the fitting point; ages and "today" are counted in it
 */
public record Practice(PracticeProfile profile, Optional<String> lawCountry, ZoneId zone) {
    /** Where the law that counts is known. */
    public Practice(PracticeProfile profile, String lawCountry, ZoneId zone) {
        this(profile, Optional.of(lawCountry), zone);
    }
}
