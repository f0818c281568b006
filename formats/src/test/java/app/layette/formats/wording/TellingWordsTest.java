package app.layette.formats.wording;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.measure.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Whatever decides about a place has a few words that fit into the drawing of the car. */
class TellingWordsTest {
    private static final int LONGEST = 30;
    private static final Pattern OF_A_PLACE =
            Pattern.compile("((CAB-(1|2|4|6|8|9|11|13)|SUIT-10|SEC-1|SEC-8|OUT-4)\\.\\w+)");

    /** What speaks for a place, and what is judged only once something is fixed there. */
    private static final Set<String> NEVER_DECIDES = Set.of(
            "CAB-1.noAirbag",
            "CAB-1.frontRowAllowed",
            "CAB-1.airbagOff",
            "CAB-1.offSeen",
            "CAB-1.backRow",
            "CAB-1.noPlaceCan",
            "CAB-2.forward",
            "CAB-2.unusualAllowed",
            "CAB-4.ownPair",
            "CAB-4.borrowedAllowed",
            "CAB-6.plainBelt",
            "CAB-6.inflatableAllowed",
            "CAB-8.noLeg",
            "CAB-8.floorForLeg",
            "CAB-8.lockedOnFloor",
            "CAB-8.storageAllowed",
            "CAB-11.bedPlaceNamed",
            "CAB-11.twoPlaces",
            "CAB-13.methodOfKind",
            "SUIT-10.under",
            "SEC-1.locks",
            "SEC-1.held",
            "SEC-8.clickedAndLifted",
            "SEC-8.europeanAllowed",
            "SEC-8.americanAllowed",
            "OUT-4.inThisCar",
            "OUT-4.whichCar",
            "OUT-4.oneRiderOneUnit",
            "OUT-4.eachItsOwn");

    @Test
    void everyReasonThatDecidesIsSaidShort() {
        for (Locale language : List.of(Locale.ENGLISH, Locale.forLanguageTag("es"))) {
            Wording words = new Wording(language, UnitSystem.METRIC);
            int said = 0;
            Set<String> missing = new TreeSet<>();
            List<String> tooLong = new ArrayList<>();
            for (String key : words.under("finding.").keySet()) {
                Matcher found = OF_A_PLACE.matcher(key);
                if (!found.matches() || NEVER_DECIDES.contains(found.group(1))) {
                    continue;
                }
                said++;
                String shortKey = "drawing.cabin.short." + found.group(1);
                if (!words.knows(shortKey)) {
                    missing.add(shortKey);
                } else if (words.say(shortKey).length() > LONGEST) {
                    tooLong.add(shortKey);
                }
            }
            assertThat(said).isGreaterThan(50);
            assertThat(missing).as("%s", language).isEmpty();
            assertThat(tooLong).as("too long for the drawing, %s", language).isEmpty();
        }
    }
}
