package app.layette.web.demo;

import app.layette.core.entry.Author;
import app.layette.core.entry.Fact.Softness;
import app.layette.core.measure.Length;
import app.layette.core.recline.roll.Cloth;
import app.layette.web.account.DemoPassword;
import app.layette.web.account.Point;
import app.layette.web.account.Points;
import app.layette.web.account.User;
import app.layette.web.account.Users;
import app.layette.web.account.Viewing;
import app.layette.web.day.DemoDay;
import app.layette.web.roll.RollGood;
import app.layette.web.roll.RollGoods;
import app.layette.web.shelf.Shelf;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
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
    private final RollGoods rolls;
    private final DemoFamilies families;
    private final DemoDay day;
    private final Viewing viewing;
    private final TransactionTemplate transactions;

    DemoData(
            Points points,
            Users users,
            PasswordEncoder passwords,
            Shelf shelf,
            RollGoods rolls,
            DemoFamilies families,
            DemoDay day,
            Viewing viewing,
            TransactionTemplate transactions) {
        this.points = points;
        this.users = users;
        this.passwords = passwords;
        this.shelf = shelf;
        this.rolls = rolls;
        this.families = families;
        this.day = day;
        this.viewing = viewing;
        this.transactions = transactions;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (points.count() == 0) {
            transactions.executeWithoutResult(status -> beginPoint());
        }
        Point point = points.findAllByOrderByOpenedAt().get(0);
        families.load(point);
        day.load(point.id(), viewing.today(point), viewing.clock().instant());
    }

    private void beginPoint() {
        Point point = points.saveAndFlush(new Point(
                        UUID.randomUUID(),
                        "Weir Street Fitting Room, Loomgate",
                        ZoneId.of("America/Toronto"),
                        "US",
                        "north-american-clinic")
                .reachedBy("555 0142", "9–17 h"));
        // One password for all of them: hashing is slow on purpose, and once is enough.
        String hash = Objects.requireNonNull(passwords.encode(DemoPassword.VALUE));
        LocalDate today = viewing.today(point);
        certified(user(point, "Marit", Author.Role.TECHNICIAN, hash), "LT-0417", today.plusMonths(14));
        certified(user(point, "Tove", Author.Role.TECHNICIAN, hash), "LT-0392", today.plusDays(80));
        certified(user(point, "Ansel", Author.Role.TECHNICIAN, hash), "LT-0455", today.plusMonths(8));
        user(point, "Ilse", Author.Role.LEAD, hash);
        user(point, "Pim", Author.Role.TRAINEE, hash);
        for (RollGood good : goods()) {
            rolls.keep(point.id(), good);
        }
        for (String sheet : sheets()) {
            shelf.takeIn(point.id(), sheet, new Author("ilse", Author.Role.LEAD));
        }
    }

    private User user(Point point, String displayName, Author.Role role, String hash) {
        String name = displayName.toLowerCase(Locale.ROOT);
        return users.save(new User(point.id(), name, displayName, hash, role).answerForAll(role == Author.Role.LEAD));
    }

    private static void certified(User user, String number, LocalDate until) {
        user.become(user.displayName(), user.role(), number, until);
    }

    private static List<RollGood> goods() {
        return List.of(
                new RollGood.OfCloth(cloth("Hand towel", 900, 500, 4)),
                new RollGood.OfCloth(cloth("Muslin square", 700, 700, 1)),
                new RollGood.OfCloth(cloth("Receiving blanket", 1000, 750, 2)),
                new RollGood.OfNoodle("Blue noodle", Length.ofMillimetres(65), Softness.FIRM));
    }

    private static Cloth cloth(String name, double length, double width, double thickness) {
        return new Cloth(
                name, Length.ofMillimetres(length), Length.ofMillimetres(width), Length.ofMillimetres(thickness));
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
