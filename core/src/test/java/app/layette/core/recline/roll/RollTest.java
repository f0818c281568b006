package app.layette.core.recline.roll;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.ReclineGeometry;
import app.layette.core.recline.roll.Noodle.Bundle;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Worked rolls of the handbook, section 6, within 0.1 mm and 0.01°. */
class RollTest {
    private static final Length CONTACT = mm(400);

    private static Length mm(double millimetres) {
        return Length.ofMillimetres(millimetres);
    }

    @ParameterizedTest
    @CsvSource({"ONE, 55.2, 60.1, 8.65", "TRIANGLE, 103.1, 123.1, 17.92"})
    void aNoodleOf65FirmUnderABaseOf400(Bundle bundle, double height, double lift, double degrees) {
        Noodle noodle = new Noodle(mm(65), Noodle.FIRM, bundle);
        assertThat(noodle.height().millimetres()).isCloseTo(height, within(0.1));
        Length equivalent = noodle.equivalentLift(CONTACT, Length.ZERO);
        assertThat(equivalent.millimetres()).isCloseTo(lift, within(0.1));
        assertThat(new ReclineGeometry(Angle.ZERO, Angle.ZERO, CONTACT)
                        .tilt(equivalent)
                        .degrees())
                .isCloseTo(degrees, within(0.01));
    }

    @Test
    void aHandTowelRolledWhole() {
        Towel towel = new Towel(mm(4), 2, mm(900));
        assertThat(towel.diameter().millimetres()).isCloseTo(95.7, within(0.1));
        assertThat(towel.height().millimetres()).isCloseTo(71.8, within(0.1));
    }

    @ParameterizedTest
    @CsvSource({"20, 70", "30, 157"})
    void howMuchOfAHandTowelToRoll(double height, double rolled) {
        assertThat(Towel.rolledFor(mm(height), mm(4), 2).millimetres()).isCloseTo(rolled, within(0.5));
    }

    @ParameterizedTest
    @CsvSource({"40, 30, true, 70", "40, 30, false, 40", "20, 30, false, 30"})
    void aRollAddsToAFootOnlyWhenItLiesUnderIt(double roll, double foot, boolean under, double lift) {
        assertThat(Roll.withFoot(mm(roll), mm(foot), under)).isEqualTo(mm(lift));
    }

    @ParameterizedTest
    @CsvSource({"900, 500, 4, 2, 71.8", "900, 280, 4, 1, 50.8", "700, 120, 1, 1, 22.4"})
    void theWholeOfAClothIsTheMostItMakes(double length, double width, double thickness, int layers, double height) {
        Towel whole = RollMaker.whole(new Cloth("a cloth", mm(length), mm(width), mm(thickness)));
        assertThat(whole.layers()).isEqualTo(layers);
        assertThat(whole.height().millimetres()).isCloseTo(height, within(0.1));
    }

    @Test
    void theMakerFoldsRollsAndMeetsTheLift() {
        RollMaker maker = new RollMaker(CONTACT, RollMaker.USUAL_WIDTH);
        Cloth hand = new Cloth("hand towel", mm(900), mm(500), mm(4));
        Cloth face = new Cloth("face cloth", mm(300), mm(300), mm(4));
        for (double wanted = 10; wanted <= 70; wanted += 5) {
            RollMaker.Recipe recipe = maker.of(hand, mm(wanted));
            assertThat(recipe.lift().millimetres()).as("lift %s", wanted).isCloseTo(wanted, within(0.1));
            assertThat(((Towel) recipe.roll()).layers()).isEqualTo(2);
        }
        List<RollMaker.Recipe> big =
                maker.recipes(mm(60), List.of(hand, face), List.of(new Noodle(mm(65), Noodle.FIRM, Bundle.ONE)));
        assertThat(big)
                .as("the face cloth is too short for 60 mm")
                .noneMatch(each -> face.equals(each.cloth()))
                .anyMatch(each -> hand.equals(each.cloth()))
                .anyMatch(each -> !each.isOfCloth());
        assertThat(maker.recipes(mm(20), List.of(), List.of(new Noodle(mm(65), Noodle.FIRM, Bundle.TRIANGLE))))
                .as("a triangle is no 20 mm")
                .isEmpty();
    }
}
