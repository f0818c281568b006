package app.layette.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/**
 * Where this application is reached from outside, for links that leave the page: on paper, in calendars, in letters. It
 * is a setting; without one the demo takes the address that was asked for. Whoever asks can choose that, so in production it
 * is never believed: there the address it listens on stands in.
 */
@Component
public class Address {
    private final Optional<String> set;
    private final boolean demo;
    private final String listens;

    Address(
            @Value("${layette.base-url:}") String set,
            @Value("${layette.mode:serve}") String mode,
            @Value("${server.address:127.0.0.1}:${server.port:8080}") String listens) {
        this.demo = mode.equals("demo");
        this.listens = "http://" + listens;
        this.set = Optional.of(set.strip()).filter(each -> !each.isEmpty()).map(each -> each.replaceAll("/+$", ""));
    }

    /** Scheme, host name and port as set; empty where nothing is set, or a number stands instead of a name. */
    public Optional<URI> origin() {
        return set.map(URI::create)
                .filter(each -> each.getHost() != null && !each.getHost().matches("[0-9.]+|\\[.*"))
                .map(each -> URI.create(each.getScheme() + "://" + each.getAuthority()));
    }

    /** The whole address of a path of ours. */
    public String of(String path, HttpServletRequest request) {
        return set.orElseGet(() -> demo
                        ? ServletUriComponentsBuilder.fromContextPath(request).toUriString()
                        : listens)
                + path;
    }
}
