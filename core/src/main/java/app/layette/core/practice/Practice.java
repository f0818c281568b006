package app.layette.core.practice;

import java.time.ZoneId;

/**
 * Where and how a fitting is done.
 *
 * @param profile the answers on which schools differ
 * @param lawCountry country whose law and label approvals count where the family drives, ISO 3166 alpha-2
 * @param zone of the fitting point; ages and "today" are counted in it
 */
public record Practice(PracticeProfile profile, String lawCountry, ZoneId zone) {}
