package app.layette.web.shell;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.springframework.boot.tomcat.ConfigurableTomcatWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;

/**
 * Bounds how many requests with a body are read at one time, from one address and in all. Reading one holds a thread for
 * as long as it trickles in: hundreds of half-sent ones would hold them all. What is too much is let go of before
 * anything of it is read; a browser's outbox sends it again. A valve, because only there a connection can be closed: a
 * filter's answer would wait for the rest of the body.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class BodiesAtOnce implements WebServerFactoryCustomizer<ConfigurableTomcatWebServerFactory> {
    /** A fitting point is one address: more hands than these never send in one moment. */
    private static final int FROM_ONE_ADDRESS = 16;
    /** The rest of the threads (application.yaml) read pages. */
    private static final int IN_ALL = 40;

    private static final String RETRY_S = "5";

    private final Map<String, Integer> reading = new ConcurrentHashMap<>();
    private final AtomicInteger all = new AtomicInteger();

    @Override
    public void customize(ConfigurableTomcatWebServerFactory factory) {
        factory.addEngineValves(new Bound());
    }

    /** Whether one more from an address may be read; it has to be let go of in any case. */
    boolean begin(String from) {
        int here = reading.merge(from, 1, Integer::sum);
        return all.incrementAndGet() <= IN_ALL && here <= FROM_ONE_ADDRESS;
    }

    void end(String from) {
        all.decrementAndGet();
        reading.computeIfPresent(from, (address, many) -> many == 1 ? null : many - 1);
    }

    private final class Bound extends ValveBase {
        private Bound() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            boolean hasBody =
                    request.getContentLengthLong() > 0 || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
            if (!hasBody) {
                getNext().invoke(request, response);
                return;
            }
            String from = request.getRemoteAddr();
            boolean taken = begin(from);
            try {
                if (taken) {
                    getNext().invoke(request, response);
                } else {
                    response.setHeader(HttpHeaders.RETRY_AFTER, RETRY_S);
                    response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
                    response.flushBuffer();
                    response.getCoyoteResponse().action(ActionCode.CLOSE_NOW, null);
                }
            } finally {
                end(from);
            }
        }
    }
}
