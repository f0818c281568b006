package app.layette.web.fitting;

import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.SheetId;
import app.layette.core.entry.UnitId;
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
import org.hibernate.annotations.DynamicUpdate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A fitting: what it was begun with, the last place of its entries, and the projection for lists. */
@Entity
@Table(name = "fitting")
@DynamicUpdate
class FittingRow {
    /** What stays the same from the beginning. */
    record Beginning(UUID pointId, String profileId, int profileVersion, String lawCountry, String seatSheet) {
        /** The same with another seat. */
        Beginning withSeat(String sheet) {
            return new Beginning(pointId, profileId, profileVersion, lawCountry, sheet);
        }
    }

    /** What lists show; written in the transaction of each entry, and again when the day changes it. */
    record Overview(
            FittingState state,
            @Nullable String nextStep,
            int blocking,
            @Nullable LocalDate nextChangeOn,
            @Nullable String car) {}

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

    /** The row whose entries these are: its own, or the first seat's where several are fitted together. */
    @ManyToOne(fetch = FetchType.LAZY)
    @JoinColumn(name = "record_id")
    private FittingRow record;

    private String unit;
    private String rider;

    /** Where it is not the family's own child. */
    @Column(name = "child_name")
    private @Nullable String childName;

    @Column(name = "last_seq")
    private int lastSeq;

    /** How often words were struck from its entries. */
    private int struck;

    @Column(name = "created_at")
    private Instant createdAt;

    @Enumerated(EnumType.STRING)
    private FittingState state;

    @Column(name = "next_step")
    private @Nullable String nextStep;

    private int blocking;

    @Column(name = "next_change_on")
    private @Nullable LocalDate nextChangeOn;

    private @Nullable String car;

    @Column(name = "touched_at")
    private Instant touchedAt;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
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
        this.record = this;
        this.unit = UnitId.FIRST.text();
        this.rider = RiderId.FIRST.text();
    }

    /** Another seat of the same fitting. */
    FittingRow(UUID id, FittingRow record, FittingRecord.Unit joined, String childName, Instant now) {
        this(id, record.family, record.beginning().withSeat(joined.sheet().text()), now);
        this.record = record;
        this.unit = joined.id().text();
        this.rider = joined.rider().text();
        this.childName = childName;
    }

    UUID id() {
        return id;
    }

    UUID pointId() {
        return pointId;
    }

    Family family() {
        return family;
    }

    Beginning beginning() {
        return new Beginning(pointId, profileId, profileVersion, lawCountry, seatSheet);
    }

    /** The fitting whose entries these are. */
    UUID recordId() {
        return record.id;
    }

    /** Whether the fitting was begun with this seat: what its entries are kept by. */
    boolean isFirst() {
        return recordId().equals(id);
    }

    /** The seat with which the fitting was begun. */
    FittingRecord.Unit firstUnit() {
        return record.ownUnit();
    }

    /** What seat and child of this fitting are called in its entries. */
    FittingRecord.Unit ownUnit() {
        return new FittingRecord.Unit(unit(), rider(), new SheetId(seatSheet));
    }

    UnitId unit() {
        return new UnitId(unit);
    }

    /** What the child is called in the entries. */
    RiderId rider() {
        return new RiderId(rider);
    }

    String childName() {
        return childName == null ? family.childName() : childName;
    }

    /** Forgets which child it was, where it was not the family's own. */
    void eraseChild() {
        if (childName != null) {
            childName = family.childName();
        }
    }

    /** The child comes back, and is called in its entries as it was then. */
    void isForTheChildOf(FittingRow earlier) {
        this.unit = earlier.unit;
        this.rider = earlier.rider;
        this.childName = earlier.childName;
    }

    int lastSeq() {
        return record.lastSeq;
    }

    Overview overview() {
        return new Overview(state, nextStep, blocking, nextChangeOn, car);
    }

    Instant touchedAt() {
        return touchedAt;
    }

    /** Gives out the next place. */
    int nextSeq() {
        return ++record.lastSeq;
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
        return record.struck;
    }

    void wordsStruck() {
        record.struck++;
    }
}
