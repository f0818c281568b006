package app.layette.web.writing;

import app.layette.core.entry.Author;
import app.layette.core.entry.FieldProblem;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.seat.SeatKind;
import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.sheet.SheetField;
import app.layette.formats.sheet.SheetWork;
import app.layette.web.shelf.Shelf;
import app.layette.web.shell.TypedText;
import java.text.Normalizer;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The sheets that are being written at a fitting point. */
@Service
public class SheetDrafts {
    private static final int LONGEST_ID = 60;
    private static final int LONGEST_NAME = 200;

    private final WorkRows rows;
    private final Shelf shelf;
    private final Clock clock;

    /** Where a text of the reader's language is needed: what a document of the sheet is called. */
    record Said(String manual, String label, String tape) {}

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
        this.rows = rows;
        this.shelf = shelf;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<SheetWork> of(UUID point) {
        return rows.of(point).stream().map(row -> SheetWork.of(row.document())).toList();
    }

    @Transactional(readOnly = true)
    public Optional<SheetWork> one(UUID point, String id) {
        return rows.findById(new WorkRow.Key(point, id)).map(row -> SheetWork.of(row.document()));
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
        if (!from.isEmpty() && seatDocument(point, from).isEmpty()) {
            throw new NamingRefusedException(List.of(FieldProblem.notAmong("seat", from, List.of("-"))));
        }
        String id = free(point, idOf(naming));
        SheetWork work = from.isEmpty()
                ? SheetWork.begin(kind, id, naming.maker(), naming.name(), naming.modelNumber())
                : document(point, from).sister(id, naming.maker(), naming.name(), naming.modelNumber());
        rows.save(new WorkRow(new WorkRow.Key(point, id), work.json(), author.id(), clock.instant()));
        return id;
    }

    /**
     * Goes on with a sheet of the shelf as its next version; what is being written of it already is gone on with.
     *
     * @return whether there is such a sheet
     */
    @Transactional
    public boolean reopen(UUID point, String id, Author author) {
        WorkRow.Key key = new WorkRow.Key(point, id);
        boolean begun = rows.existsById(key);
        Optional<String> held = begun ? Optional.empty() : seatDocument(point, id);
        held.ifPresent(json -> rows.save(new WorkRow(key, json, author.id(), clock.instant())));
        return begun || held.isPresent();
    }

    private Optional<String> seatDocument(UUID point, String id) {
        return shelf.newestSeat(point, id).flatMap(seat -> shelf.document(point, seat.sheet()));
    }

    private SheetWork document(UUID point, String id) {
        return seatDocument(point, id)
                .map(SheetWork::of)
                .orElseThrow(() -> RefusedDocumentException.because("/id", id, "no such seat sheet is on the shelf"));
    }

    /** Changes one field. */
    @Transactional
    public void change(UUID point, String id, Author author, Consumer<SheetWork> change) {
        WorkRow row = rows.locked(new WorkRow.Key(point, id))
                .orElseThrow(() -> RefusedDocumentException.because("/id", id, "no such sheet is being written"));
        SheetWork work = SheetWork.of(row.document());
        change.accept(work);
        row.write(work.json(), author.id(), clock.instant());
    }

    /**
     * Puts it on the shelf, as a draft under the next number.
     *
     * @throws RefusedDocumentException with everything that is wrong with it
     */
    @Transactional
    public SheetVersion toShelf(UUID point, String id, Author author) {
        WorkRow row = rows.locked(new WorkRow.Key(point, id))
                .orElseThrow(() -> RefusedDocumentException.because("/id", id, "no such sheet is being written"));
        List<DocumentProblem> problems = SheetWork.of(row.document()).problems();
        if (!problems.isEmpty()) {
            throw new RefusedDocumentException(problems);
        }
        SheetVersion version = shelf.putDraft(point, row.document(), row.writers(), author);
        rows.delete(row);
        return version;
    }

    /** Throws the writing away; what is on the shelf stays as it is. */
    @Transactional
    public void drop(UUID point, String id) {
        rows.findById(new WorkRow.Key(point, id)).ifPresent(rows::delete);
    }

    private static String idOf(Naming naming) {
        String plain = Normalizer.normalize(naming.maker() + "-" + naming.name(), Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String long3 = plain.length() < 3 ? "seat-" + plain : plain;
        return long3.substring(0, Math.min(LONGEST_ID - 4, long3.length())).replaceAll("-+$", "");
    }

    /** An id that neither the shelf nor another writing has. */
    private String free(UUID point, String wanted) {
        String id = wanted;
        for (int number = 2; isTaken(point, id); number++) {
            id = wanted + "-" + number;
        }
        return id;
    }

    private boolean isTaken(UUID point, String id) {
        return rows.existsById(new WorkRow.Key(point, id))
                || shelf.document(point, id).isPresent();
    }

    /** Names the document that a source leads to, once. */
    static void name(SheetWork work, SheetField field, String source, Said said, String today, String reader) {
        String key = source.split(" ")[0];
        if (field.evidence()) {
            String title = switch (key) {
                case "label" -> said.label();
                case "tape" -> said.tape();
                default -> said.manual();
            };
            work.document(key, title, today, reader);
        }
    }
}
