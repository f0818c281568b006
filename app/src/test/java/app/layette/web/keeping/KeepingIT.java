package app.layette.web.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import app.layette.web.support.TestDatabase;
import app.layette.web.support.Unpacked;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;

/** A backup, a wreck, a restore: everything is there again, every seal holds, the plans are the same byte for byte. */
class KeepingIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @TempDir
    Path home;

    /** What came of a command. */
    private record Came(int exit, String last, String all) {}

    private static Came layette(TestDatabase database, String... words) throws IOException, InterruptedException {
        ProcessBuilder builder =
                new ProcessBuilder(List.of(Path.of("..", "layette").toString(), words[0], words[1]));
        builder.environment().put("LAYETTE_DB_URL", database.url());
        builder.environment().put("LAYETTE_DB_USER", TestDatabase.USER);
        builder.environment().put("LAYETTE_DB_PASSWORD", database.password());
        builder.environment().put("LAYETTE_JAR", Unpacked.jar().toString());
        // It lives for seconds.
        builder.environment()
                .put("JDK_JAVA_OPTIONS", "-XX:TieredStopAtLevel=1 " + String.join(" ", Unpacked.startsQuicker()));
        builder.redirectErrorStream(true);
        Process process = builder.start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        return new Came(process.waitFor(), said.substring(said.lastIndexOf('\n') + 1), said);
    }

    private static void on(TestDatabase database, String sql) throws SQLException {
        try (var connection = DriverManager.getConnection(database.url(), TestDatabase.USER, database.password());
                var statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    @Test
    void backupWreckRestore() throws IOException, InterruptedException, SQLException {
        Path file = home.resolve("weir-street.backup");
        Came backup = layette(app.database(), "backup", file.toString());
        assertThat(backup.exit()).as(backup.all()).isZero();
        assertThat(backup.last()).contains("\"sealsBroken\":[]").doesNotContain("\"seal\":0");
        assertThat(Files.getPosixFilePermissions(file))
                .as("readable by its owner alone")
                .hasSize(2);
        assertThat(layette(app.database(), "backup", file.toString()).exit())
                .as("never in the place of another")
                .isEqualTo(2);

        TestDatabase empty = TestDatabase.create();
        Path cut = home.resolve("cut.backup");
        byte[] whole = Files.readAllBytes(file);
        Files.write(cut, Arrays.copyOf(whole, whole.length / 2));
        assertThat(layette(empty, "restore", cut.toString()).exit()).isNotZero();
        Came restored = layette(empty, "restore", file.toString());
        assertThat(restored.exit()).as(restored.all()).isZero();
        assertThat(restored.last()).isEqualTo(backup.last());
        Came again = layette(empty, "restore", file.toString());
        assertThat(again.exit()).isEqualTo(2);
        assertThat(again.all()).contains("not empty");

        on(
                empty,
                "update entry set document = jsonb_set(document, '{by,id}', '\"somebody\"') where (fitting_id, seq) ="
                        + " (select fitting_id, 1 from seal order by fitting_id limit 1)");
        Path wrecked = home.resolve("wrecked.backup");
        Came spoiled = layette(empty, "backup", wrecked.toString());
        assertThat(spoiled.exit()).as("a seal that does not hold").isEqualTo(1);
        assertThat(spoiled.last()).doesNotContain("\"sealsBroken\":[]");
    }

    @Test
    void aLeadSeesHowItStands() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ilse").open("/people").click("text=What is kept");
            assertThat(desk.page().textContent("main")).contains("Database", "Last backup", "never yet");
            desk.page().click("text=Look at every seal now");
            desk.page().waitForLoadState();
            assertThat(desk.page().textContent("main")).contains("all hold");
            desk.isAccessible("what is kept");
            desk.isQuiet();
        }
    }
}
