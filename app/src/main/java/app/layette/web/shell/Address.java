package app.layette.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/**
 * Where this application is reached from outside, for links that leave the page: on paper, in calendars, in letters. It
 * is a setting; without one the demo takes the address that was asked for, which whoever asks can choose.
 */
@Component
public class Address {
    private final Optional<String> set;

    Address(@Value("${layette.base-url:}") String set) {
        this.set = Optional.of(set.strip()).filter(each -> !each.isEmpty()).map(each -> each.replaceAll("/+$", ""));
    }

    /** The whole address of a path of ours. */
    public String of(String path, HttpServletRequest request) {
        return set.orElseGet(() ->
                        ServletUriComponentsBuilder.fromContextPath(request).toUriString())
                + path;
    }
}
