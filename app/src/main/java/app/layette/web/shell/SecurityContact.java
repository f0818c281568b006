package app.layette.web.shell;

import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Whom to tell of a weakness (RFC 9116); nothing until whoever runs this has said whom. */
@Controller
class SecurityContact {
    private static final Duration COUNTS_FOR = Duration.ofDays(180);

    private final String contact;
    private final Clock clock;

    SecurityContact(@Value("${layette.security-contact:}") String contact, Clock clock) {
        this.contact = contact.strip();
        this.clock = clock;
    }

    @GetMapping(path = "/.well-known/security.txt", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> contact() {
        if (contact.isEmpty()) {
            return ResponseEntity.notFound().build();
        }
        return ResponseEntity.ok("Contact: " + contact + "\nExpires: "
                + clock.instant().plus(COUNTS_FOR).truncatedTo(ChronoUnit.DAYS) + "\nPreferred-Languages: en, es\n");
    }
}
