package app.layette.web.soak;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.ConnectException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Stands before two processes as an ordinary proxy does: by turns, and past one that takes no connection. A request that
 * was on its way to one when it died is answered with an error, because nobody knows what became of it.
 */
final class Proxy {
    private static final Set<String> OWN =
            Set.of("connection", "content-length", "transfer-encoding", "host", "date", "upgrade", "keep-alive");
    private static final Duration LEFT_ALONE = Duration.ofSeconds(1);
    private static final int BROKEN = 502;

    private final List<String> behind;
    private final HttpServer server;
    private final ExecutorService threads = Executors.newFixedThreadPool(16);
    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .connectTimeout(Duration.ofSeconds(2))
            .build();
    private final AtomicInteger turn = new AtomicInteger();
    private final Map<String, Instant> down = new ConcurrentHashMap<>();
    private final Map<String, AtomicInteger> answered = new ConcurrentHashMap<>();

    Proxy(String... behind) throws IOException {
        this.behind = List.of(behind);
        this.behind.forEach(each -> answered.put(each, new AtomicInteger()));
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", this::pass);
        server.setExecutor(threads);
        server.start();
    }

    String address() {
        return "http://127.0.0.1:" + server.getAddress().getPort();
    }

    /** How many requests each of them answered. */
    Map<String, AtomicInteger> answered() {
        return answered;
    }

    void stop() {
        server.stop(0);
        threads.shutdownNow();
    }

    private void pass(HttpExchange exchange) throws IOException {
        byte[] body = exchange.getRequestBody().readAllBytes();
        int first = turn.getAndIncrement();
        for (int i = 0; i < behind.size() * 2; i++) {
            String one = behind.get(Math.floorMod(first + i, behind.size()));
            if (i < behind.size() && Instant.now().isBefore(down.getOrDefault(one, Instant.MIN))) {
                continue;
            }
            try {
                HttpResponse<byte[]> answer = http.send(request(exchange, one, body), BodyHandlers.ofByteArray());
                answered.get(one).incrementAndGet();
                answer.headers().map().forEach((name, values) -> {
                    if (!OWN.contains(name.toLowerCase(java.util.Locale.ROOT))) {
                        values.forEach(value -> exchange.getResponseHeaders().add(name, value));
                    }
                });
                exchange.sendResponseHeaders(
                        answer.statusCode(), answer.body().length == 0 ? -1 : answer.body().length);
                exchange.getResponseBody().write(answer.body());
                exchange.close();
                return;
            } catch (ConnectException e) {
                // It never came there: the other one may have it.
                down.put(one, Instant.now().plus(LEFT_ALONE));
            } catch (IOException e) {
                down.put(one, Instant.now().plus(LEFT_ALONE));
                exchange.sendResponseHeaders(BROKEN, -1);
                exchange.close();
                return;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                exchange.close();
                return;
            }
        }
        exchange.sendResponseHeaders(BROKEN, -1);
        exchange.close();
    }

    private static HttpRequest request(HttpExchange exchange, String to, byte[] body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(to + exchange.getRequestURI()))
                .timeout(Duration.ofSeconds(20))
                .method(
                        exchange.getRequestMethod(),
                        body.length == 0 ? BodyPublishers.noBody() : BodyPublishers.ofByteArray(body));
        exchange.getRequestHeaders().forEach((name, values) -> {
            if (!OWN.contains(name.toLowerCase(java.util.Locale.ROOT))) {
                values.forEach(value -> request.header(name, value));
            }
        });
        return request.build();
    }
}
