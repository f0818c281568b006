package app.layette.web.fitting;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A family, as little as is needed; erasable without touching the record. */
@Entity
class Family {
    private static final int ERASED_LENGTH = 8;

    @Id
    private UUID id;

    @Column(name = "point_id")
    private UUID pointId;

    private String reference;

    @Column(name = "child_name")
    private String childName;

    @Column(name = "letters_to")
    private @Nullable String lettersTo;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
    protected Family() {}

    Family(UUID pointId, String reference, String childName) {
        this.id = UUID.randomUUID();
        this.pointId = pointId;
        this.reference = reference;
        this.childName = childName;
    }

    /** Forgets who it was; what is left tells two erased families apart and nothing else. */
    void erase() {
        this.reference = "X-" + UUID.randomUUID().toString().substring(0, ERASED_LENGTH);
        this.childName = Erasing.NAME;
        this.lettersTo = null;
    }

    /** Where it wants its letters; empty where nobody said. */
    String lettersTo() {
        return lettersTo == null ? "" : lettersTo;
    }

    void writeTo(String address) {
        this.lettersTo = address.isBlank() ? null : address;
    }

    UUID id() {
        return id;
    }

    String reference() {
        return reference;
    }

    String childName() {
        return childName;
    }
}
