package app.layette.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.lang.reflect.Method;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What the table in {@code docs/architecture.md} says has to be touched, and nothing else: files are put beside the
 * program as a change would put them, and the program that starts then is asked.
 */
class ToAddTest {
    private static final String WORDING = "app/layette/formats/wording/";
    private static final Path READY = Path.of("..", "examples", "cases", "ready.json");
    private static final String RULE = """
            package app.layette.core.harness;

            import app.layette.core.entry.*;
            import app.layette.core.finding.RuleCode;
            import app.layette.core.rule.*;
            import app.layette.core.step.*;
            import com.google.auto.service.AutoService;

            /** HAR-13: no toy hangs from the handle. */
            @AutoService(Asking.class)
            public final class NoToy extends RuleByEye<NoToy.Answer> {
                public enum Answer {
                    OFF,
                    ON
                }

                public NoToy() {
                    super(RuleCard.of(Conclusion.named("NO_TOY"), RuleCode.named("HAR_13"))
                            .requiredOf(Method::isCarried)
                            .reopenedBy(Change.HANDLE_MOVED)
                            .asks(Asked.about(Question.named("TOY"), Answer.class)
                                    .holds(Answer.OFF, "finding.HAR-13.off")
                                    .fix(Answer.ON, "finding.HAR-13.on")
                                    .shownIn(LookKey.DOOR, 465, Answer.OFF))
                            .at(StepKey.HANDLE_AND_GAP, 50), Answer.class);
                }
            }
            """;
    private static final Map<String, String> WORDS = Map.of("messages.properties", """
            conclusion.NO_TOY = No toy on the handle
            question.TOY = Does anything hang from the handle?
            answer.TOY.OFF = Nothing
            answer.TOY.ON = A toy
            open.TOY = Look at the handle.
            change.TOY = The toy.
            finding.HAR-13.off = Nothing hangs from the handle.
            finding.HAR-13.on = A toy hangs from the handle: take it off for the drive.
            """, "messages_es.properties", """
            conclusion.NO_TOY = Sin juguete en el asa
            question.TOY = ¿Cuelga algo del asa?
            answer.TOY.OFF = Nada
            answer.TOY.ON = Un juguete
            open.TOY = Mira el asa.
            change.TOY = El juguete.
            finding.HAR-13.off = No cuelga nada del asa.
            finding.HAR-13.on = Cuelga un juguete del asa: quítalo para el viaje.
            """);

    @TempDir
    private Path folder;

    private Path program;
    private URLClassLoader loader;
    private Class<?> started;

    @BeforeEach
    void makeRoom() throws IOException {
        program = Files.createDirectories(folder.resolve("program"));
    }

    @Test
    void aRuleByEyeIsItsClassAndItsWordsInEachLanguage() throws Exception {
        Path source = folder.resolve("NoToy.java");
        Files.writeString(source, RULE);
        compile(source);
        for (Map.Entry<String, String> words : WORDS.entrySet()) {
            write(WORDING + words.getKey(), shipped(WORDING + words.getKey()) + "\n" + words.getValue());
        }

        JsonNode open = plan(READY, "en", 1);
        assertThat(gate(open, "noToy").path("state").asString()).isEqualTo("open");
        assertThat(gate(open, "noToy").path("text").asString()).isEqualTo("No toy on the handle");
        assertThat(gate(open, "noToy").path("code").asString()).isEqualTo("HAR-13");
        assertThat(gate(open, "noToy").path("waitsFor").asString()).isEqualTo("open.TOY");
        assertThat(open.path("run").valueStream())
                .filteredOn(step -> step.path("step").asString().equals("handleAndGap"))
                .flatExtracting(step -> step.path("asks").valueStream().toList())
                .extracting(ask -> ask.path("key").asString())
                .contains("TOY");

        assertThat(gate(plan(with(answer("OFF")), "es", 0), "noToy")
                        .path("state")
                        .asString())
                .isEqualTo("passed");
        JsonNode hanging = plan(with(answer("ON")), "es", 1);
        assertThat(gate(hanging, "noToy").path("state").asString()).isEqualTo("failed");
        assertThat(gate(hanging, "noToy").path("text").asString()).isEqualTo("Sin juguete en el asa");
        JsonNode moved = plan(with(answer("OFF"), fact("acted", "act", "handleMoved")), "en", 1);
        assertThat(gate(moved, "noToy").path("state").asString()).isEqualTo("stale");
        // What nobody asks is still refused, by the list that the program writes itself.
        assertThat(run(with(fact("answered", "question", "toys", "answer", "OFF")), "en")
                        .exit())
                .isEqualTo(2);
    }

