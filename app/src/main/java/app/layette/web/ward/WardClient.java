package app.layette.web.ward;

import app.layette.core.finding.Argument;
import app.layette.formats.wording.Wording;
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
import java.util.Map;
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

    /** Why nothing was brought. */
    enum Why {
        NOT_SET,
        LATE,
        GONE,
        ANSWERED,
        TOO_LONG
    }

    /** It did not answer, or not so that anybody could read it. */
    static final class UnreachableException extends Exception {
        private static final long serialVersionUID = 1L;

        private final Why why;
        private final int status;

        UnreachableException(Why why, int status) {
            super(why + " " + status);
            this.why = why;
            this.status = status;
        }

        /** The reason as its sentence. */
        String say(Wording words) {
            return words.say("ward.why." + why, Map.of("status", Argument.of(status), "seconds", Argument.of((int)
                    LONGEST.toSeconds())));
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
        URI base = server.address().orElseThrow(() -> unreachable(Why.NOT_SET));
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
            if (!answer.isWhole()) {
                throw unreachable(Why.TOO_LONG);
            }
            return switch (answer.status()) {
                case FOUND -> Optional.of(answer.body());
                case NOTHING -> Optional.empty();
                default -> throw new UnreachableException(Why.ANSWERED, answer.status());
            };
        } catch (TimeoutException e) {
            asked.cancel(true);
            throw unreachable(Why.LATE);
        } catch (ExecutionException e) {
            throw unreachable(Why.GONE);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw unreachable(Why.LATE);
        }
    }

    private static UnreachableException unreachable(Why why) {
        return new UnreachableException(why, 0);
    }

    /** An answer read to its end, as far as anybody would send. */
    private record Answer(int status, String body, boolean isWhole) {
        static Answer read(HttpResponse<InputStream> response) {
            try (InputStream body = response.body()) {
                byte[] read = body.readNBytes(MOST_BYTES + 1);
                return new Answer(
                        response.statusCode(), new String(read, StandardCharsets.UTF_8), read.length <= MOST_BYTES);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
