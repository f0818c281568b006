package app.layette.core.drawing.cabin;

import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Length;
import app.layette.core.placing.PlaceAnswer;
import app.layette.core.recline.FrontToBack.Tightest;
import app.layette.core.recline.GapAhead.Standing;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/**
 * Where everything in a car stands, seen from above, in millimetres: x from the dashboard backwards, y from the middle of
 * the car to its right side. What the sheet says is drawn from the sheet; what it does not say stands at a usual size and
 * is marked as not known.
 */
public final class CabinPlan {
    /** How thick a back is drawn. */
    static final double BACK = 140;

    static final double DOOR = 120;
    private static final double DASH_TO_BIGHT = 960;
    private static final double BOOT = 110;
    private static final double USUAL_WIDTH = 470;
    private static final double USUAL_MIDDLE = 380;
    private static final double USUAL_DEPTH = 490;
    private static final double USUAL_AHEAD = 720;
    private static final double BETWEEN_FRONT_SEATS = 290;
    private static final double USUAL_RESTRAINT_LENGTH = 670;
    private static final double USUAL_RESTRAINT_WIDTH = 440;
    private static final double USUAL_BED_LENGTH = 740;
    private static final double USUAL_REAR = 20;

    /**
     * A stretch.
     *
     * @param known whether a sheet gives it; else it is a usual size
     */
    public record Span(double from, double to, boolean known) {
        public double length() {
            return to - from;
        }

        public double middle() {
            return (from + to) / 2;
        }
    }

    /**
     * A seating position.
     *
     * @param across its width
     * @param bight where cushion and back meet
     * @param depth of the cushion, forward from the bight
     * @param ahead from the bight forward to whatever stands in front of it
     * @param driver whether it is the driver's, which is on no sheet
     */
    public record Place(SeatingPosition position, Span across, double bight, Span depth, Span ahead, boolean driver) {
        public PositionId id() {
            return position.id();
        }
    }

    /**
     * A restraint at a place.
     *
     * @param along from its head end to its foot end
     * @param across its width
     * @param gap the planner's gap to the front seat
     * @param reach its foremost line; the head end is drawn where the gap is smallest
     */
    public record Restraint(Span along, Span across, Optional<Length> gap, double reach) {
        /** How far it stands out over its place on each side; 0 where it does not, or a width is not known. */
        public double over(Place place) {
            boolean known = across.known() && place.across().known();
            return known ? Math.max(0, (across.length() - place.across().length()) / 2) : 0;
        }
    }

    private final VehicleSheet car;
    private final Map<PositionId, Place> places = new LinkedHashMap<>();
    private final double length;
    private final double halfWidth;

    /**
     * Lays out a car.
     *
     * @param tightest where a restraint at a place is nearest to what is in front of it; empty where it cannot be computed
     */
    public CabinPlan(VehicleSheet car, Function<PositionId, Optional<Tightest>> tightest) {
        this.car = car;
        int rows = car.positions().stream()
                .mapToInt(position -> position.id().row())
                .max()
                .orElse(2);
        Map<PositionId, Span> ahead = new LinkedHashMap<>();
        double[] bight = new double[Math.max(2, rows) + 1];
        bight[1] = DASH_TO_BIGHT;
        for (int row = 1; row < bight.length; row++) {
            double most = 0;
            for (SeatingPosition position : inRow(row)) {
                Span room = ahead(position, tightest.apply(position.id()));
                ahead.put(position.id(), room);
                most = Math.max(most, room.length());
            }
            if (row > 1) {
                bight[row] = bight[row - 1] + BACK + (most == 0 ? USUAL_AHEAD : most);
            }
        }
        for (int row = 1; row < bight.length; row++) {
            for (Map.Entry<SeatingPosition, Span> across : across(row).entrySet()) {
                SeatingPosition position = across.getKey();
                double here = row == 1 ? moved(position.id().side(), bight, ahead) : bight[row];
                Span room = ahead.getOrDefault(position.id(), new Span(0, USUAL_AHEAD, false));
                places.put(
                        position.id(),
                        new Place(
                                position,
                                across.getValue(),
                                here,
                                new Span(
                                        0,
                                        position.cushionDepth()
                                                .value()
                                                .map(Length::millimetres)
                                                .orElse(USUAL_DEPTH),
                                        position.cushionDepth().value().isPresent()),
                                room,
                                car.position(position.id()).isEmpty()));
            }
        }
        this.length = bight[bight.length - 1] + BACK + BOOT;
        this.halfWidth = places.values().stream()
                        .mapToDouble(place -> Math.max(
                                Math.abs(place.across().from()),
                                Math.abs(place.across().to())))
                        .max()
                        .orElse(700)
                + DOOR;
    }

    /** The car as the answers about its places find it. */
    public static CabinPlan of(VehicleSheet car, Function<PositionId, List<PlaceAnswer>> answers) {
        return new CabinPlan(
                car,
                place -> answers.apply(place).stream()
                        .map(PlaceAnswer::standing)
                        .flatMap(Optional::stream)
                        .map(Standing::tightest)
                        .flatMap(Optional::stream)
                        .findFirst());
    }

    private List<SeatingPosition> inRow(int row) {
        return car.positions().stream()
                .filter(position -> position.id().row() == row)
                .toList();
    }

