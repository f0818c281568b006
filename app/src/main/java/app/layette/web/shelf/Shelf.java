package app.layette.web.shelf;

import app.layette.core.entry.Author;
import app.layette.core.entry.QuickCar;
import app.layette.core.entry.QuickSeat;
import app.layette.core.entry.Sheets;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.DocumentKind;
import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.Schemas;
import app.layette.formats.document.SheetReader;
import app.layette.formats.text.Sha256;
import app.layette.web.account.Viewing;
import app.layette.web.trail.Trail;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The sheets of a fitting point. */
@Service
public class Shelf {
    /** Letters of the documents whose sheets are kept read: several thousand sheets, some 100 MB of memory. */
    private static final long MOST_PARSED = 40_000_000;

    private static final int READ_AT_ONCE = 200;
    private static final int FARTHEST_AHEAD = 100;
    private static final int LONGEST_SHEET = 1_000_000;

    /** What a fitting has that began without a sheet. */
    private static final Set<String> RESERVED = Set.of(QuickSeat.SHEET.text(), QuickCar.SHEET);

    private final ShelfPictures pictures = new ShelfPictures();
    private final SheetRows rows;
    private final VersionKeys keys;
    private final Trail trail;
    private final Clock clock;
    private final ApplicationEventPublisher events;
    /** A sheet, and how long its document is. */
    private record Parsed(Object sheet, int weight) {}

    private final Cache<SheetRow.Key, Parsed> parsed = Caffeine.newBuilder()
            .maximumWeight(MOST_PARSED)
            .weigher((SheetRow.Key key, Parsed each) -> each.weight())
            .build();

    Shelf(SheetRows rows, Viewing viewing, Trail trail, Clock clock, ApplicationEventPublisher events) {
        this.rows = rows;
        this.keys = new VersionKeys(rows, point -> viewing.point(point).shelfSeq());
        this.trail = trail;
        this.clock = clock;
        this.events = events;
    }

    /** How its restraints and cars look in lists. */
    public ShelfPictures pictures() {
        return pictures;
    }

    /** The newest version of every seat sheet, by title. */
    @Transactional(readOnly = true)
    public List<SheetSummary> seats(UUID point) {
        return newest(point, SheetRow.Kind.SEAT);
    }

    /** The version of a seat sheet that a new fitting would go by: the newest confirmed one, else the newest draft. */
    @Transactional(readOnly = true)
    public Optional<SeatSheet> newestSeat(UUID point, String id) {
        return seats(point).stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .map(each -> new SheetVersion(id, each.version()))
                .flatMap(version -> sheets(point, List.of(id)).seats().stream()
                        .filter(each -> each.sheet().equals(version))
                        .findFirst());
    }

    /** The newest version of every vehicle sheet, by title. */
    @Transactional(readOnly = true)
    public List<SheetSummary> cars(UUID point) {
        return newest(point, SheetRow.Kind.VEHICLE);
    }

    /** The version of a vehicle sheet that a new fitting would go by. */
    @Transactional(readOnly = true)
    public Optional<VehicleSheet> newestCar(UUID point, String id) {
        return cars(point).stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .map(each -> new SheetVersion(id, each.version()))
                .flatMap(version -> sheets(point, List.of(id)).cars().stream()
                        .filter(each -> each.sheet().equals(version))
                        .findFirst());
    }

    /** Every version of these sheets; ids of both kinds may be mixed. */
    @Transactional(readOnly = true)
    public Sheets sheets(UUID point, List<String> ids) {
        return new Sheets(
                read(point, SheetRow.Kind.SEAT, ids, row -> SheetReader.keptSeat(row.document()), SeatSheet.class),
                read(
                        point,
                        SheetRow.Kind.VEHICLE,
                        ids,
                        row -> SheetReader.keptVehicle(row.document()),
                        VehicleSheet.class));
    }

    /** The document of the newest version, as it came in. */
    @Transactional(readOnly = true)
    public Optional<String> document(UUID point, String id) {
        for (SheetRow.Kind kind : SheetRow.Kind.values()) {
            List<SheetRow> versions = rows.versions(point, kind, List.of(id));
            if (!versions.isEmpty()) {
                return Optional.of(versions.get(versions.size() - 1).document());
            }
        }
        return Optional.empty();
    }

