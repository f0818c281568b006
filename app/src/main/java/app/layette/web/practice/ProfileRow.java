package app.layette.web.practice;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/** One version of a practice profile. */
@Entity
@Table(name = "practice_profile")
class ProfileRow {
    /** Point, id and version. */
    @Embeddable
    record Key(@Column(name = "point_id") UUID pointId, String id, int version) {}

    @EmbeddedId
    private Key key;

    @JdbcTypeCode(SqlTypes.JSON)
    private String document;

    /** From which day new fittings take it; {@code null} from the beginning. */
    @Column(name = "in_force_from")
    private @Nullable LocalDate inForceFrom;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
    protected ProfileRow() {}

    ProfileRow(Key key, String document, @Nullable LocalDate inForceFrom) {
        this.key = key;
        this.document = document;
        this.inForceFrom = inForceFrom;
    }

    boolean isInForce(LocalDate day) {
        return inForceFrom == null || !inForceFrom.isAfter(day);
    }

    Key key() {
        return key;
    }

    String document() {
        return document;
    }
}
