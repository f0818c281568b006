package app.layette.web.soak;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.RunningApp;
import app.layette.web.support.TestDatabase;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Technicians enter at once while the application and the database are killed as a power cut would: every acknowledged
 * entry is there, in order, once. Half a minute in the tests, five minutes as {@code ./layette soak}.
 */
class SoakIT {
    private static final String[] NAMES = {"marit", "tove", "ansel", "ilse", "pim"};
    private static final int KILL_MS = 700;
    private static final Duration BETWEEN_KILLS = Duration.ofSeconds(9);

    /** A database cluster of its own, that may be killed. */
    private static final class Cluster {
        private final Path home;
        private final String port;
        private final String password = UUID.randomUUID().toString();

        Cluster() throws IOException, InterruptedException {
            home = Files.createTempDirectory(
                    "layette-soak", PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx--x--x")));
            try (ServerSocket socket = new ServerSocket(0)) {
                port = String.valueOf(socket.getLocalPort());
            }
            script("make", home.toString(), port, password);
        }

        private static void script(String... words) throws IOException, InterruptedException {
            List<String> command =
                    new ArrayList<>(List.of(Path.of("..", "layette").toString(), "test-cluster"));
            command.addAll(List.of(words));
            int exit = new ProcessBuilder(command).inheritIO().start().waitFor();
            assertThat(exit).as(String.join(" ", command)).isZero();
        }

        /**
         * All of it at once, as a power cut would: a server process that outlived the others would hold its memory, and
         * after a power cut no process has the number in the lock file any more.
         */
        void kill() throws IOException, InterruptedException {
            Path lock = home.resolve("db/postmaster.pid");
            long pid = Long.parseLong(Files.readAllLines(lock).get(0).strip());
            List<String> command = new ArrayList<>(List.of("kill", "-9", String.valueOf(pid)));
            ProcessHandle.of(pid).stream()
                    .flatMap(ProcessHandle::descendants)
                    .forEach(each -> command.add(String.valueOf(each.pid())));
            new ProcessBuilder(command).start().waitFor();
            Thread.sleep(KILL_MS);
            Files.delete(lock);
        }

        void start() throws IOException, InterruptedException {
            script("start", home.toString(), port);
        }

        /** Stops it and leaves nothing of it behind. */
        void stop() throws IOException, InterruptedException {
            script("stop", home.toString());
            try (Stream<Path> files = Files.walk(home)) {
                files.sorted(Comparator.reverseOrder())
                        .forEach(file -> file.toFile().delete());
            }
        }
    }

    /** What the database holds of one fitting. */
    record Held(List<UUID> ids, int lastSeq) {}

    @Test
    void everyAcknowledgedEntryIsThereInOrderOnce() throws Exception {
        Duration length = Duration.ofSeconds(Integer.getInteger("layette.soak.seconds", 30));
        Cluster cluster = new Cluster();
        TestDatabase database = TestDatabase.create(cluster.port, cluster.password, "soak");
        RunningApp app = new RunningApp(database);
        ExecutorService hands = Executors.newFixedThreadPool(NAMES.length);
        try {
            List<UUID> fittings = new CopyOnWriteArrayList<>(fittings(database));
            Instant until = Instant.now().plus(length);
            List<Future<Technician.Day>> work = new ArrayList<>();
            for (int i = 0; i < NAMES.length; i++) {
                work.add(hands.submit(new Technician(app.address(), NAMES[i], fittings, () -> until, i)));
            }
            int kills = killUntil(until, app, cluster);
            List<Technician.Day> days = new ArrayList<>();
            for (Future<Technician.Day> each : work) {
                days.add(each.get());
            }
            int acknowledged =
                    days.stream().mapToInt(day -> day.entries().size()).sum();
            int begun = days.stream().mapToInt(day -> day.families().size()).sum();
            System.out.println("Soak: " + acknowledged + " entries and " + begun + " families acknowledged in "
                    + length.toSeconds() + " s, " + kills + " kills of application or database");
            assertThat(kills).isPositive();
            assertThat(acknowledged).isGreaterThan(NAMES.length);
            isWhole(held(database), days.stream().map(Technician.Day::entries).toList());
            areThereOnce(
                    database,
                    days.stream().flatMap(day -> day.families().stream()).toList());
        } finally {
            hands.shutdownNow();
            app.kill();
            cluster.stop();
        }
    }

