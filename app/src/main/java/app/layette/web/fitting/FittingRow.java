package app.layette.web.fitting;

import app.layette.core.fitting.FittingState;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A fitting: what it was begun with, the last place of its entries, and the projection for lists. */
@Entity
@Table(name = "fitting")
class FittingRow {
    /** What stays the same from the beginning. */
    record Beginning(UUID pointId, String profileId, int profileVersion, String lawCountry, String seatSheet) {}

    /** What lists show; written in the transaction of each entry, and again when the day changes it. */
    record Overview(FittingState state, String nextStep, int blocking, LocalDate nextChangeOn, String car) {}

    @Id
    private UUID id;

    @Column(name = "point_id")
    private UUID pointId;

    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "family_id")
    private Family family;

    @Column(name = "profile_id")
    private String profileId;

    @Column(name = "profile_version")
    private int profileVersion;

    @Column(name = "law_country")
    @JdbcTypeCode(SqlTypes.CHAR)
    private String lawCountry;

    @Column(name = "seat_sheet")
    private String seatSheet;

    @Column(name = "last_seq")
    private int lastSeq;

    /** How often words were struck from its entries. */
    private int struck;

    @Column(name = "created_at")
    private Instant createdAt;

    @Enumerated(EnumType.STRING)
    private FittingState state;

    @Column(name = "next_step")
    private String nextStep;

    private int blocking;

    @Column(name = "next_change_on")
    private LocalDate nextChangeOn;

    private String car;

    @Column(name = "touched_at")
    private Instant touchedAt;

    protected FittingRow() {}

    FittingRow(UUID id, Family family, Beginning beginning, Instant now) {
        this.id = id;
        this.family = family;
        this.pointId = beginning.pointId();
        this.profileId = beginning.profileId();
        this.profileVersion = beginning.profileVersion();
        this.lawCountry = beginning.lawCountry();
        this.seatSheet = beginning.seatSheet();
        this.createdAt = now;
        this.touchedAt = now;
        this.state = FittingState.OPEN;
    }

    UUID id() {
        return id;
    }

    Family family() {
        return family;
    }

    Beginning beginning() {
        return new Beginning(pointId, profileId, profileVersion, lawCountry, seatSheet);
    }

    int lastSeq() {
        return lastSeq;
    }

    Overview overview() {
        return new Overview(state, nextStep, blocking, nextChangeOn, car);
    }

    Instant touchedAt() {
        return touchedAt;
    }

    /** Gives out the next place. */
    int nextSeq() {
        return ++lastSeq;
    }

    /** Somebody entered something. */
    void touch(Instant now) {
        this.touchedAt = now;
    }

    void show(Overview overview) {
        this.state = overview.state();
        this.nextStep = overview.nextStep();
        this.blocking = overview.blocking();
        this.nextChangeOn = overview.nextChangeOn();
        this.car = overview.car();
    }

    int struck() {
        return struck;
    }

    void wordsStruck() {
        struck++;
    }
}
