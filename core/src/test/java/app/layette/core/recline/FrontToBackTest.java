package app.layette.core.recline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.recline.cushion.Depths;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.vehicle.SeatingPosition.Clearance;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The worked outline of the handbook: base (0,0)–(400,0), head rim (620,520), θ0 47, γ 12, lift 20, L 400. */
class FrontToBackTest {
    private static final Angle SLOPE = Angle.ofDegrees(12);
    private static final OutlinePoint FOOT_END = new OutlinePoint(0, 0);
    private static final OutlinePoint HEAD_END = new OutlinePoint(400, 0);
    private static final OutlinePoint HEAD_RIM = new OutlinePoint(620, 520);
    private static final OutlinePoint FOOT_RIM = new OutlinePoint(-120, 300);

    private static FrontToBack standing(OutlinePoint... outline) {
        ReclineGeometry geometry = new ReclineGeometry(Angle.ofDegrees(47), SLOPE, Length.ofMillimetres(400));
        Angle phi = geometry.baseSlope(Length.ofMillimetres(20), Depths.NONE);
        return new FrontToBack(List.of(outline), phi, SLOPE, 20, Angle.ofDegrees(22));
    }

    private static Clearance clearance(double height, double distance) {
        return new Clearance(Length.ofMillimetres(height), Length.ofMillimetres(distance));
    }

    @Test
    void theLiftPointAndTheHeadRim() {
        Angle phi = Angle.ofDegrees(9.134);
        OutlinePoint lift = FrontToBack.stand(FOOT_END, phi, SLOPE, 20);
        assertThat(lift.alongMm()).isCloseTo(-4.16, within(0.01));
        assertThat(lift.upMm()).isCloseTo(19.56, within(0.01));
        assertThat(FrontToBack.stand(HEAD_RIM, phi, SLOPE, 20).alongMm()).isCloseTo(525.4, within(0.1));
        OutlinePoint rim = FrontToBack.stand(FOOT_RIM, phi, SLOPE, 20);
        assertThat(rim.alongMm()).isCloseTo(-170.3, within(0.1));
        assertThat(rim.upMm()).isCloseTo(296.7, within(0.1));
    }

    @Test
    void aFootRimThatCrossesTheSeatBackMovesTheWhole() {
        FrontToBack standing = standing(FOOT_END, HEAD_END, HEAD_RIM, FOOT_RIM);
        assertThat(standing.shiftMm()).isCloseTo(50.4, within(0.1));
        assertThat(standing.foremost().alongMm()).isCloseTo(575.8, within(0.1));
        double lean = Math.tan(Math.toRadians(22));
        assertThat(standing.placed())
                .allSatisfy(point -> assertThat(point.alongMm()).isGreaterThanOrEqualTo(-point.upMm() * lean - 1e-9));
    }

    @Test
    void theGapIsTheLeastOverAllHeights() {
        FrontToBack standing = standing(FOOT_END, HEAD_END, HEAD_RIM, FOOT_RIM);
        assertThat(standing.gap(List.of())).isEmpty();
        assertThat(standing.gap(List.of(clearance(0, 650), clearance(900, 650)))
                        .orElseThrow()
                        .millimetres())
                .isCloseTo(74.2, within(0.2));
        assertThat(standing.gap(List.of(clearance(0, 650), clearance(300, 400), clearance(900, 650)))
                        .orElseThrow())
                .as("a bulge of the front seat between two corners counts")
                .isEqualTo(Length.ZERO);
    }
}