    /** When a version came onto the shelf; empty when it is not there. */
    @Transactional(readOnly = true)
    public Optional<Instant> arrived(UUID point, SheetVersion sheet) {
        return Arrays.stream(SheetRow.Kind.values())
                .map(kind -> new SheetRow.Key(point, kind, sheet.id(), sheet.version()))
                .flatMap(key -> rows.findById(key).stream())
                .map(SheetRow::importedAt)
                .findFirst();
    }

    /**
     * Takes a sheet in. What a lead brings keeps its status and number; what anybody else brings is a draft, under the next
     * number of its id, until a lead confirms it. Words that are here already are not taken in again.
     *
     * @throws RefusedDocumentException when it is no sheet, breaks its schema, or another document holds its version
     */
    @Transactional
    public SheetVersion takeIn(UUID point, String json, Author author) {
        if (json.length() > LONGEST_SHEET) {
            throw refused("(document)", json.length() + " characters", "allowed up to " + LONGEST_SHEET);
        }
        JsonNode document = Schemas.parse(json);
        DocumentKind.of(document)
                .filter(each -> each == DocumentKind.SEAT_SHEET || each == DocumentKind.VEHICLE_SHEET)
                .orElseThrow(() -> refused("(document)", "no sheet", "allowed is a seat sheet or a vehicle sheet"));
        boolean confirms = author.role() == Author.Role.LEAD;
        List<SheetRow> held =
                confirms ? List.of() : held(point, document.path("id").asString(""));
        Optional<SheetRow> same = held.stream()
                .filter(row -> words(Schemas.parse(row.document())).equals(words(document)))
                .findFirst();
        if (same.isPresent()) {
            return new SheetVersion(same.get().key().id(), same.get().key().version());
        }
        String text = confirms ? json : asDraft(held, (ObjectNode) document);
        return takeInAs(kindOf(document), point, text, author);
    }

    /**
     * Takes a sheet in that came with a family from elsewhere, as a draft whoever brings it; one that is here already, in
     * whatever version, stays as it is.
     *
     * @throws RefusedDocumentException when it is no sheet or breaks its schema
     */
    @Transactional
    public void takeInAsDraft(UUID point, String json, Author author) {
        ObjectNode document = (ObjectNode) Schemas.parse(json);
        List<SheetRow> held = held(point, document.path("id").asString(""));
        if (held.isEmpty()) {
            takeInAs(kindOf(document), point, asDraft(held, document), author);
        }
    }

    /**
     * Takes many in, all of them or none.
     *
     * @return the versions that are on the shelf now, in the order of the documents
     * @throws RefusedDocumentException with every problem of every document, each with the file it stands in
     */
    @Transactional
    List<SheetVersion> takeInAll(UUID point, List<ShelfBundle.Named> documents, Author author) {
        List<SheetVersion> taken = new ArrayList<>();
        List<DocumentProblem> problems = new ArrayList<>();
        for (ShelfBundle.Named each : documents) {
            try {
                taken.add(takeIn(point, each.json(), author));
            } catch (RefusedDocumentException e) {
                e.problems()
                        .forEach(problem -> problems.add(new DocumentProblem(
                                each.file() + " " + problem.place(), problem.value(), problem.allowed())));
            }
        }
        if (!problems.isEmpty()) {
            throw new RefusedDocumentException(problems);
        }
        return taken;
    }

    /** The newest document of every sheet, by the name of its file. */
    @Transactional(readOnly = true)
    SortedMap<String, String> documents(UUID point) {
        SortedMap<String, String> documents = new TreeMap<>();
        for (SheetSummary each : seats(point)) {
            document(point, each.id()).ifPresent(json -> documents.put("seats/" + each.id() + ".json", json));
        }
        for (SheetSummary each : cars(point)) {
            document(point, each.id()).ifPresent(json -> documents.put("cars/" + each.id() + ".json", json));
        }
        return documents;
    }

