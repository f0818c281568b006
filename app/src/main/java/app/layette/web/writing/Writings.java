package app.layette.web.writing;

import app.layette.core.entry.Author;
import app.layette.core.evidence.SheetVersion;
import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.sheet.WorkingSheet;
import app.layette.formats.sheet.WrittenField;
import app.layette.web.shelf.Shelf;
import java.text.Normalizer;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Function;
import org.springframework.transaction.annotation.Transactional;

/** The sheets of one kind that are being written at a fitting point. */
abstract class Writings<W extends WorkingSheet> {
    static final int LONGEST_NAME = 200;
    private static final int LONGEST_ID = 60;

    private final WorkRow.Kind kind;
    private final Function<String, W> reader;
    private final WorkRows rows;
    private final Shelf shelf;
    private final Clock clock;

    /** Where a text of the reader's language is needed: what a document of the sheet is called. */
    record Said(String manual, String label, String tape, String seen) {}

    Writings(WorkRow.Kind kind, Function<String, W> reader, WorkRows rows, Shelf shelf, Clock clock) {
        this.kind = kind;
        this.reader = reader;
        this.rows = rows;
        this.shelf = shelf;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<W> of(UUID point) {
        return rows.of(point, kind).stream()
                .map(row -> reader.apply(row.document()))
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<W> one(UUID point, String id) {
        return rows.findById(new WorkRow.Key(point, id)).filter(this::isOurs).map(row -> reader.apply(row.document()));
    }

    private boolean isOurs(WorkRow row) {
        return row.kind() == kind;
    }

    /** Keeps what was begun. */
    protected void keep(UUID point, W work, Author author) {
        rows.save(new WorkRow(new WorkRow.Key(point, work.id()), kind, work.json(), author.id(), clock.instant()));
    }

    /** The document of a sheet of the shelf; empty where there is none of this kind. */
    protected abstract Optional<String> onTheShelf(UUID point, String id);

    /**
     * Goes on with a sheet of the shelf as its next version; what is being written of it already is gone on with.
     *
     * @return whether there is such a sheet
     */
    @Transactional
    public boolean reopen(UUID point, String id, Author author) {
        WorkRow.Key key = new WorkRow.Key(point, id);
        boolean begun = rows.existsById(key);
        Optional<String> held = begun ? Optional.empty() : onTheShelf(point, id);
        held.ifPresent(json -> keep(point, reader.apply(json), author));
        return begun || held.isPresent();
    }

    /** Changes one field. */
    @Transactional
    public void change(UUID point, String id, Author author, Consumer<W> change) {
        WorkRow row = rows.locked(new WorkRow.Key(point, id))
                .filter(this::isOurs)
                .orElseThrow(() -> RefusedDocumentException.because("/id", id, "no such sheet is being written"));
        W work = reader.apply(row.document());
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
                .filter(this::isOurs)
                .orElseThrow(() -> RefusedDocumentException.because("/id", id, "no such sheet is being written"));
        List<DocumentProblem> problems = reader.apply(row.document()).problems();
        if (!problems.isEmpty()) {
            throw new RefusedDocumentException(problems);
        }
        SheetVersion version = shelf.putDraft(point, row.document(), row.writers(), author);
        rows.delete(row);
        return version;
    }

    /** Throws the writing away; what is on the shelf stays as it is. False where there is none. */
    @Transactional
    public boolean drop(UUID point, String id) {
        Optional<WorkRow> row = rows.findById(new WorkRow.Key(point, id)).filter(this::isOurs);
        row.ifPresent(rows::delete);
        return row.isPresent();
    }

    protected static String idOf(String maker, String name) {
        String plain = Normalizer.normalize(maker + "-" + name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        String long3 = plain.length() < 3 ? "sheet-" + plain : plain;
        return long3.substring(0, Math.min(LONGEST_ID - 4, long3.length())).replaceAll("-+$", "");
    }

    /** An id that neither the shelf nor another writing has. */
    protected String free(UUID point, String wanted) {
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
    static void name(WorkingSheet work, WrittenField field, String source, Said said, String today, String reader) {
        String key = source.split(" ")[0];
        if (field.evidence()) {
            String title = switch (key) {
                case "label" -> said.label();
                case "tape" -> said.tape();
                case "seen" -> said.seen();
                default -> said.manual();
            };
            work.document(key, title, today, reader);
        }
    }
}
