package app.layette.web.running;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.fuzz.Visitor;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import app.layette.web.support.TestDatabase;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The version before left this database; this one starts on it, and everything in it is as it was. */
class UpgradeIT {
    private static final Path DUMP = Path.of("src", "test", "resources", "upgrade", "schema-25.dump");

    private static Path program(String name) throws IOException {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.map(each -> each.resolve("bin").resolve(name))
                    .filter(Files::isExecutable)
                    .max(Path::compareTo)
                    .orElseThrow();
        }
    }

    private static void restore(TestDatabase database) throws IOException, InterruptedException {
        String url = database.url();
        String place = url.substring(url.indexOf("//") + 2);
        ProcessBuilder builder = new ProcessBuilder(
                program("pg_restore").toString(),
                "--single-transaction",
                "--exit-on-error",
                "--no-owner",
                "--no-privileges",
                "-h",
                place.substring(0, place.indexOf(':')),
                "-p",
                place.substring(place.indexOf(':') + 1, place.indexOf('/')),
                "-U",
                TestDatabase.USER,
                "-d",
                place.substring(place.indexOf('/') + 1),
                DUMP.toString());
        builder.environment().put("PGPASSWORD", database.password());
        assertThat(builder.inheritIO().start().waitFor()).isZero();
    }

    private static String ask(TestDatabase database, String sql) throws SQLException {
        try (var connection = DriverManager.getConnection(database.url(), TestDatabase.USER, database.password());
                var statement = connection.createStatement();
                var rows = statement.executeQuery(sql)) {
            rows.next();
            return rows.getString(1);
        }
    }

    @Test
    void startsOnWhatTheVersionBeforeLeft() throws Exception {
        TestDatabase database = TestDatabase.create();
        restore(database);
        String entries = "select md5(string_agg(fitting_id || ' ' || seq || ' ' || document::text, '|'"
                + " order by fitting_id, seq)) from entry where at < '2026-11-30T00:41:00Z'";
        String before = ask(database, entries);
        String seals = ask(database, "select string_agg(sha256, ' ' order by fitting_id) from seal");
        RunningApp app = new RunningApp(database);
        try {
            assertThat(app.ask(entries)).isEqualTo(before);
            assertThat(app.ask("select string_agg(sha256, ' ' order by fitting_id) from seal"))
                    .isEqualTo(seals);
            Visitor lead = new Visitor(app.address(), "ilse", Desk.PASSWORD);
            lead.post("/keeping/seals", Map.of());
            assertThat(app.ask("select broken || ' of ' || (seals > 0) from seals_checked order by at desc limit 1"))
                    .isEqualTo("0 of true");
            for (String id : List.of(
                    app.ask("select string_agg(id::text, ' ') from fitting").split(" "))) {
                assertThat(lead.get("/fittings/" + id).status()).as(id).isEqualTo(200);
                assertThat(lead.get("/fittings/" + id + "/record").status())
                        .as(id)
                        .isEqualTo(200);
            }
            for (String page : List.of("/", "/due", "/ledger", "/shelf", "/points", "/stock", "/bench", "/trail")) {
                assertThat(lead.get(page).status()).as(page).isEqualTo(200);
            }
            assertThat(lead.get("/points").body())
                    .as("whoever led the only point answers for all")
                    .contains("Weir");
            assertThat(app.ask("select count(*) from ledger_line")).isEqualTo(app.ask("select count(*) from seal"));
        } finally {
            app.kill();
        }
    }
}
