package app.layette.web.writing;

import app.layette.core.entry.Author;
import app.layette.core.entry.FieldProblem;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.sheet.CarOfLooks;
import app.layette.formats.sheet.CarWork;
import app.layette.web.shelf.Shelf;
import app.layette.web.shell.TypedText;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The vehicle sheets that are being written at a fitting point. */
@Service
public class CarDrafts extends Writings<CarWork> {
    private final Shelf shelf;

    CarDrafts(WorkRows rows, Shelf shelf, Clock clock) {
        super(WorkRow.Kind.VEHICLE, CarWork::of, rows, shelf, clock);
        this.shelf = shelf;
    }

    /**
     * Begins a sheet.
     *
     * @param fields maker and carName
     * @param places its seating positions; the driver's is none
     * @return its id
     * @throws NamingRefusedException when a name is missing or too long, or there is no place
     */
    @Transactional
    public String begin(UUID point, Map<String, String> fields, List<PositionId> places, Author author) {
        List<FieldProblem> problems = new ArrayList<>();
        String maker = TypedText.needed(fields, "maker", LONGEST_NAME, problems);
        String name = TypedText.needed(fields, "carName", LONGEST_NAME, problems);
        if (places.isEmpty()) {
            problems.add(FieldProblem.notAmong("places", "", List.of("1-LEFT", "4-RIGHT")));
        }
        if (!problems.isEmpty()) {
            throw new NamingRefusedException(problems);
        }
        CarWork work = CarWork.begin(free(point, idOf(maker, name)), maker, name, places);
        keep(point, work, author);
        return work.id();
    }

    /**
     * Begins with what was seen at a car that had no sheet. Each look keeps its day.
     *
     * @param said what the looks are called among the sheet's documents
     * @param reader who looked
     */
    @Transactional
    public String beginFrom(UUID point, VehicleSheet seen, String said, String reader, Author author) {
        CarWork work = CarOfLooks.write(seen, free(point, idOf("car", seen.name())), said, reader);
        keep(point, work, author);
        return work.id();
    }

    @Override
    protected Optional<String> onTheShelf(UUID point, String id) {
        return shelf.newestCar(point, id).flatMap(car -> shelf.document(point, car.sheet()));
    }
}