    /** A version of a sheet as it came in; empty where there is none. */
    @Transactional(readOnly = true)
    public Optional<String> document(UUID point, SheetVersion sheet) {
        return row(point, sheet).map(SheetRow::document);
    }

    private Optional<SheetRow> row(UUID point, SheetVersion sheet) {
        return Arrays.stream(SheetRow.Kind.values())
                .map(kind -> new SheetRow.Key(point, kind, sheet.id(), sheet.version()))
                .flatMap(key -> rows.findById(key).stream())
                .findFirst();
    }

    /**
     * Puts a sheet that was written here on the shelf: a draft under the next number, whoever wrote it.
     *
     * @param writers everybody who changed anything in it
     * @throws RefusedDocumentException when it breaks its schema
     */
    @Transactional
    public SheetVersion putDraft(UUID point, String json, List<String> writers, Author author) {
        ObjectNode document = (ObjectNode) Schemas.parse(json);
        List<SheetRow> held = held(point, document.path("id").asString(""));
        Optional<SheetRow> same = held.stream()
                .filter(row -> words(Schemas.parse(row.document())).equals(words(document)))
                .findFirst();
        if (same.isPresent()) {
            return new SheetVersion(same.get().key().id(), same.get().key().version());
        }
        SheetVersion draft = takeInAs(kindOf(document), point, asDraft(held, document), author);
        row(point, draft).orElseThrow().writtenBy(writers);
        return draft;
    }

    /** The drafts that are newer than what is confirmed of their sheet, and wait for somebody to confirm them. */
    @Transactional(readOnly = true)
    public List<SheetSummary> waiting(UUID point) {
        return waiting(point, SheetRow.Kind.SEAT);
    }

    /** The same of vehicle sheets. */
    @Transactional(readOnly = true)
    public List<SheetSummary> waitingCars(UUID point) {
        return waiting(point, SheetRow.Kind.VEHICLE);
    }

    private List<SheetSummary> waiting(UUID point, SheetRow.Kind kind) {
        List<SheetSummary> waiting = new ArrayList<>();
        Set<String> passed = new HashSet<>();
        for (SheetSummary each : rows.all(point, kind)) {
            // Newest first: whatever is older than a confirmed one waits for nobody.
            if (each.confirmed()) {
                passed.add(each.id());
            } else if (passed.add(each.id())) {
                waiting.add(each);
            }
        }
        return waiting;
    }

    /** Whether somebody may confirm a draft, and if not why. */
    public enum Confirming {
        MAY,
        /** It is no draft, or something newer is confirmed or waits. */
        WAITS_NOT,
        /** A lead does that. */
        NO_LEAD,
        /** Somebody else does that. */
        WROTE_IT
    }

    /** Whether somebody may confirm this version, and if not why. */
    @Transactional(readOnly = true)
    public Confirming confirming(UUID point, SheetVersion draft, Author author) {
        return row(point, draft).map(row -> confirming(point, row, author)).orElse(Confirming.WAITS_NOT);
    }

    private Confirming confirming(UUID point, SheetRow row, Author author) {
        boolean waits = waiting(point, row.key().kind()).stream()
                .anyMatch(each -> each.id().equals(row.key().id())
                        && each.version() == row.key().version());
        if (!waits) {
            return Confirming.WAITS_NOT;
        }
        if (row.isBy(author.id())) {
            return Confirming.WROTE_IT;
        }
        return author.role() == Author.Role.LEAD ? Confirming.MAY : Confirming.NO_LEAD;
    }

    /**
     * Confirms a draft: what it says comes onto the shelf as the next version, confirmed. Its writer cannot.
     *
     * @throws RefusedDocumentException when it is no draft, or its author may not confirm it
     */
    @Transactional
    public SheetVersion confirm(UUID point, SheetVersion draft, Author author) {
        SheetRow row = row(point, draft)
                .orElseThrow(() -> refused("/version", draft.toString(), "no such sheet is on the shelf"));
        switch (confirming(point, row, author)) {
            case MAY -> {
                // Goes on below.
            }
            case WAITS_NOT ->
                throw refused(
                        "/version", draft.toString(), "allowed is the newest draft, where nothing newer is confirmed");
            default -> throw refused("/status", "draft", "a lead confirms it who did not write it");
        }
        List<SheetRow> held = held(point, draft.id());
        ObjectNode document = (ObjectNode) Schemas.parse(asDraft(held, (ObjectNode) Schemas.parse(row.document())));
        return takeInAs(
                row.key().kind(), point, document.put("status", "confirmed").toString(), author);
    }

