package app.layette.web.ward;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.springframework.stereotype.Component;

/** Asks the ward's server for one newborn. A server that is slow, gone or says nonsense is waited for no longer than 4 s. */
@Component
class WardClient {
    private static final Duration LONGEST = Duration.ofSeconds(4);
    private static final int MOST_BYTES = 1024 * 1024;
    private static final int FOUND = 200;
    private static final int NOTHING = 404;

    /** It did not answer, or not so that anybody could read it. */
    static final class UnreachableException extends Exception {
        private static final long serialVersionUID = 1L;

        UnreachableException(String why) {
            super(why);
        }
    }

    private final WardServer server;
    private final HttpClient http = HttpClient.newBuilder()
            .connectTimeout(LONGEST)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();

    WardClient(WardServer server) {
        this.server = server;
    }

    /**
     * The newborn with this number, as a Bundle.
     *
     * @return empty where the ward knows none
     */
    Optional<String> ask(String number) throws UnreachableException {
        URI base = server.address().orElseThrow(() -> new UnreachableException("none is set"));
        URI address = URI.create(base.toString().replaceAll("/+$", "") + "/Patient/"
                + URLEncoder.encode(number, StandardCharsets.UTF_8).replace("+", "%20")
                + "/$everything?_type=Patient,Observation");
        HttpRequest request = HttpRequest.newBuilder(address)
                .timeout(LONGEST)
                .header("Accept", "application/fhir+json")
                .build();
        // The whole of it within the time, not its first byte alone.
        CompletableFuture<Answer> asked =
                http.sendAsync(request, BodyHandlers.ofInputStream()).thenApply(Answer::read);
        try {
            Answer answer = asked.get(LONGEST.toMillis(), TimeUnit.MILLISECONDS);
            return switch (answer.status()) {
                case FOUND -> Optional.of(answer.body());
                case NOTHING -> Optional.empty();
                default -> throw new UnreachableException("it answered " + answer.status());
            };
        } catch (TimeoutException e) {
            asked.cancel(true);
            throw new UnreachableException("it took longer than " + LONGEST.toSeconds() + " s");
        } catch (ExecutionException e) {
            throw new UnreachableException("it is not there");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new UnreachableException("it was not waited for");
        }
    }

    /** An answer read to its end, as far as anybody would send. */
    private record Answer(int status, String body) {
        static Answer read(HttpResponse<InputStream> response) {
            try (InputStream body = response.body()) {
                return new Answer(
                        response.statusCode(), new String(body.readNBytes(MOST_BYTES), StandardCharsets.UTF_8));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
