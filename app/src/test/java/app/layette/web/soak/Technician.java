package app.layette.web.soak;

import app.layette.web.support.Desk;
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
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A technician who enters without pause, begins families, and sends again, under the same id, what nobody acknowledged;
 * now and then also what was acknowledged, as a browser does that lost the answer.
 */
final class Technician implements Callable<Technician.Day> {
    private static final Pattern CSRF = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Duration PATIENCE = Duration.ofSeconds(10);
    private static final int PAUSE_MS = 150;
    private static final int SERVER_ERROR = 500;
    private static final int ENDED_MINUTES = 3;

    private static final int ONE_IN_BEGINS = 25;
    private static final int ONE_IN_SENDS_TWICE = 10;
    private static final Pattern FITTING = Pattern.compile(".*/fittings/([0-9a-f-]{36}).*");

    /** An entry that the application acknowledged. */
    record Sent(UUID fitting, UUID id) {}

    /**
     * What was acknowledged in a day: entries in their order, and references of families.
     *
     * @param errorPages answers that were an error of the server
     */
    record Day(List<Sent> entries, List<String> families, int errorPages) {}

    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .connectTimeout(PATIENCE)
            .build();
    private final String address;
    private final String name;
    private final List<UUID> fittings;
    private final Supplier<Instant> until;
    private final Random random;
    private final Traffic traffic;
    private String csrf = "";
    private int errorPages;

    Technician(String address, String name, List<UUID> fittings, Supplier<Instant> until, long seed) {
        this.address = address;
        this.name = name;
        this.fittings = fittings;
        this.until = until;
        this.random = new Random(seed);
        this.traffic = new Traffic(random);
    }

    @Override
    public Day call() throws InterruptedException {
        signIn();
        Day day = new Day(new ArrayList<>(), new ArrayList<>(), 0);
        while (Instant.now().isBefore(until.get())) {
            if (random.nextInt(ONE_IN_BEGINS) == 0) {
                String reference = "S-" + UUID.randomUUID().toString().substring(0, 13);
                Map<String, String> family = traffic.family(reference);
                untilAcknowledged(() -> begin(family));
                day.families().add(reference);
                continue;
            }
            UUID fitting = fittings.get(random.nextInt(fittings.size()));
            UUID id = UUID.randomUUID();
            Map<String, String> fields = traffic.entry();
            untilAcknowledged(() -> send(fitting, id, fields));
            if (random.nextInt(ONE_IN_SENDS_TWICE) == 0) {
                untilAcknowledged(() -> send(fitting, id, fields));
            }
            day.entries().add(new Sent(fitting, id));
        }
        return new Day(day.entries(), day.families(), errorPages);
    }

    /** One try; true when it was acknowledged. */
    private interface Try {
        boolean once() throws InterruptedException;
    }

    private void untilAcknowledged(Try what) throws InterruptedException {
        while (!what.once()) {
            Thread.sleep(PAUSE_MS);
            if (Instant.now().isAfter(until.get().plus(Duration.ofMinutes(ENDED_MINUTES)))) {
                throw new IllegalStateException("The application never came back for " + name);
            }
        }
    }

    /** Begins a family. When the answer was lost the first time, the reference is taken: by this very family. */
    private boolean begin(Map<String, String> family) throws InterruptedException {
        Map<String, String> fields = new HashMap<>(family);
        fields.put("_csrf", csrf);
        try {
            HttpResponse<String> answer = post("/fittings/new", fields);
            String to = answer.headers().firstValue("location").orElse("");
            Matcher begun = FITTING.matcher(to);
            if (begun.matches()) {
                fittings.add(UUID.fromString(begun.group(1)));
                return true;
            }
            if (isSignedOut(answer)) {
                signIn();
            }
            return answer.statusCode() == 422 && answer.body().contains("in use already");
        } catch (IOException e) {
            return false;
        }
    }

    private void signIn() throws InterruptedException {
        while (true) {
            try {
                csrf = token(get("/sign-in"));
                HttpResponse<String> answer =
                        post("/sign-in", Map.of("username", name, "password", Desk.PASSWORD, "_csrf", csrf));
                if (answer.statusCode() == 302) {
                    csrf = token(get("/fittings/new"));
                    return;
                }
            } catch (IOException e) {
                // Not there just now: again.
            }
            Thread.sleep(PAUSE_MS);
        }
    }

    private boolean send(UUID fitting, UUID id, Map<String, String> fact) throws InterruptedException {
        Map<String, String> fields = new HashMap<>(fact);
        fields.put("id", id.toString());
        fields.put("seen", "1");
        fields.put("_csrf", csrf);
        try {
            HttpResponse<String> answer = post("/fittings/" + fitting + "/entries", fields);
            boolean signedOut = isSignedOut(answer);
            if (signedOut) {
                signIn();
            }
            return answer.statusCode() == 302 && !signedOut;
        } catch (IOException e) {
            return false;
        }
    }

    private static boolean isSignedOut(HttpResponse<String> answer) {
        return answer.statusCode() == 401
                || answer.statusCode() == 403
                || answer.headers().firstValue("location").orElse("").contains("/sign-in");
    }

    private static String token(String page) throws IOException {
        Matcher matcher = CSRF.matcher(page);
        if (!matcher.find()) {
            throw new IOException("The page has no token");
        }
        return matcher.group(1);
    }

    private String get(String path) throws IOException, InterruptedException {
        return http.send(
                        HttpRequest.newBuilder(URI.create(address + path))
                                .timeout(PATIENCE)
                                .build(),
                        BodyHandlers.ofString())
                .body();
    }

    private HttpResponse<String> post(String path, Map<String, String> fields)
            throws IOException, InterruptedException {
        String form = fields.entrySet().stream()
                .map(each -> each.getKey() + "=" + URLEncoder.encode(each.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        HttpResponse<String> answer = http.send(
                HttpRequest.newBuilder(URI.create(address + path))
                        .timeout(PATIENCE)
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(BodyPublishers.ofString(form))
                        .build(),
                BodyHandlers.ofString());
        if (answer.statusCode() >= SERVER_ERROR) {
            errorPages++;
        }
        return answer;
    }
}
