package app.layette.web.record;

import app.layette.formats.record.Seal;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** The seal of a fitting, with the plan as it was then. */
@Entity
@Table(name = "seal")
class SealRow {
    @Id
    private UUID fittingId;

    private UUID pointId;

    private int lastSeq;

    @JdbcTypeCode(SqlTypes.CHAR)
    private String sha256;

    private String engineVersion;
    private Instant sealedAt;
    private String sealedBy;

    @Column(columnDefinition = "jsonb")
    @JdbcTypeCode(SqlTypes.JSON)
    private String plan;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
    protected SealRow() {}

    SealRow(
            UUID pointId,
            UUID fittingId,
            Seal seal,
            String engineVersion,
            Instant sealedAt,
            String sealedBy,
            String plan) {
        this.pointId = pointId;
        this.fittingId = fittingId;
        this.lastSeq = seal.lastSeq();
        this.sha256 = seal.sha256();
        this.engineVersion = engineVersion;
        this.sealedAt = sealedAt;
        this.sealedBy = sealedBy;
        this.plan = plan;
    }

    Seal seal() {
        return new Seal(lastSeq, sha256);
    }

    /** Words were struck from under it: the same entries, without them. */
    void takeAnew(Seal anew) {
        if (anew.lastSeq() != lastSeq) {
            throw new IllegalStateException("A seal covers " + lastSeq + " entries, never " + anew.lastSeq());
        }
        this.sha256 = anew.sha256();
    }

    String engineVersion() {
        return engineVersion;
    }

    Instant sealedAt() {
        return sealedAt;
    }

    /** The plan document as it was when it was sealed. */
    String plan() {
        return plan;
    }

    String sealedBy() {
        return sealedBy;
    }
}
