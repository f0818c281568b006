package app.layette.web.fitting;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.UUID;

/** A family, as little as is needed; erasable without touching the record. */
@Entity
class Family {
    @Id
    private UUID id;

    @Column(name = "point_id")
    private UUID pointId;

    private String reference;

    @Column(name = "child_name")
    private String childName;

    protected Family() {}

    Family(UUID pointId, String reference, String childName) {
        this.id = UUID.randomUUID();
        this.pointId = pointId;
        this.reference = reference;
        this.childName = childName;
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
