package app.layette.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.child.Sex;
import app.layette.core.growth.GrowthTable.Measure;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.table.CsvTable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GrowthTest {
    private static Growth growing(String born, Integer gestation, Sex sex) {
        return new Growth(
                LocalDate.parse(born), Optional.ofNullable(gestation), Optional.ofNullable(sex), Optional.empty());
    }

    private static void isReached(Outlook outlook, String earliest, String likely, String latest) {
        assertThat(outlook.earliest()).contains(LocalDate.parse(earliest));
        assertThat(outlook.likely()).contains(LocalDate.parse(likely));
        assertThat(outlook.latest()).contains(LocalDate.parse(latest));
    }

    @Test
    void workedTermGirlToFiveKilograms() {
        Outlook outlook = growing("2026-01-10", 280, Sex.FEMALE)
                .weight(Mass.ofKilograms(4.2), LocalDate.of(2026, 2, 14), Mass.ofKilograms(5));
        isReached(outlook, "2026-03-09", "2026-03-13", "2026-03-20");
        assertThat(outlook.rough()).isFalse();
        assertThat(GrowthTable.shipped().at(Measure.WEIGHT, Sex.FEMALE, 35).z(4.2))
                .isCloseTo(-0.2205, within(0.0001));
    }

    @Test
    void workedBoyBornAt33WeeksIsRough() {
        Outlook outlook = growing("2026-01-05", 231, Sex.MALE)
                .weight(Mass.ofKilograms(1.9), LocalDate.of(2026, 1, 12), Mass.ofKilograms(5));
        isReached(outlook, "2026-03-28", "2026-04-19", "2026-05-13");
        assertThat(outlook.rough()).isTrue();
    }

    @Test
    void workedBoyOffTheChart() {
        Outlook outlook = growing("2026-01-05", null, Sex.MALE)
                .weight(Mass.ofKilograms(10.6), LocalDate.of(2026, 5, 7), Mass.ofKilograms(13.6));
        isReached(outlook, "2026-09-01", "2026-10-27", "2027-01-07");
    }

    @Test
    void workedGirlToTheNextSlot() {
        Outlook outlook = growing("2026-03-01", 280, Sex.FEMALE)
                .height(
                        Length.ofCentimetres(50),
                        LocalDate.of(2026, 3, 1),
                        Share.of(Length.ofMillimetres(210), Length.ofCentimetres(50)),
                        Length.ofMillimetres(250));
        isReached(outlook, "2026-05-07", "2026-05-18", "2026-06-03");
    }

    @Test
    void whatIsReachedIsSaidSo() {
        Outlook outlook = growing("2026-01-10", 280, Sex.FEMALE)
                .weight(Mass.ofKilograms(5), LocalDate.of(2026, 3, 14), Mass.ofKilograms(5));
        assertThat(outlook.reached()).isTrue();
    }

    @Test
    void beyondTwoYearsThereIsOnlyAfter() {
        Outlook outlook = growing("2026-01-10", 280, Sex.FEMALE)
                .weight(Mass.ofKilograms(4), LocalDate.of(2026, 2, 14), Mass.ofKilograms(18));
        assertThat(outlook.likely()).isEmpty();
        assertThat(outlook.horizon()).isEqualTo(LocalDate.of(2028, 1, 10));
    }

    @Test
    void withoutTheSexTheOutlookIsWiderThanEither() {
        LocalDate on = LocalDate.of(2026, 2, 14);
        Outlook girl = growing("2026-01-10", 280, Sex.FEMALE).weight(Mass.ofKilograms(4), on, Mass.ofKilograms(9));
        Outlook boy = growing("2026-01-10", 280, Sex.MALE).weight(Mass.ofKilograms(4), on, Mass.ofKilograms(9));
        Outlook either = growing("2026-01-10", 280, null).weight(Mass.ofKilograms(4), on, Mass.ofKilograms(9));
        assertThat(either.earliest().orElseThrow())
                .isBeforeOrEqualTo(girl.earliest().orElseThrow())
                .isBeforeOrEqualTo(boy.earliest().orElseThrow());
        assertThat(either.latest().orElseThrow())
                .isAfterOrEqualTo(girl.latest().orElseThrow())
                .isAfterOrEqualTo(boy.latest().orElseThrow());
    }

    @Test
    void anUnmeasuredShoulderIsLessSure() {
        Growth girl = growing("2026-03-01", 280, Sex.FEMALE);
        LocalDate on = LocalDate.of(2026, 3, 1);
        Outlook outlook = girl.height(Length.ofCentimetres(50), on, Share.USUAL_SHOULDER, Length.ofMillimetres(230));
        assertThat(outlook.earliest().orElseThrow()).isBefore(outlook.likely().orElseThrow());
        assertThat(outlook.latest().orElseThrow())
                .isAfter(outlook.likely().orElseThrow().plusDays(20));
    }

    @ParameterizedTest
    @CsvSource({"WEIGHT, MALE, 0, 3.3464", "WEIGHT, FEMALE, 12, 8.9481", "LENGTH, MALE, 24, 87.8161"})
    void zeroIsTheMedianOfTheTable(Measure measure, Sex sex, int month, double median) {
        Lms lms = GrowthTable.shipped().at(measure, sex, month * 30.4375);
        assertThat(lms.at(0)).isCloseTo(median, within(0.001));
        for (double z = -4; z <= 4; z += 0.5) {
            assertThat(lms.z(lms.at(z))).isCloseTo(z, within(1e-9));
        }
    }

    @Test
    void earliestLikelyAndLatestComeInThatOrderAndMoreWeightNeverComesLater() {
        Random random = new Random(31);
        for (int i = 0; i < 300; i++) {
            int gestation = 200 + random.nextInt(90);
            Growth child = growing("2026-01-05", gestation, random.nextBoolean() ? Sex.MALE : Sex.FEMALE);
            LocalDate on = LocalDate.of(2026, 1, 5).plusDays(random.nextInt(200));
            double weight = 1.5 + random.nextDouble() * 6;
            Mass threshold = Mass.ofKilograms(weight + 0.2 + random.nextDouble() * 5);
            Outlook outlook = child.weight(Mass.ofKilograms(weight), on, threshold);
            LocalDate never = LocalDate.MAX;
            assertThat(outlook.earliest().orElse(never))
                    .isBeforeOrEqualTo(outlook.likely().orElse(never));
            assertThat(outlook.likely().orElse(never))
                    .isBeforeOrEqualTo(outlook.latest().orElse(never));
            Outlook heavier = child.weight(Mass.ofKilograms(weight + 0.1), on, threshold);
            assertThat(heavier.likely().orElse(never))
                    .isBeforeOrEqualTo(outlook.likely().orElse(never));
        }
    }

    @Test
    void aDamagedTableStopsTheStartWithASentence() {
        List<List<String>> rows = new ArrayList<>(CsvTable.read("growth-lms.csv", 6));
        List<String> first = rows.remove(0);
        assertThatThrownBy(() -> GrowthTable.read(rows))
                .hasMessageContaining("has no row for weight_kg, MALE, month 0")
                .hasMessageContaining("restore it");
        rows.add(List.of("weight_kg", "male", "0", "0.3487", "three", "0.14602"));
        assertThatThrownBy(() -> GrowthTable.read(rows)).hasMessageContaining("(three)");
        rows.set(rows.size() - 1, first);
        rows.add(first);
        assertThatThrownBy(() -> GrowthTable.read(rows)).hasMessageContaining("given twice");
    }
}
