package app.layette.benchmarks.load;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Somebody at work: begins families, enters every few seconds as a browser does, and looks at lists in between. What was
 * acknowledged is kept, to be looked for afterwards; an error page is counted.
 */
final class Person implements Callable<Person.Work> {
    private static final Pattern CSRF = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Pattern FITTING = Pattern.compile(".*/fittings/([0-9a-f-]{36}).*");
    private static final Pattern PRINT = Pattern.compile("id=\"(\\w+)\"[^>]*data-print=\"([^\"]+)\"");
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final int ONE_IN_LISTS = 4;
    private static final int SERVER_ERROR = 500;
    private static final int UNUSABLE = 422;
    private static final int AGAIN_MS = 250;
    private static final int MOST_TRIES = 200;

    private static final String[] LISTS = {
        "/", "/due", "/shelf", "/ledger", "/?find=%s", "/cars", "/due?ahead=MONTH", "/?find=L-%d"
    };

    /** An entry that was acknowledged. */
    record Sent(UUID fitting, UUID id) {}

    /**
     * What somebody did.
     *
     * @param entryMs of each answer to an entry, once warm
     * @param listMs of each list and search, by address
     * @param errorPages answers that were an error of the server
     */
    record Work(List<Double> entryMs, Map<String, List<Double>> listMs, List<Sent> sent, int errorPages) {}

    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .connectTimeout(PATIENCE)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    private final String address;
    private final String name;
    private final String password;
    private final Instant warm;
    private final Instant until;
    private final long pauseMs;
    private final Random random;
    private final Map<String, String> prints = new HashMap<>();
    private final Work work = new Work(new ArrayList<>(), new HashMap<>(), new ArrayList<>(), 0);
    private String csrf = "";
    private int errorPages;

    Person(String address, String name, String password, Instant warm, Instant until, long pauseMs, long seed) {
        this.address = address;
        this.name = name;
        this.password = password;
        this.warm = warm;
        this.until = until;
        this.pauseMs = pauseMs;
        this.random = new Random(seed);
    }

    @Override
    public Work call() throws InterruptedException {
        // Nobody begins in the same second as everybody else.
        Thread.sleep(random.nextInt((int) Math.max(1, pauseMs)));
        signIn();
        while (Instant.now().isBefore(until)) {
            UUID fitting = begin();
            for (Map<String, String> entry : Entries.ALL) {
                if (Instant.now().isAfter(until)) {
                    break;
                }
                long began = System.nanoTime();
                enter(fitting, entry);
                if (random.nextInt(ONE_IN_LISTS) == 0) {
                    list();
                }
                long spent = (System.nanoTime() - began) / 1_000_000;
                // Hands are not clocks: between half of it and half more.
                long wait = pauseMs / 2 + (long) (random.nextDouble() * pauseMs) - spent;
                Thread.sleep(Math.max(1, wait));
            }
        }
        return new Work(work.entryMs(), work.listMs(), work.sent(), errorPages);
    }

    private void signIn() throws InterruptedException {
        untilDone(() -> {
            csrf = found(CSRF, get("/sign-in").body());
            HttpResponse<String> answer =
                    post("/sign-in", Map.of("username", name, "password", password, "_csrf", csrf), false);
            if (answer.statusCode() != 302
                    || String.valueOf(answer.headers().firstValue("location")).contains("error")) {
                throw new IOException("not let in: " + answer.statusCode());
            }
            csrf = found(CSRF, get("/fittings/new").body());
        });
    }

    private interface Try {
        void once() throws IOException, InterruptedException;
    }

    /** Sent again until somebody acknowledges it, as the browser does. */
    private void untilDone(Try what) throws InterruptedException {
        IOException last = null;
        for (int i = 0; i < MOST_TRIES; i++) {
            try {
                what.once();
                return;
            } catch (IOException e) {
                last = e;
                Thread.sleep(AGAIN_MS);
            }
        }
        throw new IllegalStateException(name + " gave up", last);
    }

