package app.layette.web.account;

import app.layette.core.measure.UnitSystem;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A fitting point: where technicians meet families. Ages and "today" are counted in its zone. */
@Entity
public class Point {
    @Id
    private UUID id;

    private String name;
    private String zone;

    @Column(name = "law_country")
    @JdbcTypeCode(SqlTypes.CHAR)
    private String lawCountry;

    @Column(name = "profile_id")
    private String profileId;

    /** Grows with every change of its shelf; the database counts. */
    @Column(name = "shelf_seq", insertable = false, updatable = false)
    private long shelfSeq;

    @Column(name = "opened_at", insertable = false, updatable = false)
    private @Nullable Instant openedAt;

    private @Nullable String phone;

    @Column(name = "call_hours")
    private @Nullable String callHours;

    @Enumerated(EnumType.STRING)
    private @Nullable UnitSystem units;

    @Column(name = "leads_need_second")
    private boolean leadsNeedSecond;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
    protected Point() {}

    public Point(UUID id, String name, ZoneId zone, String lawCountry, String profileId) {
        this.id = id;
        this.name = name;
        this.zone = zone.getId();
        this.lawCountry = lawCountry;
        this.profileId = profileId;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public ZoneId zone() {
        return ZoneId.of(zone);
    }

    public String lawCountry() {
        return lawCountry;
    }

    /** The number a family calls; empty until somebody set it. */
    public Optional<String> phone() {
        return Optional.ofNullable(phone).filter(each -> !each.isBlank());
    }

    /** When somebody answers there, in the point's own words; empty until somebody set it. */
    public Optional<String> callHours() {
        return Optional.ofNullable(callHours).filter(each -> !each.isBlank());
    }

    /** Sets whom a family calls, and when; an empty text for neither. */
    public Point reachedBy(String number, String hours) {
        this.phone = number.strip();
        this.callHours = hours.strip();
        return this;
    }

    /** The units that somebody sees first who chose none. */
    public UnitSystem units() {
        return units == null ? UnitSystem.CUSTOMARY : units;
    }

    /** What the point is called, where it is, and by which law and practice it works: new fittings take these. */
    public Point working(String called, ZoneId where, String country, String practice, UnitSystem first) {
        this.name = called;
        this.zone = where.getId();
        this.lawCountry = country;
        this.profileId = practice;
        this.units = first;
        return this;
    }

    /** Grows with every change of its shelf, by whichever process. */
    public long shelfSeq() {
        return shelfSeq;
    }

    /** The practice profile that new fittings take. */
    public String profileId() {
        return profileId;
    }

    /** Whether a lead shows a second factor beside the password. */
    public boolean leadsNeedSecond() {
        return leadsNeedSecond;
    }

    /** Says whether a lead shows a second factor beside the password. */
    public Point guardedBy(boolean second) {
        this.leadsNeedSecond = second;
        return this;
    }
}