    /** Whether a document is a vehicle sheet. */
    public static boolean isCar(String json) {
        return kindOf(Schemas.parse(json)) == SheetRow.Kind.VEHICLE;
    }

    private static SheetRow.Kind kindOf(JsonNode document) {
        return DocumentKind.of(document)
                        .filter(each -> each == DocumentKind.VEHICLE_SHEET)
                        .isPresent()
                ? SheetRow.Kind.VEHICLE
                : SheetRow.Kind.SEAT;
    }

    private SheetVersion takeInAs(SheetRow.Kind kind, UUID point, String json, Author author) {
        return kind == SheetRow.Kind.SEAT ? takeInSeat(point, json, author) : takeInCar(point, json, author);
    }

    private SheetVersion takeInSeat(UUID point, String json, Author author) {
        SeatSheet sheet = SheetReader.seat(json);
        String title = sheet.identity().fullName();
        store(point, SheetRow.Kind.SEAT, sheet.sheet(), sheet.status(), title, json, author);
        return sheet.sheet();
    }

    private SheetVersion takeInCar(UUID point, String json, Author author) {
        VehicleSheet sheet = SheetReader.vehicle(json);
        store(point, SheetRow.Kind.VEHICLE, sheet.sheet(), sheet.status(), sheet.fullName(), json, author);
        return sheet.sheet();
    }

    private void store(
            UUID point,
            SheetRow.Kind kind,
            SheetVersion sheet,
            SheetStatus status,
            String title,
            String json,
            Author author) {
        refuseId(point, kind, sheet.id());
        SheetRow.Key key = new SheetRow.Key(point, kind, sheet.id(), sheet.version());
        String hash = Sha256.of(json);
        Optional<SheetRow> held = rows.findById(key);
        if (held.isPresent()) {
            // The same words in another order or spacing are the same document.
            boolean same = held.get().sha256().equals(hash)
                    || Schemas.parse(held.get().document()).equals(Schemas.parse(json));
            if (!same) {
                throw refused(
                        "/version",
                        String.valueOf(sheet.version()),
                        "another document holds this version of " + sheet.id() + "; allowed is a higher one");
            }
            return;
        }
        int highest = rows.versionKeys(point, kind, List.of(sheet.id())).stream()
                .mapToInt(SheetRow.Key::version)
                .max()
                .orElse(0);
        if (sheet.version() > highest + FARTHEST_AHEAD) {
            throw refused(
                    "/version",
                    String.valueOf(sheet.version()),
                    "allowed is up to " + (highest + FARTHEST_AHEAD) + ": a number far ahead bars the ones before it");
        }
        keys.changes(point);
        rows.save(new SheetRow(key, status, title, hash, json, author.id(), clock.instant()));
        forgetUnlessKept(key);
        trail.add(
                point,
                author.id(),
                Trail.What.SHEET_TAKEN_IN,
                sheet + " " + status.name().toLowerCase(Locale.ROOT));
        events.publishEvent(new SheetTakenIn(point, sheet));
    }