    private UUID begin() throws InterruptedException {
        UUID id = UUID.randomUUID();
        Map<String, String> fields = new HashMap<>(Map.of(
                "id",
                id.toString(),
                "reference",
                "B-" + id.toString().substring(0, 13),
                "childName",
                "Bodil",
                "born",
                LocalDate.now().minusDays(6).toString(),
                "mass",
                "6 lb 8 oz",
                "length",
                "19 1/2 in",
                "seat",
                "wrenfold-thimble",
                "car",
                "corvane-estate"));
        UUID[] begun = new UUID[1];
        untilDone(() -> {
            fields.put("_csrf", csrf);
            HttpResponse<String> answer = post("/fittings/new", fields, false);
            Matcher at = FITTING.matcher(answer.headers().firstValue("location").orElse(""));
            if (!at.matches()) {
                throw new IOException("not begun: " + answer.statusCode());
            }
            begun[0] = UUID.fromString(at.group(1));
        });
        untilDone(() -> shown(get("/fittings/" + begun[0])));
        return begun[0];
    }

    private void enter(UUID fitting, Map<String, String> entry) throws InterruptedException {
        UUID id = UUID.randomUUID();
        Map<String, String> fields = new HashMap<>(entry);
        fields.put("id", id.toString());
        fields.put("seen", "9999");
        untilDone(() -> {
            fields.put("_csrf", csrf);
            long began = System.nanoTime();
            HttpResponse<String> answer = post("/fittings/" + fitting + "/entries", fields, true);
            double ms = (System.nanoTime() - began) / 1e6;
            if (answer.statusCode() == UNUSABLE) {
                throw new IllegalStateException("refused: " + entry + " "
                        + answer.body().replaceAll("(?s).*class=\"refused\"(.{0,900}).*", "$1"));
            }
            if (answer.statusCode() != 200) {
                throw new IOException("not kept: " + answer.statusCode() + " " + entry);
            }
            shown(answer);
            work.sent().add(new Sent(fitting, id));
            if (Instant.now().isAfter(warm)) {
                work.entryMs().add(ms);
            }
        });
    }

    private void list() throws InterruptedException {
        String list = LISTS[random.nextInt(LISTS.length)];
        String path = String.format(
                list,
                list.contains("%d")
                        ? (Object) random.nextInt(1_000_000)
                        : Entries.NAMES[random.nextInt(Entries.NAMES.length)]);
        untilDone(() -> {
            long began = System.nanoTime();
            HttpResponse<String> answer = get(path);
            double ms = (System.nanoTime() - began) / 1e6;
            if (answer.statusCode() != 200) {
                throw new IOException("no list: " + answer.statusCode());
            }
            if (Instant.now().isAfter(warm)) {
                work.listMs().computeIfAbsent(list, key -> new ArrayList<>()).add(ms);
            }
        });
    }

    /** What the page shows since: the server leaves out what has not changed. */
    private void shown(HttpResponse<String> answer) {
        Matcher print = PRINT.matcher(answer.body());
        while (print.find()) {
            prints.put(print.group(1), print.group(2));
        }
    }

    private static String found(Pattern pattern, String text) throws IOException {
        Matcher matcher = pattern.matcher(text);
        if (!matcher.find()) {
            throw new IOException("no " + pattern);
        }
        return matcher.group(1);
    }

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .timeout(PATIENCE)
                .header("Accept", "text/html")
                .build());
    }

    private HttpResponse<String> post(String path, Map<String, String> fields, boolean piece)
            throws IOException, InterruptedException {
        String body = fields.entrySet().stream()
                .map(each -> URLEncoder.encode(each.getKey(), StandardCharsets.UTF_8) + "="
                        + URLEncoder.encode(each.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .timeout(PATIENCE)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(body));
        if (piece) {
            request.header("HX-Request", "true")
                    .header(
                            "Layette-Shows",
                            prints.entrySet().stream()
                                    .map(each -> each.getKey() + "=" + each.getValue())
                                    .collect(Collectors.joining(",")));
        } else {
            request.header("Accept", "text/html");
        }
        return send(request.build());
    }

    private HttpResponse<String> send(HttpRequest request) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(request, BodyHandlers.ofString());
        if (answer.statusCode() >= SERVER_ERROR) {
            errorPages++;
            throw new IOException("an error: " + answer.statusCode());
        }
        return answer;
    }
}
