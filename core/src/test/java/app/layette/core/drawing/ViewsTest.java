package app.layette.core.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.core.drawing.side.SideView;
import app.layette.core.entry.Fact;
import app.layette.core.evidence.Evidence;
import app.layette.core.fixture.FittingBuilder;
import app.layette.core.fixture.SeatSheetBuilder;
import app.layette.core.measure.Length;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SettingId;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ViewsTest {
    private static List<Shape> flat(List<Shape> shapes) {
        return shapes.stream()
                .flatMap(shape -> shape instanceof Shape.Group group ? flat(group.shapes()).stream() : Stream.of(shape))
                .toList();
    }

    private static List<String> labels(Drawing drawing) {
        return flat(drawing.shapes()).stream()
                .filter(Shape.Label.class::isInstance)
                .map(shape -> ((Shape.Label) shape).key())
                .toList();
    }

    @Test
    void slotsAndShoulderAreDrawnAtTheirMeasuredHeights() {
        Drawing drawing = HarnessView.of(FittingBuilder.ready().plan().situation());
        List<Double> slotHeights = drawing.shapes().stream()
                .filter(shape -> shape.ink() == Ink.SLOT && shape instanceof Shape.Outline)
                .map(shape -> ((Shape.Outline) shape).points().get(0).y() + 5)
                .distinct()
                .toList();
        assertThat(slotHeights).containsExactly(236.0, 276.0);
        Shape.Disc shoulder = drawing.shapes().stream()
                .filter(shape -> shape instanceof Shape.Group group && group.part() == Shape.Part.SHOULDER)
                .flatMap(group -> ((Shape.Group) group).shapes().stream())
                .filter(shape -> shape instanceof Shape.Disc && shape.ink() == Ink.HANDS)
                .map(Shape.Disc.class::cast)
                .findFirst()
                .orElseThrow();
        assertThat(shoulder.centre().y()).isEqualTo(210);
    }

    @Test
    void whatIsNotKnownIsDrawnAsNotKnown() {
        FittingBuilder fitting = FittingBuilder.ready();
        fitting.car.slope = Evidence.notLooked();
        fitting.seat.slots = Evidence.notLooked();
        fitting.without(fact -> fact instanceof Fact.HandleSet);
        assertThat(labels(SideView.of(fitting.plan().situation())))
                .contains("drawing.side.slopeUnknown", "drawing.side.handleUnknown", "drawing.side.reclineUnknown")
                .doesNotContain("drawing.side.slope", "drawing.side.recline");
        assertThat(labels(HarnessView.of(fitting.plan().situation()))).contains("drawing.harness.slotsUnknown");
    }

    @Test
    void aRollThatIsNotThereIsNotSaidToLift() {
        assertThat(SideView.lifts(true, Recline.DeviceKind.NONE, Length.ofMillimetres(0)))
                .isEqualTo("side.noRoll");
        assertThat(SideView.lifts(true, Recline.DeviceKind.NONE, Length.ofMillimetres(20)))
                .isEqualTo("side.roll");
        assertThat(SideView.lifts(false, Recline.DeviceKind.FOOT, Length.ofMillimetres(0)))
                .isEqualTo("side.foot.FOOT");
    }

    @Test
    void nothingCrossesTheVehicleSeatBack() {
        for (double lift : new double[] {0, 30, 60}) {
            FittingBuilder fitting = FittingBuilder.ready();
            fitting.seat.device = SeatSheetBuilder.stated(new Recline.Device(
                    Recline.DeviceKind.FOOT,
                    List.of(new Recline.Step(new SettingId("3"), SeatSheetBuilder.mm(lift), null))));
            List<Shape> shapes = flat(SideView.of(fitting.plan().situation()).shapes());
            double lean = Math.tan(Math.toRadians(22));
            assertThat(shapes.stream()
                            .filter(shape -> shape.ink() == Ink.SHELL && shape instanceof Shape.Outline)
                            .flatMap(shape -> ((Shape.Outline) shape).points().stream()))
                    .allSatisfy(point -> assertThat(-point.x()).isGreaterThanOrEqualTo(-point.y() * lean - 1));
        }
    }

    @Test
    void theNeedleStandsAtTheComputedAngle() {
        FittingBuilder fitting = FittingBuilder.ready();
        double expected = fitting.plan()
                .recline()
                .orElseThrow()
                .setting(new SettingId("3"))
                .orElseThrow()
                .recline()
                .degrees();
        Shape.Outline needle = flat(SideView.of(fitting.plan().situation()).shapes()).stream()
                .filter(shape -> shape.ink() == Ink.COMPUTED && shape instanceof Shape.Outline)
                .map(Shape.Outline.class::cast)
                .findFirst()
                .orElseThrow();
        Point from = needle.points().get(0);
        Point to = needle.points().get(1);
        double drawn = Math.toDegrees(Math.atan2(from.x() - to.x(), to.y() - from.y()));
        assertThat(drawn).isCloseTo(expected, within(0.01));
    }

    /** What comes next is drawn in its order, and without measures says what is missing. */
    @Test
    void whatComesNextIsDrawnAlongTheDays() {
        Drawing drawing = TimelineView.of(FittingBuilder.ready().plan().situation());
        assertThat(labels(drawing))
                .contains("drawing.timeline.today", "drawing.timeline.INSERT_OUT", "drawing.timeline.NEXT_SLOT")
                .doesNotContain("drawing.timeline.nothing");
        FittingBuilder bare = FittingBuilder.ready().without(fact -> fact instanceof Fact.ChildDescribed);
        assertThat(labels(TimelineView.of(bare.plan().situation()))).contains("drawing.timeline.nothing");
    }

    @Test
    void theSpacesBetweenSlotsCanBeTapped() {
        Drawing drawing = HarnessView.of(FittingBuilder.ready().plan().situation());
        assertThat(drawing.shapes().stream()
                        .filter(Shape.Link.class::isInstance)
                        .map(shape -> ((Shape.Link) shape).target()))
                .containsExactly("shoulder-0", "shoulder-1", "shoulder-2", "shoulder-3");
    }
}
