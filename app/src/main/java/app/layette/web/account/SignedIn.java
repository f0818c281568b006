package app.layette.web.account;

import app.layette.core.entry.Author;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.User;

/** The user of this session, as Spring Security carries it; small, because it is stored with the session. */
public final class SignedIn extends User {
    private static final long serialVersionUID = 1L;

    private final UUID userId;
    private final UUID pointId;
    private final String displayName;
    private final Author.Role role;

    SignedIn(app.layette.web.account.User user) {
        super(user.name(), user.passwordHash(), List.of(new SimpleGrantedAuthority("ROLE_" + user.role())));
        this.userId = user.id();
        this.pointId = user.pointId();
        this.displayName = user.displayName();
        this.role = user.role();
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

    /** As the author of entries. */
    public Author author() {
        return new Author(getUsername(), role);
    }

    public boolean isLead() {
        return role == Author.Role.LEAD;
    }

    public boolean isTrainee() {
        return role == Author.Role.TRAINEE;
    }
}
