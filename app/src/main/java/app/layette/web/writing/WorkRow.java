package app.layette.web.writing;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A sheet that is being written. */
@Entity
@Table(name = "sheet_work")
class WorkRow {
    /** Point and id of the sheet: one is written at a time. */
    @Embeddable
    record Key(@Column(name = "point_id") UUID pointId, String id) {}

    @EmbeddedId
    private Key key;

    private String document;

    @Column(name = "changed_by")
    private String changedBy;

    @Column(name = "changed_at")
    private Instant changedAt;

    protected WorkRow() {}

    WorkRow(Key key, String document, String by, Instant at) {
        this.key = key;
        this.document = document;
        this.changedBy = by;
        this.changedAt = at;
    }

    Key key() {
        return key;
    }

    String document() {
        return document;
    }

    void write(String newDocument, String by, Instant at) {
        this.document = newDocument;
        this.changedBy = by;
        this.changedAt = at;
    }
}
