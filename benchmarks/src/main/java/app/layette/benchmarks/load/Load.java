package app.layette.benchmarks.load;

import app.layette.core.fitting.DatedEvent;
import app.layette.core.fitting.FittingPlanner;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.SheetReader;
import app.layette.formats.document.ShippedProfiles;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.text.Sha256;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.postgresql.PGConnection;
import org.postgresql.copy.PGCopyOutputStream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/**
 * Fills a database with fittings of three years, as if forty points had lived in it: every method, each judged and sealed
 * on its own day. By {@code COPY}, with keys and indexes made anew afterwards; for a database of its own, because until it
 * is done there are none. The last line is one JSON object.
 */
@Command(
        name = "load",
        description = "Fills a database with generated, valid, sealed fittings.",
        mixinStandardHelpOptions = true)
public final class Load implements Callable<Integer> {
    private static final int UNUSABLE = 2;
    private static final int MOST = 10_000_000;
    private static final int DAYS = 3 * 365;
    /** What was due longer ago than this was done. */
    private static final int DONE_AFTER_DAYS = 30;

    private static final int PEOPLE_A_POINT = 5;
    private static final int BUFFER = 1 << 20;
    private static final String ZONE = "America/Toronto";

    private static final String[] NAMES = {
        "Aldis", "Berit", "Corin", "Dagny", "Edda", "Finn", "Greta", "Halle", "Inga", "Joris", "Kaia", "Leif", "Mina",
        "Nils", "Orla", "Pia", "Runa", "Sten", "Thea", "Ulf", "Vera", "Wim", "Yrsa", "Zita"
    };

    @Option(names = "--fittings", description = "How many, 1 to 10000000; default ${DEFAULT-VALUE}.")
    private int fittings = 10_000;

    @Option(names = "--points", description = "Over how many fitting points, 1 to 10000; default ${DEFAULT-VALUE}.")
    private int points = 40;

    @Option(names = "--password", description = "The password of everybody in it; by itself one that nobody knows.")
    private String password = UUID.randomUUID().toString();

    private final String url = System.getenv("LAYETTE_DB_URL");
    private final String user = System.getenv().getOrDefault("LAYETTE_DB_USER", "layette");
    private final String secret = System.getenv("LAYETTE_DB_PASSWORD");
    private final Path examples = Path.of(System.getProperty("layette.examples", "examples"));
    private final LocalDate today = LocalDate.now();
    private final List<UUID> pointIds = new ArrayList<>();
    private List<Template> templates = List.of();
    private Template.OfDay[][] ofDays = new Template.OfDay[0][];

