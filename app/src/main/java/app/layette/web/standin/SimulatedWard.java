package app.layette.web.standin;

import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.ward.WardServer;
import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * A ward's server that pretends: it answers over HTTP on loopback with made-up newborns in FHIR R4, and can be told to be
 * slow, to answer wrongly, or to be gone.
 */
@StandIn
@Controller
class SimulatedWard implements WardServer {
    private static final Pattern PATIENT = Pattern.compile("/fhir/Patient/([^/]+)/\\$everything");
    private static final long SLOW_MS = 20_000;
    private static final int FOUND = 200;
    private static final int NOTHING = 404;
    private static final int THREADS = 4;

    /** How it behaves. */
    enum Mood {
        WELL,
        SLOW,
        /** Weights without units, as some do. */
        WRONG,
        DEAD
    }

    /** A made-up newborn. */
    public record Newborn(String number, String given, int daysOld, String weeks, int grams, int millimetres) {}

    private static final List<Newborn> NEWBORNS = List.of(
            new Newborn("K-201", "Aurel", 2, "39", 3180, 502),
            new Newborn("K-202", "Tamsin", 5, "36.5", 2440, 462),
            new Newborn("K-203", "Oda", 12, "31", 1910, 431));

    private final Viewing viewing;
    private final HttpServer http;
    private final ExecutorService threads = Executors.newFixedThreadPool(THREADS, task -> {
        Thread thread = new Thread(task, "simulated-ward");
        thread.setDaemon(true);
        return thread;
    });
    private volatile Mood mood = Mood.WELL;

    SimulatedWard(Viewing viewing) throws IOException {
        this.viewing = viewing;
        http = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        http.createContext("/fhir", this::answer);
        http.setExecutor(threads);
        http.start();
    }

    @PreDestroy
    void stop() {
        http.stop(0);
        threads.shutdownNow();
    }

    @Override
    public Optional<URI> address() {
        return Optional.of(URI.create("http://127.0.0.1:" + http.getAddress().getPort() + "/fhir"));
    }

    @Override
    public boolean isSimulated() {
        return true;
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            if (mood == Mood.DEAD) {
                return;
            }
            if (mood == Mood.SLOW) {
                Thread.sleep(SLOW_MS);
            }
            Matcher path = PATIENT.matcher(exchange.getRequestURI().getPath());
            Optional<Newborn> newborn = path.matches()
                    ? NEWBORNS.stream()
                            .filter(each -> each.number().equalsIgnoreCase(path.group(1)))
                            .findFirst()
                    : Optional.empty();
            byte[] body = newborn.map(each -> bundle(each, LocalDate.now(viewing.clock()), mood == Mood.WRONG))
                    .orElse("{\"resourceType\":\"OperationOutcome\"}")
                    .getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("Content-Type", "application/fhir+json");
            exchange.sendResponseHeaders(newborn.isPresent() ? FOUND : NOTHING, body.length);
            exchange.getResponseBody().write(body);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static String bundle(Newborn newborn, LocalDate today, boolean wrong) {
        String born = today.minusDays(newborn.daysOld()).toString();
        String unit = wrong ? "" : ", \"system\": \"http://unitsofmeasure.org\", \"code\": \"%s\"";
        return "{\"resourceType\": \"Bundle\", \"type\": \"searchset\", \"entry\": [{\"resource\": {\"resourceType\":"
                + " \"Patient\", \"id\": \"p\", \"identifier\": [{\"value\": \"" + newborn.number() + "\"}], \"name\":"
                + " [{\"given\": [\"" + newborn.given() + "\"]}], \"birthDate\": \"" + born + "\"}},"
                + observation("29463-7", String.valueOf(newborn.grams()), String.format(unit, "g"), today.minusDays(1))
                + ","
                + observation(
                        "8306-3", String.valueOf(newborn.millimetres()), String.format(unit, "mm"), today.minusDays(1))
                + "," + observation("76516-4", newborn.weeks(), String.format(unit, "wk"), LocalDate.parse(born))
                + "]}";
    }

    private static String observation(String code, String value, String unit, LocalDate day) {
        return "{\"resource\": {\"resourceType\": \"Observation\", \"status\": \"final\", \"code\": {\"coding\":"
                + " [{\"system\": \"http://loinc.org\", \"code\": \"" + code + "\"}]}, \"subject\": {\"reference\":"
                + " \"Patient/p\"}, \"effectiveDateTime\": \"" + day + "\", \"valueQuantity\": {\"value\": " + value
                + unit
                + "}}}";
    }

    @GetMapping("/ward")
    String page(@AuthenticationPrincipal SignedIn user, Model model) {
        model.addAttribute("newborns", NEWBORNS);
        model.addAttribute("mood", mood.name());
        return "standin/ward";
    }

    @PostMapping("/ward/mood")
    String behave(@RequestParam Mood mood) {
        this.mood = mood;
        return "redirect:/ward";
    }
}
