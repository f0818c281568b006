package app.layette.formats.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.measure.Length;
import app.layette.core.recline.roll.Noodle;
import app.layette.core.recline.roll.Noodle.Bundle;
import app.layette.core.recline.roll.Towel;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is drawn is as high as what is said beside it, at one scale, and nothing of it is cut off. */
class RollPictureTest {
    private static final Pattern ROUND =
            Pattern.compile("cx=\"([-\\d.]+)\" cy=\"([-\\d.]+)\" rx=\"([-\\d.]+)\" ry=\"([-\\d.]+)\"");
    private static final Pattern FRAME = Pattern.compile(
            "viewBox=\"0 ([-\\d.]+) ([-\\d.]+) ([-\\d.]+)\" width=\"([-\\d.]+)\" height=\"([-\\d.]+)\"");

    private static Length mm(double millimetres) {
        return Length.ofMillimetres(millimetres);
    }

    private static void isToScale(String picture, Length height) {
        MatchResult frame = FRAME.matcher(picture).results().findFirst().orElseThrow();
        List<MatchResult> rounds = ROUND.matcher(picture).results().toList();
        double top = rounds.stream()
                .mapToDouble(each -> number(each, 2) - number(each, 4))
                .min()
                .orElseThrow();
        double right = rounds.stream()
                .mapToDouble(each -> number(each, 1) + number(each, 3))
                .max()
                .orElseThrow();
        assertThat(-top).isCloseTo(height.millimetres(), within(0.2));
        assertThat(top).isGreaterThan(number(frame, 1));
        assertThat(right).isLessThan(number(frame, 2));
        assertThat(number(frame, 4) / number(frame, 2)).isCloseTo(0.5, within(0.01));
        assertThat(number(frame, 5) / number(frame, 3)).isCloseTo(0.5, within(0.01));
    }

    private static double number(MatchResult match, int group) {
        return Double.parseDouble(match.group(group));
    }

    @ParameterizedTest
    @ValueSource(doubles = {20, 65, 150})
    void aNoodleAndThreeOfThem(double diameter) {
        Noodle three = new Noodle(mm(diameter), Noodle.SOFT, Bundle.TRIANGLE);
        isToScale(RollPicture.of(new Noodle(mm(diameter), Noodle.SOFT, Bundle.ONE), three), three.height());
    }

    @ParameterizedTest
    @ValueSource(doubles = {50, 900, 2000})
    void aClothRolledWhole(double length) {
        Towel towel = new Towel(mm(4), 2, mm(length));
        isToScale(RollPicture.of(towel), towel.height());
    }
}
