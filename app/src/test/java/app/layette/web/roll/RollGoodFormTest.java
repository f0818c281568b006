package app.layette.web.roll;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.FieldProblem;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RollGoodFormTest {
    private static Map<String, String> cloth() {
        return new HashMap<>(Map.of(
                "kind", "CLOTH",
                "goodName", "Hand towel",
                "clothLength", "500 mm",
                "clothWidth", "900 mm",
                "clothThickness", "4 mm"));
    }

    @Test
    void theLongerSideIsTheLengthWhicheverWayItWasTyped() {
        RollGood.OfCloth kept =
                (RollGood.OfCloth) RollGoodForm.kept(cloth()).good().orElseThrow();
        assertThat(kept.cloth().length().millimetres()).isEqualTo(900);
        assertThat(kept.cloth().width().millimetres()).isEqualTo(500);
    }

    @ParameterizedTest
    @CsvSource({
        "goodName, '', NEEDED",
        "clothLength, long, UNREADABLE.LENGTH",
        "clothWidth, '', NEEDED",
        "clothThickness, 400 mm, OUT_OF_RANGE"
    })
    void whatIsWrongIsNamed(String field, String typed, String reason) {
        Map<String, String> fields = cloth();
        fields.put(field, typed);
        assertThat(RollGoodForm.kept(fields).problems())
                .extracting(FieldProblem::field, FieldProblem::reason)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(field, reason));
    }

    @Test
    void aNameAsLongAsAStoryIsRefused() {
        Map<String, String> fields = cloth();
        fields.put("goodName", "towel ".repeat(30).strip());
        assertThat(RollGoodForm.kept(fields).problems())
                .extracting(FieldProblem::reason)
                .containsExactly("TOO_LONG");
    }

    @Test
    void aNoodleNeedsItsThicknessOnly() {
        RollGood good = RollGoodForm.kept(Map.of("kind", "NOODLE", "goodName", "Blue", "diameter", "65 mm"))
                .good()
                .orElseThrow();
        assertThat(good).isInstanceOf(RollGood.OfNoodle.class);
    }

    @Test
    void nothingTypedIsNothingAsked() {
        RollGoodForm none = RollGoodForm.cloth(Map.of("step", "DEVICE"), "here");
        assertThat(none.good()).isEmpty();
        assertThat(none.problems()).isEmpty();
    }
}
