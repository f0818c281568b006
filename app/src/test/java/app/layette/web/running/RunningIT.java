package app.layette.web.running;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.fuzz.Visitor;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import app.layette.web.support.TestDatabase;
import app.layette.web.support.Unpacked;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.json.JsonMapper;

/** The program as whoever installs it runs it: its settings, its transport, its log, its traces, and its end. */
class RunningIT {
    private static final Path CERTIFICATE = Path.of("src", "test", "resources", "tls", "certificate.pem");
    private static final Path KEY = Path.of("src", "test", "resources", "tls", "key.pem");

    @RegisterExtension
    static final RunningApp shared = RunningApp.shared();

    private static Process start(Map<String, String> settings, Path out) throws IOException {
        List<String> command = new ArrayList<>(List.of(Unpacked.java("java"), "-Xmx512m", "-XX:TieredStopAtLevel=1"));
        command.addAll(Unpacked.startsQuicker());
        command.addAll(List.of("-jar", Unpacked.jar().toString()));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().keySet().removeIf(name -> name.startsWith("LAYETTE_"));
        builder.environment().putAll(settings);
        return builder.redirectErrorStream(true).redirectOutput(out.toFile()).start();
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    @Test
    void itSaysEveryFaultOfItsSettingsAtOnceAndEnds() throws Exception {
        Path out = Files.createTempFile("layette", ".out");
        Process process = start(
                Map.of(
                        "LAYETTE_MODE",
                        "serve",
                        "LAYETTE_PORT",
                        "x",
                        "LAYETTE_MAIL_TLS",
                        "SSL",
                        "LAYETTE_BASEURL",
                        "https://x.example",
                        "LAYETTE_DB_PASSWORD",
                        "never-said"),
                out);
        assertThat(process.waitFor(180, TimeUnit.SECONDS)).isTrue();
        assertThat(process.exitValue()).isEqualTo(2);
        assertThat(Files.readString(out))
                .contains("LAYETTE_PORT (x)", "LAYETTE_MAIL_TLS (SSL)", "LAYETTE_BASE_URL", "LAYETTE_DB_URL: is needed")
                .doesNotContain("never-said");
    }

    private static HttpClient trusting() throws Exception {
        KeyStore known = KeyStore.getInstance(KeyStore.getDefaultType());
        known.load(null);
        try (var in = Files.newInputStream(CERTIFICATE)) {
            known.setCertificateEntry(
                    "layette", CertificateFactory.getInstance("X.509").generateCertificate(in));
        }
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(known);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        return HttpClient.newBuilder().sslContext(context).build();
    }

    /** HTTPS from a PEM bundle, structured logs without names, traces to whoever collects them, and an end that finishes. */
    @Test
    void itIsReachedByHttpsLogsWithoutNamesTracesAndEndsWhenItIsDone() throws Exception {
        List<String> traces = new CopyOnWriteArrayList<>();
        HttpServer collector = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        collector.createContext("/v1/traces", exchange -> {
            traces.add(new String(exchange.getRequestBody().readAllBytes(), StandardCharsets.ISO_8859_1));
            exchange.sendResponseHeaders(200, -1);
            exchange.close();
        });
        collector.start();
        TestDatabase database = shared.database().another();
        int port = freePort();
        Path out = Files.createTempFile("layette", ".out");
        Map<String, String> settings = new HashMap<>(Map.of(
                "LAYETTE_MODE", "demo",
                "LAYETTE_PORT", String.valueOf(port),
                "LAYETTE_DB_URL", database.url(),
                "LAYETTE_DB_PASSWORD", database.password(),
                "LAYETTE_WARM_UP", "false",
                "LAYETTE_LOG_FORMAT", "ecs",
                "LAYETTE_TRACES_URL",
                        "http://127.0.0.1:" + collector.getAddress().getPort() + "/v1/traces",
                "LAYETTE_TLS_CERTIFICATE", CERTIFICATE.toAbsolutePath().toString(),
                "LAYETTE_TLS_KEY", KEY.toAbsolutePath().toString()));
        Process process = start(settings, out);
        try {
            HttpClient http = trusting();
            String address = "https://localhost:" + port;
            HttpRequest ready = HttpRequest.newBuilder(URI.create(address + "/actuator/health/readiness"))
                    .timeout(Duration.ofSeconds(2))
                    .build();
            for (int i = 0; i < 240 && !isReady(http, ready); i++) {
                Thread.sleep(500);
            }
            assertThat(isReady(http, ready)).isTrue();
            HttpResponse<String> rules = http.send(
                    HttpRequest.newBuilder(URI.create(address + "/rules/HAR-1")).build(), BodyHandlers.ofString());
            assertThat(rules.statusCode()).isEqualTo(200);
            assertThat(rules.headers().firstValue("Strict-Transport-Security")).isPresent();
            // sent by the bundle: the first holds what was asked before, readiness alone
            for (int i = 0; i < 60 && !String.join("", traces).contains("/rules/{code}"); i++) {
                Thread.sleep(500);
            }
            assertThat(String.join("", traces))
                    .contains("layette", "/rules/{code}")
                    .doesNotContain("Ottilie");
            process.destroy();
            assertThat(process.waitFor(180, TimeUnit.SECONDS)).isTrue();
            assertThat(process.exitValue()).as("as asked").isEqualTo(143);
            List<String> wrong = new ArrayList<>();
            for (String line : Files.readAllLines(out)) {
                if (!line.startsWith("{") || !JsonMapper.shared().readTree(line).has("@timestamp")) {
                    wrong.add(line);
                }
            }
            assertThat(wrong).as("lines that are no JSON").isEmpty();
        } finally {
            process.destroyForcibly();
            collector.stop(0);
        }
    }

    private static boolean isReady(HttpClient http, HttpRequest ready) throws InterruptedException {
        try {
            return http.send(ready, BodyHandlers.ofString()).statusCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }

    /** Asked to end while somebody waits for an answer, it gives the answer first; nothing new is begun. */
    @Test
    void itFinishesWhatWasBegunBeforeItEnds() throws Exception {
        TestDatabase database = shared.database().another();
        int port = freePort();
        Path out = Files.createTempFile("layette", ".out");
        Process process = start(
                Map.of(
                        "LAYETTE_MODE", "demo",
                        "LAYETTE_PORT", String.valueOf(port),
                        "LAYETTE_DB_URL", database.url(),
                        "LAYETTE_DB_PASSWORD", database.password(),
                        "LAYETTE_WARM_UP", "false"),
                out);
        try {
            HttpClient http = HttpClient.newHttpClient();
            HttpRequest ready = HttpRequest.newBuilder(
                            URI.create("http://127.0.0.1:" + port + "/actuator/health/readiness"))
                    .timeout(Duration.ofSeconds(2))
                    .build();
            for (int i = 0; i < 240 && !isReady(http, ready); i++) {
                Thread.sleep(500);
            }
            Visitor marit = new Visitor("http://127.0.0.1:" + port, "marit", Desk.PASSWORD);
            marit.post("/ward/mood", Map.of("mood", "SLOW"));
            // The page once before: the first of a process takes longer than the question itself.
            assertThat(marit.get("/brought-in").status()).isEqualTo(200);
            // The ward's server is waited for four seconds: long enough to be asked to end meanwhile.
            Thread ender = new Thread(() -> {
                try {
                    Thread.sleep(2000);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
                process.destroy();
            });
            ender.start();
            Visitor.Answer answer = marit.post("/brought-in/ask", Map.of("wardNumber", "K-201"));
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.body()).contains("did not answer");
            assertThat(process.waitFor(180, TimeUnit.SECONDS)).isTrue();
            assertThat(process.exitValue()).isEqualTo(143);
        } finally {
            process.destroyForcibly();
        }
    }
}
