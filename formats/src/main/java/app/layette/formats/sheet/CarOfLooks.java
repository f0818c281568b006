package app.layette.formats.sheet;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Source;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.text.CamelCase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** A car that was looked at in a fitting, as the beginning of its sheet. */
public final class CarOfLooks {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    /** The document that looks stand in. */
    private static final String SEEN = "seen";

    private static final List<Look> LOOKS = List.of(
            new Look("facing", SeatingPosition::facing),
            new Look("airbag", SeatingPosition::airbag),
            new Look("anchors", SeatingPosition::anchors),
            new Look("floor", SeatingPosition::floor),
            new Look("belt/kind", position -> position.belt().kind()),
            new Look("belt/retractor", position -> position.belt().retractor()),
            new Look("belt/latchPlate", position -> position.belt().latchPlate()),
            new Look("belt/inflatable", position -> position.belt().inflatable()));

    private record Look(String pointer, Function<SeatingPosition, Evidence<?>> value) {}

    private CarOfLooks() {}

    /**
     * Writes what was seen.
     *
     * @param said what the looks are called among the sheet's documents
     * @param reader who looked
     */
    public static CarWork write(VehicleSheet seen, String id, String said, String reader) {
        CarWork work = CarWork.begin(
                id,
                "?",
                seen.name(),
                seen.positions().stream().map(SeatingPosition::id).toList());
        List<String> days = new ArrayList<>();
        for (SeatingPosition position : seen.positions()) {
            for (CarField field : CarFields.of(position.id())) {
                look(field, position)
                        .ifPresent(evidence -> evidence.value().ifPresent(value -> {
                            String day = evidence.source()
                                    .map(Source::readOn)
                                    .map(Object::toString)
                                    .orElse("");
                            work.put(field, json(value), (SEEN + " " + day).strip());
                            days.add(day);
                        }));
            }
        }
        days.stream().findFirst().ifPresent(day -> work.document(SEEN, said, day, reader));
        return CarWork.of(work.json());
    }

    private static Optional<Evidence<?>> look(CarField field, SeatingPosition position) {
        return LOOKS.stream()
                .filter(each -> field.pointer().endsWith("/" + each.pointer()))
                .<Evidence<?>>map(each -> each.value().apply(position))
                .findFirst();
    }

    private static JsonNode json(Object value) {
        return value instanceof Boolean flag
                ? JSON.booleanNode(flag)
                : JSON.stringNode(CamelCase.of(((Enum<?>) value).name()));
    }
}
