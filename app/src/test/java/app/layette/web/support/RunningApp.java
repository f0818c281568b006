package app.layette.web.support;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/**
 * The packaged application as a process of its own, with the demo data; can be killed and restarted. One serves all
 * journeys that run in this virtual machine, and every test begins with the demo data as it was loaded.
 */
public final class RunningApp implements BeforeEachCallback, TestExecutionExceptionHandler {
    private static final Duration LONGEST_START = Duration.ofMinutes(10);
    private static RunningApp shared;

    private final TestDatabase database;
    /** Journeys have eyes as quick as their hands; whoever tests the hands takes the real time. */
    private static final String AT_ONCE = "0ms";

    private final int port = freePort();
    private final String steady;
    private Process process;

    /** One of somebody's own, on a database of its own. */
    public RunningApp(TestDatabase database) {
        this(database, AT_ONCE);
    }

    private RunningApp(TestDatabase database, String steady) {
        this.database = database;
        this.steady = steady;
        Runtime.getRuntime().addShutdownHook(new Thread(this::kill));
        start();
    }

    public static RunningApp shared() {
        if (shared == null) {
            // Every journey can be run over tables that are split by point.
            shared = new RunningApp(
                    withDemoData(Integer.getInteger("layette.partitions", 0)).another());
            shared.database.keep();
        }
        return shared;
    }

    /** A database with the demo data, loaded once a build and day by whichever machine that runs tests comes first. */
    private static TestDatabase withDemoData(int parts) {
        return Unpacked.oneAtATime("first-start", () -> {
            TestDatabase loaded = TestDatabase.named("demo_%s_%s_%s"
                    .formatted(Unpacked.madeAt(), LocalDate.now(), parts)
                    .replaceAll("[^A-Za-z0-9]", "_")
                    .toLowerCase(Locale.ROOT));
            if (!loaded.isKept()) {
                // A run that was broken off may have left one that was never kept.
                loaded.drop();
                RunningApp first = new RunningApp(TestDatabase.create(loaded.port(), loaded.password(), loaded.name()));
                Unpacked.keepClasses(first.process);
                first.kill();
                if (parts > 0) {
                    first.split(parts);
                }
                loaded.keep();
            }
            return loaded;
        });
    }

    /** One that may be broken without harm to the shared one. */
    public static RunningApp apart() {
        return new RunningApp(withDemoData(0).another(), AT_ONCE);
    }

    /** One whose buttons must stand as long as for real hands before a press counts. */
    public static RunningApp forHands() {
        RunningApp app = new RunningApp(shared().database.another(), "400ms");
        app.database.keep();
        return app;
    }

    @Override
    public void beforeEach(ExtensionContext context) {
        if (!process.isAlive()) {
            start();
        }
        database.restore();
    }

    /** A machine far away shows nothing but the message: it has to tell what was on the screen. */
    @Override
    public void handleTestExecutionException(ExtensionContext context, Throwable thrown) {
        throw new AssertionError(thrown.getMessage() + "\nOn the screen: " + Desk.lastSeen(), thrown);
    }

    /** The kinds of a fitting's newest entries in their order, by child's name, as they stand in the database. */
    public List<String> newestKinds(String child, int howMany) {
        String sql = "select document -> 'fact' ->> 'kind' from entry e join fitting f on f.id = e.fitting_id"
                + " join family a on a.id = f.family_id where a.child_name = ? order by e.seq desc limit " + howMany;
        List<String> kinds = new ArrayList<>();
        try (Connection connection =
                        DriverManager.getConnection(database.url(), TestDatabase.USER, database.password());
                PreparedStatement statement = connection.prepareStatement(sql)) {
            statement.setString(1, child);
            ResultSet rows = statement.executeQuery();
            while (rows.next()) {
                kinds.add(0, rows.getString(1));
            }
        } catch (SQLException e) {
            throw new IllegalStateException("The entries cannot be read", e);
        }
        return kinds;
    }

