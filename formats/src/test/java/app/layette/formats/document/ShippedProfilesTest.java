package app.layette.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.measure.Length;
import app.layette.core.practice.PracticeProfile;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the three practices that ship with the program say, cell by cell: each is judged by, and none is checked elsewhere. */
class ShippedProfilesTest {
    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                "north-american-clinic, CUSTOMARY, PINCH, 25, MOST_RECLINED, CHILD_ON_TABLE_FIRST, NOT_ALLOWED, WHERE_INDICATED, 30, NORTH_AMERICA_65_LB, 24, -, EUROPEAN, LOCK_OFF_ALONE",
                "european-i-size-point, METRIC, ONE_FINGER_SHOULDER, 25, MIDDLE, CHILD_ON_TABLE_FIRST, NOT_ALLOWED, WHERE_INDICATED, 30, R129_33_KG, 15, 760, EUROPEAN, LOCK_OFF_ALONE",
                "hospital-discharge-cautious, CUSTOMARY, PINCH, 50, MOST_RECLINED, CHILD_ON_TABLE_FIRST, ALLOWED, EVERYONE, 14, NORTH_AMERICA_65_LB, 24, -, EUROPEAN, BOTH"
            })
    void eachSaysWhatItsSchoolTeaches(
            String id,
            String units,
            String snugTest,
            double headRoom,
            String target,
            String order,
            String rolls,
            String screening,
            int recallDays,
            String anchorLimit,
            int months,
            Double length,
            String routingFirst,
            String retractor) {
        PracticeProfile profile = SheetReader.profile(ShippedProfiles.json(id));
        assertThat(profile.units()).hasToString(units);
        assertThat(profile.snugTest()).hasToString(snugTest);
        assertThat(profile.headRoom().millimetres()).isEqualTo(headRoom);
        assertThat(profile.newbornTarget()).hasToString(target);
        assertThat(profile.childOrder()).hasToString(order);
        assertThat(profile.rollsBeside()).hasToString(rolls);
        assertThat(profile.screening()).hasToString(screening);
        assertThat(profile.recallDays()).isEqualTo(recallDays);
        assertThat(profile.anchorLimit()).hasToString(anchorLimit);
        assertThat(profile.rearFacing().months()).isEqualTo(months);
        Length until = profile.rearFacing().length();
        assertThat(until == null ? null : until.millimetres()).isEqualTo(length);
        assertThat(profile.routingFirst()).hasToString(routingFirst);
        assertThat(profile.retractorBesides()).hasToString(retractor);
    }

    /** JRN-1 and the thresholds on which the three schools agree. */
    @ParameterizedTest
    @CsvSource({"north-american-clinic", "european-i-size-point", "hospital-discharge-cautious"})
    void allAgreeOnBreaksGapAndTheFirstWeeks(String id) {
        PracticeProfile profile = SheetReader.profile(ShippedProfiles.json(id));
        assertThat(profile.breaks()).isEqualTo(new PracticeProfile.Breaks(30, 120));
        assertThat(profile.gap().millimetres()).isEqualTo(30);
        assertThat(profile.newbornDays()).isEqualTo(28);
        assertThat(profile.slotFarBelow().millimetres()).isEqualTo(40);
    }
}
