package app.layette.web.demo;

import app.layette.core.entry.Author;
import app.layette.web.account.DemoPassword;
import app.layette.web.account.Point;
import app.layette.web.account.Points;
import app.layette.web.account.User;
import app.layette.web.account.Users;
import app.layette.web.shelf.Shelf;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Loads the Weir Street Fitting Room, once; a load that was cut off goes on where it was. */
@Component
@Order(1)
@ConditionalOnProperty(name = "layette.mode", havingValue = "demo")
class DemoData implements ApplicationRunner {
    private final Points points;
    private final Users users;
    private final PasswordEncoder passwords;
    private final Shelf shelf;
    private final DemoFamilies families;
    private final TransactionTemplate transactions;

    DemoData(
            Points points,
            Users users,
            PasswordEncoder passwords,
            Shelf shelf,
            DemoFamilies families,
            TransactionTemplate transactions) {
        this.points = points;
        this.users = users;
        this.passwords = passwords;
        this.shelf = shelf;
        this.families = families;
        this.transactions = transactions;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (points.count() == 0) {
            transactions.executeWithoutResult(status -> beginPoint());
        }
        families.load(points.findAll().get(0));
    }

    private void beginPoint() {
        Point point = points.save(new Point(
                UUID.randomUUID(),
                "Weir Street Fitting Room, Loomgate",
                ZoneId.of("America/Toronto"),
                "US",
                "north-american-clinic"));
        user(point, "marit", "Marit", Author.Role.TECHNICIAN);
        user(point, "tove", "Tove", Author.Role.TECHNICIAN);
        user(point, "ansel", "Ansel", Author.Role.TECHNICIAN);
        user(point, "ilse", "Ilse", Author.Role.LEAD);
        user(point, "pim", "Pim", Author.Role.TRAINEE);
        for (String sheet : sheets()) {
            shelf.takeIn(point.id(), sheet, new Author("ilse", Author.Role.LEAD));
        }
    }

    private void user(Point point, String name, String displayName, Author.Role role) {
        users.save(new User(point.id(), name, displayName, passwords.encode(DemoPassword.VALUE), role));
    }

    private static List<String> sheets() {
        List<String> texts = new ArrayList<>();
        try {
            for (Resource file :
                    new PathMatchingResourcePatternResolver().getResources("classpath:demo/sheets/*.json")) {
                texts.add(file.getContentAsString(StandardCharsets.UTF_8));
            }
        } catch (IOException e) {
            throw new UncheckedIOException("The demo's sheets cannot be read", e);
        }
        return texts;
    }
}
