package app.layette.web.account;

import app.layette.core.entry.Author;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.wording.Languages;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Somebody who works at a fitting point. */
@Entity
@Table(name = "app_user")
public class User {
    private static final ZoneOffset LAST_ON_EARTH = ZoneOffset.ofHours(-12);

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
    private @Nullable UnitSystem units;

    private @Nullable String language;

    private @Nullable String certificate;

    @Column(name = "certificate_until")
    private @Nullable LocalDate certificateUntil;

    @Column(name = "retired_at")
    private @Nullable Instant retiredAt;

    private boolean organisation;

    @Column(name = "second_factor")
    private boolean secondFactor;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
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

    /** Hash of the password, with the name of its function. */
    public String passwordHash() {
        return passwordHash;
    }

    public Author.Role role() {
        return role;
    }

    /** The units this user chose to see first; empty leaves it to the practice profile. */
    public Optional<UnitSystem> units() {
        return Optional.ofNullable(units);
    }

    /** Whether somebody can sign in by this: 2 to 40 small letters, digits, dots, lines. */
    public static boolean isName(String text) {
        return text.matches("[a-z0-9][a-z0-9._-]{1,39}");
    }

    /** The language this user chose to read in; empty leaves it to their browser. */
    public Optional<Locale> language() {
        return Optional.ofNullable(language).flatMap(Languages::known);
    }

    void read(Locale chosen) {
        this.language = chosen.getLanguage();
    }

    void see(UnitSystem chosen) {
        this.units = chosen;
    }

    /** Number of the certificate; empty while none is known. */
    public Optional<String> certificate() {
        return Optional.ofNullable(certificate);
    }

    /** The last day on which the certificate counts; empty where none is stated. */
    public Optional<LocalDate> certificateUntil() {
        return Optional.ofNullable(certificateUntil);
    }

    /** The day by which certificates are counted: one counts until its last day is over everywhere. */
    public static LocalDate certificatesDay(Clock clock) {
        return LocalDate.now(clock.withZone(LAST_ON_EARTH));
    }

    /** As whom somebody enters on a day by which certificates are counted: whose certificate is over enters as a trainee does, and signs nothing. */
    public Author.Role handsOn(LocalDate day) {
        return certificateUntil().filter(day::isAfter).isPresent() ? Author.Role.TRAINEE : role;
    }

    /** Whether somebody works here today: who is retired signs in no more, and stays in every record. */
    public boolean works() {
        return retiredAt == null;
    }

    /** Sets what a lead says of somebody; what they sign in with stays. */
    public User become(String shown, Author.Role now, @Nullable String number, @Nullable LocalDate until) {
        this.displayName = shown;
        this.role = now;
        this.certificate = number;
        this.certificateUntil = until;
        return this;
    }

    /** Retires somebody, or takes them back. */
    public User retire(@Nullable Instant at) {
        this.retiredAt = at;
        return this;
    }

    /** Sets the hash of a new password; whoever is signed in with the old one is out. */
    public User signInWith(String hash) {
        this.passwordHash = hash;
        return this;
    }

    /** Whether this lead sees the counts of all points and opens new ones. */
    public boolean isForOrganisation() {
        return organisation && role == Author.Role.LEAD;
    }

    /** Lets a lead answer for all points, or no longer. */
    public User answerForAll(boolean all) {
        this.organisation = all;
        return this;
    }

    /** Whether something is asked beside the password. */
    public boolean hasSecondFactor() {
        return secondFactor;
    }

    /** Says whether something is asked beside the password. */
    public User guardedBy(boolean second) {
        this.secondFactor = second;
        return this;
    }
}
