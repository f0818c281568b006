package app.layette.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

class LayetteTest {
    private static final Path CASES = Path.of("..", "examples", "cases");

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String... arguments) {
        CommandLine line = Layette.commandLine();
        line.setOut(new PrintWriter(out, true));
        line.setErr(new PrintWriter(err, true));
        return line.execute(arguments);
    }

    @ParameterizedTest
    @CsvSource({"ready, 0", "expired, 1", "handle-not-known, 1"})
    void plansAndTellsByItsExitWhetherSomethingBlocks(String name, int exit) {
        assertThat(run("plan", CASES.resolve(name + ".json").toString())).isEqualTo(exit);
        assertThat(out.toString()).contains("\"engineVersion\"", "\"gate\"").doesNotContain("\"text\" : \"No open");
    }

    @Test
    void addsSentencesAndDrawingsOnRequest() {
        int exit = run(
                "plan", CASES.resolve("expired.json").toString(), "--text", "en", "--units", "customary", "--drawings");
        assertThat(exit).isEqualTo(1);
        assertThat(out.toString()).contains("expired: its last usable day was 1 Aug 2025", "8 lb 6 oz", "\"drawings\"");
    }

    @ParameterizedTest
    @CsvSource({"--units, stones", "--text, xx"})
    void refusesOptionsItDoesNotKnow(String option, String value) {
        assertThat(run("plan", CASES.resolve("ready.json").toString(), "--text", "en", option, value))
                .isEqualTo(2);
    }

    @Test
    void aMissingFileIsUnusable() {
        assertThat(run("plan", "no-such-file.json")).isEqualTo(2);
        assertThat(err.toString()).contains("no-such-file.json");
        assertThat(run("check", "no-such-file.json")).isEqualTo(2);
    }

    @Test
    void checksManyFilesAndNamesEachProblem(@TempDir Path folder) throws IOException {
        Path sheets = Path.of("..", "examples", "sheets");
        Path good = sheets.resolve("wrenfold-thimble.json");
        assertThat(run("check", good.toString(), CASES.resolve("ready.json").toString()))
                .isZero();
        Path bad = folder.resolve("bad.json");
        Files.writeString(bad, Files.readString(good).replace("\"29 lb\"", "\"thirty\""));
        assertThat(run("check", good.toString(), bad.toString())).isEqualTo(1);
        assertThat(out.toString()).contains("/limits/weightMax/stated", "thirty");
        Path none = folder.resolve("none.json");
        Files.writeString(none, "{\"hello\": 1}");
        assertThat(run("check", none.toString())).isEqualTo(2);
    }

    @Test
    void entriesThatContradictEachOtherAreUnusable(@TempDir Path folder) throws IOException {
        String twice = Files.readString(CASES.resolve("ready.json")).replaceFirst("\"seq\": 1,", "\"seq\": 2,");
        Path file = folder.resolve("cases").resolve("twice.json");
        Files.createDirectories(file.getParent());
        Files.writeString(
                file,
                twice.replace(
                        "../sheets",
                        Path.of("..", "examples", "sheets").toAbsolutePath().toString()));
        assertThat(run("plan", file.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("Two entries hold the place 2");
    }
}
