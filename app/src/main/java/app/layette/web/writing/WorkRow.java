package app.layette.web.writing;

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
import java.util.stream.Stream;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A sheet that is being written. */
@Entity
@Table(name = "sheet_work")
class WorkRow {
    /** What is told of. */
    enum Kind {
        SEAT,
        VEHICLE
    }

    /** Point and id of the sheet: one is written at a time. */
    @Embeddable
    record Key(@Column(name = "point_id") UUID pointId, String id) {}

    @EmbeddedId
    private Key key;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    private String document;

    @JdbcTypeCode(SqlTypes.ARRAY)
    private List<String> writers;

    @Column(name = "changed_at")
    private Instant changedAt;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
    protected WorkRow() {}

    WorkRow(Key key, Kind kind, String document, String by, Instant at) {
        this.key = key;
        this.kind = kind;
        this.document = document;
        this.writers = List.of(by);
        this.changedAt = at;
    }

    Key key() {
        return key;
    }

    Kind kind() {
        return kind;
    }

    String document() {
        return document;
    }

    List<String> writers() {
        return writers;
    }

    void write(String newDocument, String by, Instant at) {
        this.document = newDocument;
        if (!writers.contains(by)) {
            this.writers = Stream.concat(writers.stream(), Stream.of(by)).toList();
        }
        this.changedAt = at;
    }
}