    /** The front seats stand where whoever sits behind them needs them: a restraint that reaches less leaves them back. */
    private static double moved(Side side, double[] bight, Map<PositionId, Span> ahead) {
        return Optional.ofNullable(ahead.get(new PositionId(2, side)))
                .filter(Span::known)
                .map(room -> bight[2] - room.length() - BACK)
                .orElse(bight[1]);
    }

    private static Span ahead(SeatingPosition position, Optional<Tightest> tightest) {
        return tightest.map(each -> new Span(0, each.seatMm(), true))
                .or(() -> position.frontSeat()
                        .value()
                        .filter(each -> !each.isEmpty())
                        .map(each ->
                                new Span(0, each.get(each.size() - 1).distance().millimetres(), true)))
                .orElse(new Span(0, USUAL_AHEAD, false));
    }

    /** The places of a row beside one another, the driver's among them. */
    private Map<SeatingPosition, Span> across(int row) {
        List<SeatingPosition> all = new ArrayList<>(inRow(row));
        if (row == 1) {
            PositionId driver = new PositionId(1, driverSide());
            if (car.position(driver).isEmpty()) {
                all.add(SeatingPosition.bare(driver));
            }
        }
        all.sort(Comparator.comparing(position -> position.id().side()));
        Optional<SeatingPosition> middle = all.stream()
                .filter(position -> position.id().side() == Side.MIDDLE)
                .findFirst();
        double apart = middle.map(CabinPlan::width).orElse(row == 1 ? BETWEEN_FRONT_SEATS : 0.0);
        Map<SeatingPosition, Span> spans = new LinkedHashMap<>();
        for (SeatingPosition position : all) {
            double width = width(position);
            boolean known = position.width().value().isPresent();
            spans.put(
                    position,
                    switch (position.id().side()) {
                        case LEFT -> new Span(-apart / 2 - width, -apart / 2, known);
                        case MIDDLE -> new Span(-width / 2, width / 2, known);
                        case RIGHT -> new Span(apart / 2, apart / 2 + width, known);
                    });
        }
        return spans;
    }

    private static double width(SeatingPosition position) {
        return position.width()
                .value()
                .map(Length::millimetres)
                .orElse(position.id().side() == Side.MIDDLE ? USUAL_MIDDLE : USUAL_WIDTH);
    }

    /** The driver sits away from the kerb. */
    private Side driverSide() {
        return car.kerbSide() == Side.LEFT ? Side.RIGHT : Side.LEFT;
    }

    /** Every place, the driver's too. */
    public List<Place> places() {
        return List.copyOf(places.values());
    }

    public Optional<Place> place(PositionId id) {
        return Optional.ofNullable(places.get(id));
    }

    /** From the dashboard to the back of the last row. */
    public double length() {
        return length;
    }

    /** From the middle of the car to the outside of a door. */
    public double halfWidth() {
        return halfWidth;
    }

    /** How a restraint would stand at a place, as far as is known. */
    public Restraint restraint(PlaceAnswer answer, SeatSheet seat) {
        Place place = Objects.requireNonNull(places.get(answer.place()));
        Optional<Length> width = seat.shell().width();
        double half = width.map(Length::millimetres).orElse(USUAL_RESTRAINT_WIDTH) / 2;
        if (answer.method().isFlat()) {
            return lying(answer, seat, place, half);
        }
        Optional<Standing> standing = answer.standing();
        double reach = standing.map(Standing::frontMm).orElse(USUAL_REAR + USUAL_RESTRAINT_LENGTH);
        double rear = standing.map(Standing::rearMm).orElse(USUAL_REAR);
        double front =
                standing.flatMap(Standing::tightest).map(Tightest::reachMm).orElse(reach);
        Span along = new Span(place.bight() - front, place.bight() - rear, standing.isPresent());
        double middle = place.across().middle();
        return new Restraint(
                along, new Span(middle - half, middle + half, width.isPresent()), answer.gap(), place.bight() - reach);
    }

    /** What lies across the car: as deep as it is wide, and as long as its outline. */
    private Restraint lying(PlaceAnswer answer, SeatSheet seat, Place place, double half) {
        Place second = Optional.of(answer)
                .filter(each -> each.method().takesTwoPlaces())
                .flatMap(each -> place(place.id().besides()))
                .orElse(place);
        double from = Math.min(place.across().from(), second.across().from());
        double to = Math.max(place.across().to(), second.across().to());
        Optional<Double> outline = seat.shell()
                .outline()
                .value()
                .filter(points -> !points.isEmpty())
                .map(CabinPlan::extent);
        double bed = outline.orElse(USUAL_BED_LENGTH);
        double middle = (from + to) / 2;
        double head = place.bight() - USUAL_REAR - 2 * half;
        return new Restraint(
                new Span(head, place.bight() - USUAL_REAR, seat.shell().width().isPresent()),
                new Span(middle - bed / 2, middle + bed / 2, outline.isPresent()),
                answer.gap(),
                head);
    }

    private static double extent(List<OutlinePoint> points) {
        return points.stream().mapToDouble(OutlinePoint::alongMm).max().orElse(0)
                - points.stream().mapToDouble(OutlinePoint::alongMm).min().orElse(0);
    }

    /** Whether the floor in front of a place, on which a leg would stand, is known to be hollow. */
    static boolean isHollow(SeatingPosition position) {
        return Optional.of(position)
                .map(SeatingPosition::floor)
                .flatMap(Evidence::value)
                .filter(floor -> floor == SeatingPosition.Floor.STORAGE)
                .isPresent();
    }
}
