package app.layette.web.account;

import app.layette.core.entry.Author;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * In production: makes the first lead of an empty database from the configuration, and refuses to start with the demo's
 * password on any account.
 */
@Component
@Order(1)
@ConditionalOnProperty(name = "layette.mode", havingValue = "serve", matchIfMissing = true)
class FirstLead implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(FirstLead.class);

    private final Users users;
    private final Points points;
    private final PasswordEncoder passwords;
    private final String name;
    private final String password;

    FirstLead(
            Users users,
            Points points,
            PasswordEncoder passwords,
            @Value("${layette.first-lead.name}") String name,
            @Value("${layette.first-lead.password}") String password) {
        this.users = users;
        this.points = points;
        this.passwords = passwords;
        this.name = name;
        this.password = password;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments arguments) {
        for (User user : users.findAll()) {
            if (passwords.matches(DemoPassword.VALUE, user.passwordHash())) {
                throw new IllegalStateException("The user " + user.name()
                        + " still has the demo's password; production does not start with it");
            }
        }
        if (users.count() > 0) {
            return;
        }
        if (name.isBlank() || PasswordRules.refuse(password, List.of(name)).isPresent()) {
            LOG.warn(
                    "Nobody can sign in yet: set LAYETTE_LEAD_NAME and LAYETTE_LEAD_PASSWORD (at least {} characters, none"
                            + " of those that are tried first)",
                    PasswordRules.SHORTEST);
            return;
        }
        Point point = points.saveAndFlush(
                new Point(UUID.randomUUID(), "Fitting point", ZoneId.systemDefault(), "US", "north-american-clinic"));
        users.save(
                new User(point.id(), name, name, Objects.requireNonNull(passwords.encode(password)), Author.Role.LEAD)
                        .answerForAll(true));
    }
}
