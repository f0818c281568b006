package app.layette.core.placing;

import app.layette.core.entry.Method;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Permission;
import app.layette.core.measure.Length;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.SeatingPosition.OwnAnchors;
import app.layette.core.vehicle.Side;
import app.layette.core.vehicle.VehicleSheet;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Turns what the rules allow into demands that can be seated together. */
public final class Demands {
    private Demands() {}

    /** A child in a restraint: only what is allowed, in the order of rank. */
    public static Demand child(String name, SeatSheet seat, CabinAnswers answers, VehicleSheet car) {
        List<Demand.Way> ways = answers.answers().stream()
                .filter(each -> each.answer() == Permission.ALLOWED)
                .map(each -> way(each.place(), each.method(), seat, car))
                .toList();
        return new Demand(name, ways, seat.shell().width());
    }

    /** A grown person or an older child on the vehicle seat: any place with a belt, in the order of the sheet. */
    public static Demand person(String name, VehicleSheet car) {
        List<Demand.Way> ways = new ArrayList<>();
        for (SeatingPosition position : car.positions()) {
            boolean noBelt = position.belt()
                    .kind()
                    .value()
                    .filter(kind -> kind == Belt.Kind.NONE)
                    .isPresent();
            if (!noBelt) {
                ways.add(new Demand.Way(
                        position.id(), Optional.empty(), Set.of(position.id()), Set.of(belt(position.id()))));
            }
        }
        return new Demand(name, ways, Optional.empty());
    }

    private static Demand.Way way(PositionId place, Method method, SeatSheet seat, VehicleSheet car) {
        Set<PositionId> takes = new HashSet<>(Set.of(place));
        Set<String> uses = new HashSet<>();
        if (method == Method.LAY_FLAT) {
            PositionId second = place.besides();
            takes.add(second);
            uses.add(belt(second));
        }
        if (method.isByBelt()) {
            uses.add(belt(place));
        } else {
            uses.addAll(anchors(place, car));
        }
        seat.shell().width().ifPresent(width -> uses.addAll(coveredBuckles(place, width, car)));
        return new Demand.Way(place, Optional.of(method), takes, uses);
    }

    /** A restraint wider than its place covers a neighbour's buckle that stands on its side: nobody can buckle there. */
    private static Set<String> coveredBuckles(PositionId place, Length width, VehicleSheet car) {
        boolean wider = car.position(place)
                .flatMap(position -> position.width().value())
                .filter(width::isMoreThan)
                .isPresent();
        if (!wider) {
            return Set.of();
        }
        Set<String> covered = new HashSet<>();
        for (SeatingPosition other : car.positions()) {
            int apart = other.id().side().ordinal() - place.side().ordinal();
            Side towards = apart < 0 ? Side.RIGHT : Side.LEFT;
            boolean beside = other.id().row() == place.row() && Math.abs(apart) == 1;
            if (beside
                    && other.buckleSide()
                            .value()
                            .filter(side -> side == towards)
                            .isPresent()) {
                covered.add(belt(other.id()));
            }
        }
        return covered;
    }

    private static String belt(PositionId place) {
        return place + " belt";
    }

    /** A place of its own pair uses both; a middle without one borrows the inner ones of its neighbours. */
    private static Set<String> anchors(PositionId place, VehicleSheet car) {
        boolean own = car.position(place)
                .map(SeatingPosition::anchors)
                .flatMap(Evidence::value)
                .filter(each -> each == OwnAnchors.OWN_PAIR)
                .isPresent();
        if (own) {
            return Set.of(place + " inner anchor", place + " outer anchor");
        }
        return Set.of(
                new PositionId(place.row(), Side.LEFT) + " inner anchor",
                new PositionId(place.row(), Side.RIGHT) + " inner anchor");
    }

    /** Width of each row of which every place has a width on the sheet. */
    public static Map<Integer, Length> rowWidths(VehicleSheet car) {
        Map<Integer, Length> widths = new HashMap<>();
        Set<Integer> unknown = new HashSet<>();
        for (SeatingPosition position : car.positions()) {
            int row = position.id().row();
            position.width()
                    .value()
                    .ifPresentOrElse(width -> widths.merge(row, width, Length::plus), () -> unknown.add(row));
        }
        widths.keySet().removeAll(unknown);
        return widths;
    }
}
