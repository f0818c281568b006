package app.layette.core.placing;

import app.layette.core.cabin.Occupied;
import app.layette.core.evidence.Permission;
import app.layette.core.measure.Length;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.SeatingPosition;
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
                .map(each -> new Demand.Way(
                        each.place(),
                        Optional.of(each.method()),
                        Occupied.byRestraint(
                                each.place(), each.method(), seat.shell().width(), Optional.of(car))))
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
                ways.add(new Demand.Way(position.id(), Optional.empty(), Occupied.byPerson(position.id())));
            }
        }
        return new Demand(name, ways, Optional.empty());
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
