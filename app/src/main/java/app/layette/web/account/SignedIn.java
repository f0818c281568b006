package app.layette.web.account;

import app.layette.core.entry.Author;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.User;
import org.springframework.util.DigestUtils;

/** The user of this session, as Spring Security carries it; small, because it is stored with the session. */
public final class SignedIn extends User {
    private static final long serialVersionUID = 1L;

    private final UUID userId;
    private final UUID pointId;
    private final String displayName;
    private final Author.Role role;
    /** Of the password as it was on signing in; the password itself is erased then. */
    private final String passwordPrint;

    private final boolean forOrganisation;

    /** The role in which entries are made today. */
    private final Author.Role hands;

    SignedIn(app.layette.web.account.User user, LocalDate today) {
        super(user.name(), user.passwordHash(), List.of(new SimpleGrantedAuthority("ROLE_" + user.role())));
        this.userId = user.id();
        this.pointId = user.pointId();
        this.displayName = user.displayName();
        this.role = user.role();
        this.forOrganisation = user.isForOrganisation();
        this.hands = user.handsOn(today);
        this.passwordPrint = print(user);
    }

    /** Whether this is still that user's password. */
    boolean knowsPasswordOf(app.layette.web.account.User user) {
        // A session of an earlier version may have none.
        return print(user).equals(passwordPrint);
    }

    private static String print(app.layette.web.account.User user) {
        // Only to see that it changed; it stands beside the hash itself in the database.
        return DigestUtils.md5DigestAsHex(user.passwordHash().getBytes(StandardCharsets.UTF_8));
    }

    public UUID userId() {
        return userId;
    }

    public UUID pointId() {
        return pointId;
    }

    public String displayName() {
        return displayName;
    }

    public Author.Role role() {
        return role;
    }

    /** As the author of entries. Whose certificate is over enters as a trainee does, and signs nothing. */
    public Author author() {
        return new Author(getUsername(), hands);
    }

    /** Whether a certificate that was stated is over. */
    public boolean isCertificateOver() {
        return hands != role;
    }

    public boolean isLead() {
        return role == Author.Role.LEAD;
    }

    /** Whether this lead sees the counts of all points and opens new ones. */
    public boolean isForOrganisation() {
        return forOrganisation;
    }

    public boolean isTrainee() {
        return role == Author.Role.TRAINEE;
    }
}