    /** What was read while it was not yet certain is forgotten when it is not kept: another may come under its version. */
    private void forgetUnlessKept(SheetRow.Key key) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int how) {
                if (how != STATUS_COMMITTED) {
                    parsed.invalidate(key);
                }
            }
        });
    }

    /** An id is one sheet's: not another kind's, and none that the program gives itself. */
    private void refuseId(UUID point, SheetRow.Kind kind, String id) {
        if (RESERVED.contains(id)) {
            throw refused("/id", id, "this id is the program’s own; allowed is any other");
        }
        boolean othersToo = Arrays.stream(SheetRow.Kind.values())
                .filter(each -> each != kind)
                .anyMatch(each -> !rows.versionKeys(point, each, List.of(id)).isEmpty());
        if (othersToo) {
            throw refused("/id", id, "a sheet of another kind has this id; allowed is any other");
        }
    }

    /**
     * Takes a draft off the shelf that no fitting goes by.
     *
     * @throws RefusedDocumentException when it is confirmed, not there, or in use
     */
    @Transactional
    public void drop(UUID point, String id, int version, Author author) {
        SheetRow draft = Arrays.stream(SheetRow.Kind.values())
                .map(kind -> new SheetRow.Key(point, kind, id, version))
                .flatMap(key -> rows.findById(key).stream())
                .findFirst()
                .orElseThrow(() -> refused("/version", id + " " + version, "no such sheet is on the shelf"));
        if (draft.status() == SheetStatus.CONFIRMED) {
            throw refused("/status", "confirmed", "only a draft is dropped; a confirmed sheet gets a newer version");
        }
        if (rows.isUsed(point, id, version)) {
            throw refused("/id", id, "a fitting goes by this draft; it stays");
        }
        keys.changes(point);
        rows.delete(draft);
        trail.add(point, author.id(), Trail.What.SHEET_DROPPED, id + " " + version);
        parsed.invalidate(draft.key());
    }

    /**
     * A draft, under a number of our own giving: whoever may not confirm must not take the number of what will be
     * confirmed, nor run ahead of it.
     */
    private static String asDraft(List<SheetRow> held, ObjectNode document) {
        int given = held.stream().mapToInt(row -> row.key().version()).max().orElse(0) + 1;
        return document.deepCopy().put("status", "draft").put("version", given).toString();
    }

    private List<SheetRow> held(UUID point, String id) {
        return Arrays.stream(SheetRow.Kind.values())
                .flatMap(kind -> rows.versions(point, kind, List.of(id)).stream())
                .toList();
    }

    /** What a sheet says, without what the shelf says of it. */
    private static ObjectNode words(JsonNode document) {
        ObjectNode words = (ObjectNode) document.deepCopy();
        words.remove("version");
        words.remove("status");
        return words;
    }

    /** The newest confirmed version of each; a draft stands only where nothing is confirmed. */
    private List<SheetSummary> newest(UUID point, SheetRow.Kind kind) {
        Map<String, SheetSummary> newest = new LinkedHashMap<>();
        for (SheetSummary summary : rows.all(point, kind)) {
            // Newest first: the first is kept, unless it is a draft and a confirmed one follows.
            newest.merge(summary.id(), summary, (kept, older) -> !kept.confirmed() && older.confirmed() ? older : kept);
        }
        return List.copyOf(newest.values());
    }

    /** What a version says is read once: it never changes. */
    private <T> List<T> read(
            UUID point, SheetRow.Kind kind, List<String> ids, Function<SheetRow, T> reader, Class<T> type) {
        List<SheetRow.Key> there = keys.of(point, kind, ids);
        // Kept beside the cache: it may let go of one while the others are read.
        Map<SheetRow.Key, Parsed> known = new HashMap<>(parsed.getAllPresent(there));
        List<String> missing = there.stream()
                .filter(key -> !known.containsKey(key))
                .map(SheetRow.Key::id)
                .distinct()
                .toList();
        for (int from = 0; from < missing.size(); from += READ_AT_ONCE) {
            List<String> some = missing.subList(from, Math.min(missing.size(), from + READ_AT_ONCE));
            for (SheetRow row : rows.versions(point, kind, some)) {
                known.put(
                        row.key(), new Parsed(reader.apply(row), row.document().length()));
            }
        }
        parsed.putAll(known);
        return there.stream()
                .map(key -> type.cast(Objects.requireNonNull(known.get(key)).sheet()))
                .toList();
    }

    private static RefusedDocumentException refused(String place, String value, String allowed) {
        return new RefusedDocumentException(List.of(new DocumentProblem(place, value, allowed)));
    }
}