    /** The one value that a query finds. */
    public String ask(String sql) {
        try (Connection connection =
                        DriverManager.getConnection(database.url(), TestDatabase.USER, database.password());
                java.sql.Statement statement = connection.createStatement();
                ResultSet row = statement.executeQuery(sql)) {
            row.next();
            return row.getString(1);
        } catch (SQLException e) {
            throw new IllegalStateException(sql, e);
        }
    }

    /** Changes something in the database that no screen can, such as the day. */
    public void execute(String sql) {
        try (Connection connection =
                        DriverManager.getConnection(database.url(), TestDatabase.USER, database.password());
                java.sql.Statement statement = connection.createStatement()) {
            statement.execute(sql);
        } catch (SQLException e) {
            throw new IllegalStateException(sql, e);
        }
    }

    /** Splits the large tables by point, as whoever runs thousands of points does by hand. */
    public void split(int parts) {
        try (var in = RunningApp.class.getResourceAsStream("/db/by-hand/split_by_point.sql")) {
            execute(new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8)
                    .replace(":parts", String.valueOf(parts)));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Another fitting point with a lead of its own, whose password is everybody's. */
    public void openAnotherPoint(String lead) {
        execute("with other as (insert into point (id, name, zone, law_country, profile_id) values (gen_random_uuid(),"
                + " 'Mill Lane', 'America/Chicago', 'US', 'north-american-clinic') returning id)"
                + " insert into app_user (id, point_id, name, display_name, password_hash, role)"
                + " select gen_random_uuid(), other.id, '" + lead + "', '" + lead + "', u.password_hash, 'LEAD'"
                + " from other, app_user u where u.name = 'ilse'");
    }

    /** Its database, for whoever works on it from beside. */
    public TestDatabase database() {
        return database;
    }

    public String address() {
        return "http://127.0.0.1:" + port;
    }

    /** The same by the name of this machine: passkeys know no numbers. */
    public String addressByName() {
        return "http://localhost:" + port;
    }

    /** Starts it and waits until it says that it is ready. */
    public void start() {
        String jar = Unpacked.jar().toString();
        List<String> command = new ArrayList<>(List.of(
                Unpacked.java("java"),
                "-Xmx512m",
                "-XX:+UseSerialGC",
                // It lives for minutes: what the slower compiler gives is never earned back.
                "-XX:TieredStopAtLevel=1",
                // A connection may be cut by restoring the database at any time.
                "-Dcom.zaxxer.hikari.aliveBypassWindowMs=0"));
        command.addAll(Unpacked.startsQuicker());
        command.addAll(List.of("-jar", jar));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().put("LAYETTE_MODE", "demo");
        builder.environment().put("LAYETTE_PORT", String.valueOf(port));
        builder.environment().put("LAYETTE_DB_URL", database.url());
        builder.environment().put("LAYETTE_DB_PASSWORD", database.password());
        builder.environment().put("LAYETTE_STEADY", steady);
        builder.environment().put("LAYETTE_WARM_UP", System.getProperty("layette.warmUp", "false"));
        // Passkeys belong to a host name.
        builder.environment().put("LAYETTE_BASE_URL", addressByName());
        builder.redirectErrorStream(true);
        builder.redirectOutput(ProcessBuilder.Redirect.appendTo(new File("target/running-app.log")));
        try {
            process = builder.start();
        } catch (IOException e) {
            throw new IllegalStateException("The application cannot be started", e);
        }
        waitUntilReady();
    }

    private void waitUntilReady() {
        Instant end = Instant.now().plus(LONGEST_START);
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest health = HttpRequest.newBuilder(URI.create(address() + "/actuator/health"))
                .timeout(Duration.ofSeconds(2))
                .build();
        while (Instant.now().isBefore(end) && process.isAlive()) {
            try {
                if (client.send(health, BodyHandlers.ofString()).statusCode() == 200) {
                    return;
                }
            } catch (IOException e) {
                // Not listening yet: ask again.
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                break;
            }
            pause();
        }
        throw new IllegalStateException("The application did not become ready; see app/target/running-app.log");
    }

    private static void pause() {
        try {
            Thread.sleep(200);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** As a power cut would end it. */
    public void kill() {
        process.destroyForcibly();
        try {
            process.waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new IllegalStateException("There is no free port", e);
        }
    }
}
