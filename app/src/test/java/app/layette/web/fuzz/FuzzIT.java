package app.layette.web.fuzz;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.formats.json.LayetteJson;
import app.layette.web.fuzz.Mappings.Mapping;
import app.layette.web.fuzz.Visitor.Answer;
import app.layette.web.fuzz.Visitor.Form;
import app.layette.web.support.RunningApp;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * Sends every address, form and document what nobody would type: no answer is an error of the server, and none takes
 * long. A short run in the tests, a long one as {@code ./layette fuzz}.
 */
class FuzzIT {
    private static final String[] NAMES = {"pim", "marit", "ilse", "hale", ""};
    private static final String PASSWORD = "thread-and-thimble";
    private static final Pattern VARIABLE = Pattern.compile("\\{([^}]*)}");
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}-[0-9a-f-]{27}");
    /** Beside other journeys a machine is not idle: there this only finds what hangs. */
    private static final long TOO_SLOW_MS = Long.getLong("layette.fuzz.slow", 30_000);

    private static final int WORKERS = 3;
    private static final byte[] NO_PHOTO = "no photograph".getBytes(StandardCharsets.UTF_8);

    private final long seed = Long.getLong("layette.fuzz.seed", 1);
    private final int requests = Integer.getInteger("layette.fuzz.requests", 1000);
    private final List<Mapping> mappings = Mappings.all();
    private final List<JsonNode> documents = documents();
    private final AtomicInteger sent = new AtomicInteger();
    private final AtomicLong slowest = new AtomicLong();
    private final Map<Integer, Integer> statuses = new TreeMap<>();
    private final Map<String, Integer> errors = new TreeMap<>();

    @Test
    void nothingThatIsSentIsAnErrorOfTheServer() throws Exception {
        RunningApp app = RunningApp.apart();
        app.openAnotherPoint("hale");
        try {
            ExecutorService workers = Executors.newFixedThreadPool(WORKERS);
            List<Future<?>> runs = new ArrayList<>();
            for (int i = 0; i < WORKERS; i++) {
                Random random = new Random(seed * WORKERS + i);
                int share = requests / WORKERS + (i < requests % WORKERS ? 1 : 0);
                runs.add(workers.submit(() -> run(app.address(), random, share)));
            }
            for (Future<?> run : runs) {
                run.get();
            }
            workers.shutdown();
            Answer after = new Visitor(app.address(), "", "").get("/actuator/health");
            report(after);
            assertThat(errors)
                    .as("errors of the server, and what took too long")
                    .isEmpty();
            assertThat(after.status()).as("still well afterwards").isEqualTo(200);
        } finally {
            app.kill();
        }
    }

    private void report(Answer after) throws IOException {
        Map<String, Object> result = new LinkedHashMap<>();
        result.put("seed", seed);
        result.put("requests", sent.get());
        result.put(
                "serverErrors",
                statuses.entrySet().stream()
                        .filter(each -> each.getKey() >= 500)
                        .mapToInt(Map.Entry::getValue)
                        .sum());
        result.put(
                "tooSlow",
                errors.keySet().stream().filter(each -> each.startsWith("slow")).count());
        result.put("slowestMs", slowest.get());
        result.put("healthyAfter", after.status() == 200);
        result.put("statuses", statuses);
        String json = LayetteJson.strict().writeValueAsString(result);
        Files.writeString(Path.of("target", "fuzz.json"), json + "\n");
        List<String> lines = new ArrayList<>();
        errors.forEach((what, count) -> lines.add(count + " " + what));
        Files.write(Path.of("target", "fuzz-errors.txt"), lines);
    }

    private void run(String address, Random random, int share) {
        List<Visitor> visitors = new ArrayList<>();
        for (String name : NAMES) {
            visitors.add(new Visitor(address, name, PASSWORD));
        }
        for (Visitor each : visitors) {
            for (String page : List.of("/", "/shelf", "/cars", "/rolls", "/due", "/quick", "/fittings/new", "/point")) {
                each.get(page);
            }
        }
        for (int i = 0; i < share; i++) {
            Visitor visitor = visitors.get(random.nextInt(visitors.size()));
            if (!visitor.isAnonymous() && !visitor.isIn()) {
                visitor.signIn();
            }
            String what;
            Answer answer;
            int kind = random.nextInt(20);
            if (kind < 8) {
                Mapping mapping = mappings.get(random.nextInt(mappings.size()));
                what = mapping.toString();
                answer = byMapping(visitor, mapping, random);
            } else if (kind < 16 && !visitor.forms().isEmpty()) {
                Form form = visitor.forms().get(random.nextInt(visitor.forms().size()));
                what = form.verb() + " " + form.action() + " " + form.fields().get("kind");
                answer = byForm(visitor, form, random);
            } else if (kind < 18 && !visitor.links().isEmpty()) {
                String link = visitor.links().get(random.nextInt(visitor.links().size()));
                what = "GET " + link;
                answer = visitor.get(link.replace(" ", "%20").replace("|", "%7C"));
            } else {
                what = "POST /sheets with a document";
                JsonNode document = documents.get(random.nextInt(documents.size()));
                answer = visitor.upload(
                        "/sheets",
                        Map.of("kind", random.nextBoolean() ? "cars" : "shelf"),
                        "sheet",
                        "sheet.json",
                        Hostile.spoiled(document, random).getBytes(StandardCharsets.UTF_8));
            }
            note(visitor, what, answer);
            if (answer.isSignedOut()) {
                visitor.signIn();
            } else if (answer.status() == 403) {
                visitor.renew();
            }
        }
    }

    private synchronized void note(Visitor visitor, String what, Answer answer) {
        sent.incrementAndGet();
        slowest.accumulateAndGet(answer.millis(), Math::max);
        statuses.merge(answer.status(), 1, Integer::sum);
        String about = ID.matcher(what).replaceAll("*") + " as " + (visitor.isAnonymous() ? "nobody" : visitor.name());
        if (answer.status() >= 500) {
            errors.merge(answer.status() + " " + about, 1, Integer::sum);
        }
        if (answer.millis() > TOO_SLOW_MS) {
            errors.merge("slow: " + answer.millis() + " ms " + about, 1, Integer::sum);
        }
    }

    private Answer byMapping(Visitor visitor, Mapping mapping, Random random) {
        String path = filled(mapping.path(), visitor, random);
        Map<String, String> fields = new LinkedHashMap<>();
        for (String name : mapping.parameters()) {
            if (random.nextInt(5) != 0) {
                fields.put(name, value(visitor, name, random));
            }
        }
        for (int extra = random.nextInt(4); extra > 0 && !visitor.forms().isEmpty(); extra--) {
            Form other = visitor.forms().get(random.nextInt(visitor.forms().size()));
            other.fields().forEach((name, value) -> {
                if (random.nextInt(3) == 0) {
                    fields.put(name, random.nextBoolean() ? value : Hostile.value(random));
                }
            });
        }
        if (mapping.verb().equals("GET")) {
            String query = Visitor.encoded(fields);
            return visitor.get(query.isEmpty() || query.length() > 6000 ? path : path + "?" + query);
        }
        if (!mapping.file().isEmpty() && random.nextInt(4) != 0) {
            return visitor.upload(path, fields, mapping.file(), "photo.jpg", picture(random));
        }
        return visitor.post(path, fields);
    }

    private static byte[] picture(Random random) {
        if (random.nextInt(4) == 0) {
            return NO_PHOTO;
        }
        byte[] bytes = new byte[random.nextInt(4000)];
        random.nextBytes(bytes);
        byte[] head = random.nextBoolean()
                ? new byte[] {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF, (byte) 0xE1}
                : new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10};
        System.arraycopy(head, 0, bytes, 0, Math.min(head.length, bytes.length));
        return bytes;
    }

    private Answer byForm(Visitor visitor, Form form, Random random) {
        Map<String, String> fields = new LinkedHashMap<>(form.fields());
        List<String> names = List.copyOf(fields.keySet());
        for (int changes = random.nextInt(4); changes > 0 && !names.isEmpty(); changes--) {
            String name = names.get(random.nextInt(names.size()));
            if (random.nextInt(6) == 0) {
                fields.remove(name);
            } else {
                fields.put(name, value(visitor, name, random));
            }
        }
        String action = form.action().replaceAll("[ {}|^\\\\]", "");
        if (form.verb().equals("GET")) {
            String query = Visitor.encoded(fields);
            return visitor.get(query.length() > 6000 ? action : action + "?" + query);
        }
        return visitor.post(action, fields);
    }

    /** Mostly something hostile; now and then what the application itself offers under this name. */
    private static String value(Visitor visitor, String name, Random random) {
        if (random.nextInt(3) == 0) {
            List<String> offered = visitor.forms().stream()
                    .map(form -> form.fields().get(name))
                    .filter(each -> each != null && !each.isEmpty())
                    .toList();
            if (!offered.isEmpty()) {
                return offered.get(random.nextInt(offered.size()));
            }
        }
        return Hostile.value(random);
    }

    private static String filled(String path, Visitor visitor, Random random) {
        Matcher variable = VARIABLE.matcher(path);
        StringBuilder out = new StringBuilder();
        while (variable.find()) {
            List<String> ids = visitor.links().stream()
                    .flatMap(link -> ID.matcher(link).results().map(each -> each.group()))
                    .distinct()
                    .toList();
            String value = !ids.isEmpty() && random.nextInt(5) != 0
                    ? ids.get(random.nextInt(ids.size()))
                    : shortened(Hostile.value(random));
            variable.appendReplacement(out, Matcher.quoteReplacement(Visitor.percent(value)));
        }
        variable.appendTail(out);
        return out.toString();
    }

    private static String shortened(String text) {
        return text.length() > 1000 ? text.substring(0, 1000) : text;
    }

    private static List<JsonNode> documents() {
        try (Stream<Path> files = Files.walk(Path.of("..", "examples"))) {
            return files.filter(each -> each.toString().endsWith(".json"))
                    .sorted()
                    .map(FuzzIT::parsed)
                    .toList();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static JsonNode parsed(Path file) {
        try {
            return LayetteJson.lenient().readTree(Files.readString(file));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
