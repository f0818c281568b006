package app.layette.web.shelf;

import app.layette.core.evidence.SheetStatus;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** One version of a sheet, as it came in. */
@Entity
@Table(name = "sheet")
class SheetRow {
    /** Kinds of sheet. */
    enum Kind {
        SEAT,
        VEHICLE
    }

    /** Point, kind, id and version. */
    @Embeddable
    record Key(
            @Column(name = "point_id") UUID pointId,
            @Enumerated(EnumType.STRING) Kind kind,
            String id,
            int version) {}

    @EmbeddedId
    private Key key;

    @Enumerated(EnumType.STRING)
    private SheetStatus status;

    private String title;

    @JdbcTypeCode(SqlTypes.CHAR)
    private String sha256;

    @JdbcTypeCode(SqlTypes.JSON)
    private String document;

    @Column(name = "imported_by")
    private String importedBy;

    @Column(name = "imported_at")
    private Instant importedAt;

    /** Who wrote it here, besides whoever put it on the shelf. */
    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> writers = List.of();

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
    protected SheetRow() {}

    SheetRow(Key key, SheetStatus status, String title, String sha256, String document, String by, Instant at) {
        this.key = key;
        this.status = status;
        this.title = title;
        this.sha256 = sha256;
        this.document = document;
        this.importedBy = by;
        this.importedAt = at;
    }

    Key key() {
        return key;
    }

    SheetStatus status() {
        return status;
    }

    String title() {
        return title;
    }

    String sha256() {
        return sha256;
    }

    String document() {
        return document;
    }

    Instant importedAt() {
        return importedAt;
    }

    String importedBy() {
        return importedBy;
    }

    boolean isBy(String user) {
        return importedBy.equals(user) || writers.contains(user);
    }

    void writtenBy(List<String> users) {
        writers = List.copyOf(users);
    }
}
