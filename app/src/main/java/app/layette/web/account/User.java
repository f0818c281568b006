package app.layette.web.account;

import app.layette.core.entry.Author;
import app.layette.core.measure.UnitSystem;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;

/** Somebody who works at a fitting point. */
@Entity
@Table(name = "app_user")
public class User {
    @Id
    private UUID id;

    @Column(name = "point_id")
    private UUID pointId;

    private String name;

    @Column(name = "display_name")
    private String displayName;

    @Column(name = "password_hash")
    private String passwordHash;

    @Enumerated(EnumType.STRING)
    private Author.Role role;

    @Enumerated(EnumType.STRING)
    private UnitSystem units;

    protected User() {}

    public User(UUID pointId, String name, String displayName, String passwordHash, Author.Role role) {
        this.id = UUID.randomUUID();
        this.pointId = pointId;
        this.name = name;
        this.displayName = displayName;
        this.passwordHash = passwordHash;
        this.role = role;
    }

    public UUID id() {
        return id;
    }

    public UUID pointId() {
        return pointId;
    }

    /** What is typed to sign in. */
    public String name() {
        return name;
    }

    public String displayName() {
        return displayName;
    }

    String passwordHash() {
        return passwordHash;
    }

    public Author.Role role() {
        return role;
    }

    /** The units this user chose to see first; empty leaves it to the practice profile. */
    public Optional<UnitSystem> units() {
        return Optional.ofNullable(units);
    }

    void see(UnitSystem chosen) {
        this.units = chosen;
    }
}
