package app.layette.web.account;

import app.layette.core.entry.Author;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.UUID;

/** Signed-in users for tests. */
public final class TestUsers {
    public static final UUID POINT = UUID.fromString("00000000-0000-4000-8000-00000000000a");

    private TestUsers() {}

    public static SignedIn signedIn(String name, Author.Role role) {
        return new SignedIn(user(name, role), LocalDate.of(2026, 12, 1));
    }

    /** Somebody of a database, signed in. */
    public static SignedIn signedIn(User user) {
        return new SignedIn(user, LocalDate.of(2026, 12, 1));
    }

    /** Somebody as the database has them. */
    public static User user(String name, Author.Role role) {
        return new User(POINT, name, name, "{noop}", role);
    }

    /** Somebody at the point of all tests. */
    public static Users.AtWork atWork(User user) {
        return new Users.AtWork(user, new Point(POINT, "Weir Street", ZoneId.of("UTC"), "US", "north-american-clinic"));
    }
}
