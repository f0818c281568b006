package app.layette.web.roll;

import app.layette.core.entry.Fact.Softness;
import app.layette.core.measure.Length;
import app.layette.core.recline.roll.Cloth;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A kept cloth or noodle; a noodle's thickness is its diameter. */
@Entity
@Table(name = "roll_good")
class RollGoodRow {
    /** Kinds of good. */
    enum Kind {
        CLOTH,
        NOODLE
    }

    @Id
    private UUID id;

    private UUID pointId;
    private String name;

    @Enumerated(EnumType.STRING)
    private Kind kind;

    private @Nullable Double lengthMm;
    private @Nullable Double widthMm;
    private double thicknessMm;

    @Enumerated(EnumType.STRING)
    private @Nullable Softness softness;

    /** For Hibernate, which fills it. */
    @SuppressWarnings("NullAway.Init")
    protected RollGoodRow() {}

    RollGoodRow(UUID pointId, RollGood good) {
        this.id = UUID.randomUUID();
        this.pointId = pointId;
        this.name = good.name();
        this.kind = good instanceof RollGood.OfNoodle ? Kind.NOODLE : Kind.CLOTH;
        if (good instanceof RollGood.OfCloth cloth) {
            this.lengthMm = cloth.cloth().length().millimetres();
            this.widthMm = cloth.cloth().width().millimetres();
            this.thicknessMm = cloth.cloth().thickness().millimetres();
        } else if (good instanceof RollGood.OfNoodle noodle) {
            this.thicknessMm = noodle.diameter().millimetres();
            this.softness = noodle.softness();
        }
    }

    UUID id() {
        return id;
    }

    private static Length millimetres(@Nullable Double kept) {
        return Length.ofMillimetres(Objects.requireNonNull(kept));
    }

    RollGood good() {
        Length thickness = Length.ofMillimetres(thicknessMm);
        return kind == Kind.NOODLE
                ? new RollGood.OfNoodle(name, thickness, Objects.requireNonNull(softness))
                : new RollGood.OfCloth(new Cloth(name, millimetres(lengthMm), millimetres(widthMm), thickness));
    }
}