    @Test
    void aLanguageIsItsFile() throws Exception {
        String english = shipped(WORDING + "messages.properties");
        write(WORDING + "messages_eo.properties", english + "\nconclusion.WEIGHT = Pezo\n");
        JsonNode plan = plan(READY, "eo", 0);
        assertThat(gate(plan, "weight").path("text").asString()).isEqualTo("Pezo");
    }

    private void compile(Path source) throws IOException {
        int failed = ToolProvider.getSystemJavaCompiler()
                .run(
                        null,
                        null,
                        null,
                        "-d",
                        program.toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        source.toString());
        assertThat(failed).isZero();
        assertThat(Files.readString(program.resolve("META-INF/services/app.layette.core.entry.Asking")))
                .contains("NoToy");
    }

    private void write(String name, String text) throws IOException {
        Path file = program.resolve(name);
        Files.createDirectories(file.getParent());
        Files.writeString(file, text);
    }

    private static String shipped(String name) throws IOException {
        try (InputStream in =
                Objects.requireNonNull(ToAddTest.class.getClassLoader().getResourceAsStream(name))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static ObjectNode answer(String answer) {
        return fact("answered", "question", "toy", "answer", answer);
    }

    private static ObjectNode fact(String kind, String... fields) {
        ObjectNode fact =
                JsonMapper.shared().createObjectNode().put("kind", kind).put("of", "u1");
        for (int i = 0; i < fields.length; i += 2) {
            fact.put(fields[i], fields[i + 1]);
        }
        return fact;
    }

    /** The ready case with more entries at its end. */
    private Path with(ObjectNode... facts) throws IOException {
        ObjectNode document = (ObjectNode) JsonMapper.shared().readTree(Files.readString(READY));
        ArrayNode entries = (ArrayNode) document.at("/fitting/entries");
        for (ObjectNode fact : facts) {
            ObjectNode entry = (ObjectNode) entries.get(entries.size() - 1).deepCopy();
            int seq = entry.path("seq").asInt() + 1;
            entry.put("id", "00000000-0000-4000-8000-%012d".formatted(seq));
            entry.put("seq", seq);
            entry.put("seen", seq - 1);
            entry.set("fact", fact);
            entries.add(entry);
        }
        Path file = Files.createTempFile(Files.createDirectories(folder.resolve("cases")), "case", ".json");
        Files.writeString(file, document.toString());
        copySheets(file.getParent());
        return file;
    }

    private void copySheets(Path beside) throws IOException {
        Path sheets = READY.getParent().resolveSibling("sheets");
        Path to = beside.resolveSibling("sheets");
        if (Files.isDirectory(sheets) && !Files.exists(to)) {
            Files.createDirectories(to);
            try (var files = Files.list(sheets)) {
                for (Path sheet : files.toList()) {
                    Files.copy(sheet, to.resolve(sheet.getFileName().toString()));
                }
            }
        }
    }

    private static JsonNode gate(JsonNode plan, String conclusion) {
        return plan.path("gate")
                .valueStream()
                .filter(state -> state.path("conclusion").asString().equals(conclusion))
                .findFirst()
                .orElseThrow();
    }

    private JsonNode plan(Path file, String language, int exit) throws Exception {
        Ended ended = run(file, language);
        assertThat(ended.exit()).as(ended.said()).isEqualTo(exit);
        return JsonMapper.shared().readTree(ended.said());
    }

    private record Ended(int exit, String said) {}

    /** The program as it starts with these files before its own. */
    private Ended run(Path file, String language) throws Exception {
        if (started == null) {
            started = start();
        }
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        Method made = started.getDeclaredMethod("commandLine");
        made.setAccessible(true);
        Object line = made.invoke(null);
        Class<?> type = line.getClass();
        type.getMethod("setOut", PrintWriter.class).invoke(line, new PrintWriter(out, true));
        type.getMethod("setErr", PrintWriter.class).invoke(line, new PrintWriter(err, true));
        Object exit = type.getMethod("execute", String[].class)
                .invoke(line, (Object) new String[] {"plan", file.toString(), "--text", language});
        return new Ended((Integer) exit, exit.equals(2) ? err.toString() : out.toString());
    }

    private Class<?> start() throws Exception {
        List<URL> path = new ArrayList<>();
        path.add(program.toUri().toURL());
        for (String each : System.getProperty("java.class.path").split(File.pathSeparator)) {
            path.add(Path.of(each).toUri().toURL());
        }
        loader = new URLClassLoader(path.toArray(URL[]::new), ClassLoader.getPlatformClassLoader());
        return loader.loadClass(Layette.class.getName());
    }

    @AfterEach
    void end() throws IOException {
        if (loader != null) {
            loader.close();
        }
    }
}