    private static int killUntil(Instant until, RunningApp app, Cluster cluster) throws Exception {
        int kills = 0;
        while (Instant.now().plus(BETWEEN_KILLS).isBefore(until)) {
            Thread.sleep(BETWEEN_KILLS.toMillis());
            if (kills % 2 == 0) {
                cluster.kill();
                cluster.start();
            } else {
                app.kill();
                app.start();
            }
            kills++;
        }
        return kills;
    }

    static void isWhole(Map<UUID, Held> held, List<List<Technician.Sent>> sent) {
        Map<UUID, Map<UUID, Integer>> places = new HashMap<>();
        held.forEach((fitting, entries) -> {
            Map<UUID, Integer> here = new HashMap<>();
            for (int place = 0; place < entries.ids().size(); place++) {
                here.put(entries.ids().get(place), place + 1);
            }
            assertThat(here).as("once each").hasSameSizeAs(entries.ids());
            assertThat(entries.lastSeq())
                    .as("no gap, none beyond")
                    .isEqualTo(entries.ids().size());
            places.put(fitting, here);
        });
        for (List<Technician.Sent> ofOne : sent) {
            Map<UUID, Integer> last = new HashMap<>();
            Set<UUID> seen = new HashSet<>();
            for (Technician.Sent each : ofOne) {
                Integer place = places.get(each.fitting()).get(each.id());
                assertThat(place).as("%s was acknowledged", each).isNotNull();
                assertThat(place).as("in its author's order").isGreaterThan(last.getOrDefault(each.fitting(), 0));
                last.put(each.fitting(), place);
                assertThat(seen.add(each.id())).isTrue();
            }
        }
    }

    /** Every family that was acknowledged is there once, with the entries that it was begun with. */
    static void areThereOnce(TestDatabase database, List<String> references) throws SQLException {
        Map<String, Integer> entries = new HashMap<>();
        String sql = "select a.reference, count(*) from family a join fitting f on f.family_id = a.id"
                + " join entry e on e.fitting_id = f.id and e.seq <= 4 where a.reference like 'S-%' group by a.reference";
        try (Connection connection =
                        DriverManager.getConnection(database.url(), TestDatabase.USER, database.password());
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            while (rows.next()) {
                entries.put(rows.getString(1), rows.getInt(2));
            }
        }
        assertThat(entries.keySet()).containsAll(references);
        assertThat(entries.values())
                .as("child, weight, length, seat: all with it or none")
                .allMatch(count -> count == 4);
    }

    static List<UUID> fittings(TestDatabase database) throws SQLException {
        List<UUID> fittings = new ArrayList<>();
        try (Connection connection =
                        DriverManager.getConnection(database.url(), TestDatabase.USER, database.password());
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery("select id from fitting where state = 'OPEN'")) {
            while (rows.next()) {
                fittings.add(rows.getObject(1, UUID.class));
            }
        }
        return fittings;
    }

    /** The ids of each fitting by their places, which have to run from 1 without a gap. */
    static Map<UUID, Held> held(TestDatabase database) throws SQLException {
        Map<UUID, Held> held = new HashMap<>();
        String sql = "select e.fitting_id, e.seq, e.id, f.last_seq from entry e join fitting f on f.id = e.fitting_id"
                + " order by e.fitting_id, e.seq";
        try (Connection connection =
                        DriverManager.getConnection(database.url(), TestDatabase.USER, database.password());
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            while (rows.next()) {
                UUID fitting = rows.getObject(1, UUID.class);
                int lastSeq = rows.getInt(4);
                Held here = held.computeIfAbsent(fitting, id -> new Held(new ArrayList<>(), lastSeq));
                here.ids().add(rows.getObject(3, UUID.class));
                assertThat(rows.getInt(2))
                        .as("places without a gap")
                        .isEqualTo(here.ids().size());
            }
        }
        return held;
    }
}
