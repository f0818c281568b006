package app.layette.formats.sheet;

import app.layette.core.evidence.Speaker;
import app.layette.core.vehicle.PositionId;
import app.layette.formats.sheet.CarField.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Every field that a vehicle sheet can have: what it takes comes from the published schema, its order from {@code
 * vehicle-fields.csv}.
 */
public final class CarFields {
    private static final String SCHEMA = "vehicle-sheet.schema.json";
    private static final String EACH_PLACE = "/positions/*/";
    private static final List<CarField> OF_THE_CAR = ofTheCar();
    private static final List<CarField> OF_A_PLACE = ofAPlace();

    private CarFields() {}

    /** All fields of a car that has these places. */
    public static List<CarField> of(List<PositionId> places) {
        List<CarField> fields = new ArrayList<>(OF_THE_CAR);
        places.forEach(place -> fields.addAll(of(place)));
        return fields;
    }

    /** The fields of one place. */
    public static List<CarField> of(PositionId place) {
        return OF_A_PLACE.stream()
                .map(each -> new CarField(
                        each.pointer().replace("*", place.toString()),
                        Section.PLACE,
                        Optional.of(place),
                        each.key(),
                        each.shape(),
                        each.evidence()))
                .toList();
    }

    private static List<CarField> ofTheCar() {
        List<CarField> fields = new ArrayList<>();
        for (String[] row : SheetFields.rows("vehicle-fields.csv")) {
            if (!row[0].startsWith(EACH_PLACE)) {
                pointers(row[0]).forEach(pointer -> fields.add(field(pointer, Section.valueOf(row[1]), pointer)));
            }
        }
        return List.copyOf(fields);
    }

    private static List<CarField> ofAPlace() {
        return SheetFields.rows("vehicle-fields.csv").stream()
                .filter(row -> row[0].startsWith(EACH_PLACE))
                .map(row -> field(row[0], Section.PLACE, row[0].substring(EACH_PLACE.length() - 1)))
                .toList();
    }

    private static CarField field(String pointer, Section section, String named) {
        SheetFields.Taken taken = SheetFields.takenAt(SCHEMA, pointer);
        String key = named.substring(1).replace('/', '.');
        return new CarField(pointer, section, Optional.empty(), key, taken.shape(), taken.evidence());
    }

    private static List<String> pointers(String pointer) {
        return pointer.equals("/permissions/*") ? SheetFields.permissions(Speaker.CAR) : List.of(pointer);
    }
}