    private Load() {}

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new Load()).execute(arguments));
    }

    /** A key or an index that is taken away while rows are copied in. */
    private record Taken(String drop, String make) {}

    @Override
    public Integer call() throws SQLException, InterruptedException {
        if (fittings < 1 || fittings > MOST || points < 1 || points > 10_000) {
            System.err.println("The number of fittings (" + fittings + ") or points (" + points
                    + ") must be allowed; allowed 1 to " + MOST + ", and 1 to 10000");
            return UNUSABLE;
        }
        templates = cases();
        Instant begun = Instant.now();
        try (Connection connection = connection()) {
            if (count(connection, "select count(*) from fitting") > 0) {
                System.err.println("There are fittings in this database; it is filled while it is empty alone");
                return UNUSABLE;
            }
            judge();
            begin(connection);
            List<Taken> taken = taken(connection);
            try {
                for (Taken each : taken) {
                    execute(connection, each.drop());
                }
                System.out.println("Copying " + fittings + " fittings of " + points + " points ...");
                together(this::fittingsAndFamilies, this::entries);
                together(this::seals, this::beside);
            } finally {
                System.out.println("Making keys and indexes ...");
                execute(connection, "set maintenance_work_mem = '512MB'");
                // Indexes first: keys rest on them.
                for (int i = taken.size() - 1; i >= 0; i--) {
                    execute(connection, taken.get(i).make());
                }
                execute(connection, "analyze");
            }
            Map<String, Object> said = new LinkedHashMap<>();
            said.put("fittings", fittings);
            said.put("points", points);
            said.put("entries", count(connection, "select count(*) from entry"));
            said.put("bytes", count(connection, "select pg_database_size(current_database())"));
            said.put("seconds", Duration.between(begun, Instant.now()).toSeconds());
            System.out.println(LayetteJson.strict().writeValueAsString(said));
        }
        return 0;
    }

    private Connection connection() throws SQLException {
        return DriverManager.getConnection(url, user, secret);
    }

    private static void execute(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    private static long count(Connection connection, String sql) throws SQLException {
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            rows.next();
            return rows.getLong(1);
        }
    }

    private List<Template> cases() {
        try (Stream<Path> files = Files.list(examples.resolve("cases"))) {
            return files.filter(file -> file.getFileName().toString().startsWith("ready"))
                    .sorted()
                    .map(file -> new Template(CaseDocument.read(read(file), name -> read(file.resolveSibling(name)))))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file.normalize());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Points with people, sheets and practice. */
    private void begin(Connection connection) throws SQLException {
        String profile = ShippedProfiles.json("north-american-clinic");
        int version = SheetReader.profile(profile).version();
        // A slow hash for each of hundreds would take longer than the rows: here nobody guards anything.
        String hash = "{SHA-256}" + Sha256.of(password);
        connection.setAutoCommit(false);
        try (PreparedStatement point = connection.prepareStatement(
                        "insert into point (id, name, zone, law_country, profile_id) values (?, ?, ?, 'US', ?)");
                PreparedStatement person = connection.prepareStatement(
                        "insert into app_user (id, point_id, name, display_name, password_hash, role, organisation)"
                                + " values (?, ?, ?, ?, ?, ?, ?)");
                PreparedStatement practice = connection.prepareStatement(
                        "insert into practice_profile (point_id, id, version, document) values (?, ?, ?, cast(? as jsonb))");
                PreparedStatement sheet = connection.prepareStatement(
                        "insert into sheet (point_id, kind, id, version, status, title, sha256, document, imported_by,"
                                + " imported_at) values (?, ?, ?, ?, 'CONFIRMED', ?, ?, cast(? as jsonb), 'load', now())")) {
            Map<String, String> sheets = sheets();
            for (int i = 0; i < points; i++) {
                UUID id = id("point", i);
                pointIds.add(id);
                point.setObject(1, id);
                point.setString(2, String.format(Locale.ROOT, "Fitting room %05d", i + 1));
                point.setString(3, ZONE);
                point.setString(4, "north-american-clinic");
                point.addBatch();
                for (int p = 0; p < PEOPLE_A_POINT; p++) {
                    person.setObject(1, id("person " + p, i));
                    person.setObject(2, id);
                    person.setString(3, "load-" + (i + 1) + "-" + (p + 1));
                    person.setString(4, NAMES[p]);
                    person.setString(5, hash);
                    person.setString(6, p == 0 ? "LEAD" : "TECHNICIAN");
                    person.setBoolean(7, i == 0 && p == 0);
                    person.addBatch();
                }
                practice.setObject(1, id);
                practice.setString(2, "north-american-clinic");
                practice.setInt(3, version);
                practice.setString(4, profile);
                practice.addBatch();
                for (Map.Entry<String, String> each : sheets.entrySet()) {
                    boolean car = each.getKey().startsWith("VEHICLE");
                    var parsed = LayetteJson.strict().readTree(each.getValue());
                    sheet.setObject(1, id);
                    sheet.setString(2, car ? "VEHICLE" : "SEAT");
                    sheet.setString(3, parsed.get("id").asString());
                    sheet.setInt(4, parsed.get("version").asInt());
                    sheet.setString(
                            5,
                            car
                                    ? SheetReader.vehicle(each.getValue()).fullName()
                                    : SheetReader.seat(each.getValue())
                                            .identity()
                                            .fullName());
                    sheet.setString(6, Sha256.of(each.getValue()));
                    sheet.setString(7, each.getValue());
                    sheet.addBatch();
                }
            }
            point.executeBatch();
            person.executeBatch();
            practice.executeBatch();
            sheet.executeBatch();
        }
        connection.commit();
        connection.setAutoCommit(true);
    }

    private Map<String, String> sheets() {
        Map<String, String> sheets = new LinkedHashMap<>();
        for (Template each : templates) {
            sheets.put(
                    "SEAT " + each.seat().id(),
                    read(examples.resolve("sheets/" + each.seat().id() + ".json")));
            sheets.put(
                    "VEHICLE " + each.car().id(),
                    read(examples.resolve("sheets/" + each.car().id() + ".json")));
        }
        return sheets;
    }

    private static List<Taken> taken(Connection connection) throws SQLException {
        List<Taken> taken = new ArrayList<>();
        String tables = "('entry'::regclass, 'fitting'::regclass, 'family'::regclass, 'seal'::regclass,"
                + " 'due_item'::regclass, 'ledger_line'::regclass)";
        // Foreign keys, then what they rest on, then plain indexes; made again the other way round.
        String sql = "select format('alter table %s drop constraint %I', conrelid::regclass, conname),"
                + " format('alter table %s add constraint %I %s', conrelid::regclass, conname, pg_get_constraintdef(oid)),"
                + " case contype when 'f' then 0 else 1 end as rank from pg_constraint"
                + " where (contype in ('p', 'u') and conrelid in " + tables + ") or (contype = 'f' and (conrelid in "
                + tables
                + " or confrelid in " + tables + "))"
                + " union all select format('drop index %s', indexrelid::regclass), pg_get_indexdef(indexrelid), 2"
                + " from pg_index i where indrelid in " + tables
                + " and not exists (select 1 from pg_constraint c where c.conindid = i.indexrelid and c.contype in ('p', 'u'))"
                + " union all select format('alter table %s disable trigger whose', tgrelid::regclass),"
                + " format('alter table %s enable trigger whose', tgrelid::regclass), 3 from pg_trigger"
                + " where tgname = 'whose' and tgrelid in " + tables + " order by 3";
        try (Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            while (rows.next()) {
                taken.add(new Taken(rows.getString(1), rows.getString(2)));
            }
        }
        return taken;
    }

    /** Something that is copied in over a connection of its own. */
    private interface Copying {
        void run(Connection connection) throws SQLException, IOException;
    }

    private void together(Copying one, Copying other) throws InterruptedException {
        ExecutorService both = Executors.newFixedThreadPool(2);
        List<Future<?>> running = new ArrayList<>();
        for (Copying each : List.of(one, other)) {
            running.add(both.submit(() -> {
                try (Connection connection = connection()) {
                    // It is lost with the machine and made again: nobody waits for the disk.
                    execute(connection, "set synchronous_commit = off");
                    each.run(connection);
                }
                return null;
            }));
        }
        both.shutdown();
        for (Future<?> each : running) {
            try {
                each.get();
            } catch (ExecutionException e) {
                throw new IllegalStateException(e.getCause());
            }
        }
    }

    /** Takes each fitting in the order of its day. */
    private interface Each {
        void take(UUID point, UUID fitting, int number, Template.OfDay of) throws IOException;
    }

    private void each(Each each) throws IOException {
        int templatesThere = templates.size();
        for (int i = 0; i < fittings; i++) {
            int day = (int) ((long) i * (DAYS - 1) / fittings);
            int which = new Random(i * 31L).nextInt(templatesThere);
            each.take(pointIds.get(i % points), id("fitting", i), i, ofDays[day][which]);
        }
    }

    /** Every case on every day that has fittings. */
    private void judge() {
        System.out.println("Judging " + templates.size() + " fittings of each day ...");
        ofDays = IntStream.range(0, DAYS)
                .parallel()
                .mapToObj(day -> {
                    // With few fittings a day not every case is asked for.
                    boolean[] wanted = new boolean[templates.size()];
                    long first = ((long) day * fittings + DAYS - 2) / (DAYS - 1);
                    for (long i = first; i < fittings && i * (DAYS - 1) / fittings == day; i++) {
                        wanted[new Random(i * 31L).nextInt(wanted.length)] = true;
                    }
                    return IntStream.range(0, wanted.length)
                            .mapToObj(which -> wanted[which]
                                    ? templates
                                            .get(which)
                                            .on(today.minusDays(DAYS).plusDays(day))
                                    : null)
                            .toArray(Template.OfDay[]::new);
                })
                .toArray(Template.OfDay[][]::new);
    }

    private static UUID id(String what, int number) {
        return UUID.nameUUIDFromBytes(("load " + what + " " + number).getBytes(StandardCharsets.UTF_8));
    }

    private void fittingsAndFamilies(Connection connection) throws SQLException, IOException {
        try (OutputStream out = copy(connection, "family (point_id, id, reference, child_name)")) {
            each((point, fitting, number, of) ->
                    line(out, point, id("family", number), "L-" + (number + 1), NAMES[number % NAMES.length]));
        }
        int version = SheetReader.profile(ShippedProfiles.json("north-american-clinic"))
                .version();
        try (OutputStream out = copy(
                connection,
                "fitting (point_id, id, family_id, profile_id, profile_version, law_country, seat_sheet, last_seq,"
                        + " created_at, state, blocking, touched_at, car, record_id, unit, rider)")) {
            each((point, fitting, number, of) -> line(
                    out,
                    point,
                    fitting,
                    id("family", number),
                    "north-american-clinic",
                    version,
                    "US",
                    of.seat(),
                    of.entries(),
                    of.moments().get(0),
                    "HANDED_OVER",
                    0,
                    of.moments().get(of.moments().size() - 1),
                    of.car(),
                    fitting,
                    "u1",
                    "r1"));
        }
    }

    private void entries(Connection connection) throws SQLException, IOException {
        try (OutputStream out = copy(connection, "entry (point_id, fitting_id, seq, id, at, document)")) {
            each((point, fitting, number, of) -> {
                for (int seq = 1; seq <= of.entries(); seq++) {
                    line(
                            out,
                            point,
                            fitting,
                            seq,
                            Template.entry(fitting, seq),
                            of.moments().get(seq - 1),
                            of.document(fitting, seq));
                }
            });
        }
    }

    private void seals(Connection connection) throws SQLException, IOException {
        try (OutputStream out = copy(
                connection,
                "seal (point_id, fitting_id, last_seq, sha256, engine_version, sealed_at, sealed_by, plan)")) {
            each((point, fitting, number, of) -> {
                line(
                        out,
                        point,
                        fitting,
                        of.entries(),
                        of.seal(fitting),
                        FittingPlanner.ENGINE_VERSION,
                        of.moments().get(of.moments().size() - 1),
                        "load-lead",
                        of.plan());
            });
        }
    }

    /** What comes due, and the ledger. */
    private void beside(Connection connection) throws SQLException, IOException {
        try (OutputStream out = copy(
                connection, "due_item (point_id, fitting_id, what, earliest, likely, latest, every, done, person)")) {
            each((point, fitting, number, of) -> {
                List<String> had = new ArrayList<>();
                for (DatedEvent event : of.dates()) {
                    if (had.contains(event.key() + event.on())) {
                        continue;
                    }
                    had.add(event.key() + event.on());
                    line(
                            out,
                            point,
                            fitting,
                            event.key(),
                            event.earliest().orElse(event.on()),
                            event.on(),
                            event.latest()
                                    .map(Object::toString)
                                    .orElse(
                                            event.earliest().isPresent()
                                                    ? null
                                                    : event.on().toString()),
                            event.every().map(Period::toString).orElse(null),
                            event.on().isBefore(today.minusDays(DONE_AFTER_DAYS)),
                            "load-lead");
                }
            });
        }
        try (OutputStream out = copy(
                connection,
                "ledger_line (point_id, fitting_id, day, ended_at, ending, by_user, method, minutes, looks)")) {
            each((point, fitting, number, of) -> line(
                    out,
                    point,
                    fitting,
                    of.day(),
                    of.moments().get(of.moments().size() - 1),
                    "HANDED_OVER",
                    "load-lead",
                    of.method(),
                    30 + number % 40,
                    of.looks()));
        }
    }

    private static OutputStream copy(Connection connection, String into) throws SQLException {
        return new PGCopyOutputStream(connection.unwrap(PGConnection.class), "copy " + into + " from stdin", BUFFER);
    }

    private static void line(OutputStream out, Object... values) throws IOException {
        StringBuilder line = new StringBuilder();
        for (Object value : values) {
            line.append(line.isEmpty() ? "" : "\t").append(value == null ? "\\N" : escaped(value.toString()));
        }
        out.write(line.append('\n').toString().getBytes(StandardCharsets.UTF_8));
    }

    private static String escaped(String text) {
        return text.indexOf('\\') < 0 && text.indexOf('\t') < 0 && text.indexOf('\n') < 0
                ? text
                : text.replace("\\", "\\\\").replace("\t", "\\t").replace("\n", "\\n");
    }
}
