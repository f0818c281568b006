package app.layette.web.handout;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** A family's own page: its address is the whole secret. */
@Entity
@Table(name = "family_page")
class FamilyPageRow {
    @Id
    @JdbcTypeCode(SqlTypes.CHAR)
    private String token;

    private UUID pointId;
    private UUID fittingId;
    private Instant madeAt;
    private LocalDate expiresOn;
    private @Nullable Instant revokedAt;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
    protected FamilyPageRow() {}

    FamilyPageRow(String token, UUID pointId, UUID fittingId, Instant madeAt, LocalDate expiresOn) {
        this.token = token;
        this.pointId = pointId;
        this.fittingId = fittingId;
        this.madeAt = madeAt;
        this.expiresOn = expiresOn;
    }

    String token() {
        return token;
    }

    UUID pointId() {
        return pointId;
    }

    UUID fittingId() {
        return fittingId;
    }

    LocalDate expiresOn() {
        return expiresOn;
    }

    void revoke(Instant at) {
        this.revokedAt = at;
    }

    boolean isOpenOn(LocalDate today) {
        return revokedAt == null && !today.isAfter(expiresOn);
    }
}
