package app.layette.core.harness;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.entry.UnitId;
import app.layette.core.measure.Length;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** HAR-9: the worked layers, in whole millimetres. */
class ClothingSlackTest {
    @ParameterizedTest
    @CsvSource({"FLEECE, 9, 14", "LIGHT_QUILT, 28, 42", "PADDED_COAT, 44, 66", "SNOWSUIT, 75, 113"})
    void whatALayerHides(Fact.Garment garment, long shoulder, long withHips) {
        ClothingSlack slack = ClothingSlack.under(new Fact.LayerSeen(UnitId.FIRST, garment, null, null));
        assertThat(Math.round(slack.shoulder().millimetres())).isEqualTo(shoulder);
        assertThat(Math.round(slack.withHips().millimetres())).isEqualTo(withHips);
    }

    @ParameterizedTest
    @CsvSource({"5, 5, 0", "4, 9, 0", "18, 4, 44"})
    void aLayerThatDoesNotGiveHidesNothing(double loose, double pressed, long shoulder) {
        ClothingSlack slack = ClothingSlack.of(Length.ofMillimetres(loose), Length.ofMillimetres(pressed));
        assertThat(Math.round(slack.shoulder().millimetres())).isEqualTo(shoulder);
    }
}
