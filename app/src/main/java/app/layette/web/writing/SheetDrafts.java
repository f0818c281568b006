package app.layette.web.writing;

import app.layette.core.entry.Author;
import app.layette.core.entry.FieldProblem;
import app.layette.core.seat.SeatKind;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.sheet.SheetWork;
import app.layette.web.shelf.Shelf;
import app.layette.web.shell.TypedText;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The seat sheets that are being written at a fitting point. */
@Service
public class SheetDrafts extends Writings<SheetWork> {
    private final Shelf shelf;

    /** What names a restraint. */
    record Naming(String maker, String name, String modelNumber) {
        /** By the names under which a problem is told. */
        private Map<String, String> typed() {
            Map<String, String> typed = new HashMap<>();
            typed.put("maker", maker);
            typed.put("seatName", name);
            typed.put("modelNumber", modelNumber);
            return typed;
        }
    }

    SheetDrafts(WorkRows rows, Shelf shelf, Clock clock) {
        super(WorkRow.Kind.SEAT, SheetWork::of, rows, shelf, clock);
        this.shelf = shelf;
    }

    /**
     * Begins a sheet.
     *
     * @param from a sheet of the shelf that it is copied from; empty where it begins with nothing
     * @return its id
     * @throws NamingRefusedException when what names it is missing, too long or taken
     */
    @Transactional
    public String begin(UUID point, SeatKind kind, Naming given, String from, Author author) {
        List<FieldProblem> problems = new ArrayList<>();
        Map<String, String> typed = given.typed();
        Naming naming = new Naming(
                TypedText.needed(typed, "maker", LONGEST_NAME, problems),
                TypedText.needed(typed, "seatName", LONGEST_NAME, problems),
                TypedText.needed(typed, "modelNumber", LONGEST_NAME, problems));
        if (!problems.isEmpty()) {
            throw new NamingRefusedException(problems);
        }
        if (!from.isEmpty() && onTheShelf(point, from).isEmpty()) {
            throw new NamingRefusedException(List.of(FieldProblem.notAmong("seat", from, List.of("-"))));
        }
        String id = free(point, idOf(naming.maker(), naming.name()));
        SheetWork work = from.isEmpty()
                ? SheetWork.begin(kind, id, naming.maker(), naming.name(), naming.modelNumber())
                : document(point, from).sister(id, naming.maker(), naming.name(), naming.modelNumber());
        keep(point, work, author);
        return id;
    }

    @Override
    protected Optional<String> onTheShelf(UUID point, String id) {
        return shelf.newestSeat(point, id).flatMap(seat -> shelf.document(point, seat.sheet()));
    }

    private SheetWork document(UUID point, String id) {
        return onTheShelf(point, id)
                .map(SheetWork::of)
                .orElseThrow(() -> RefusedDocumentException.because("/id", id, "no such seat sheet is on the shelf"));
    }
}
