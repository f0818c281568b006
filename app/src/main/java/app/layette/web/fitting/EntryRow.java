package app.layette.web.fitting;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** An entry as it is kept: the whole document, with what is needed to find it. Never changed. */
@Entity
@Immutable
@Table(name = "entry")
class EntryRow {
    /** Fitting and place. */
    @Embeddable
    record Key(@Column(name = "fitting_id") UUID fittingId, int seq) {}

    @EmbeddedId
    private Key key;

    @Column(name = "point_id")
    private UUID pointId;

    private UUID id;
    private Instant at;

    @JdbcTypeCode(SqlTypes.JSON)
    private String document;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
    protected EntryRow() {}

    EntryRow(UUID pointId, Key key, UUID id, Instant at, String document) {
        this.pointId = pointId;
        this.key = key;
        this.id = id;
        this.at = at;
        this.document = document;
    }

    Key key() {
        return key;
    }

    String document() {
        return document;
    }
}
