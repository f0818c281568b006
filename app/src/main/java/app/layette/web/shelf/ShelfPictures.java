package app.layette.web.shelf;

import app.layette.core.drawing.cabin.TogetherView;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.measure.UnitSystem;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.svg.CarrierPicture;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.UUID;

/** Restraints and cars of the shelf as lists show them, drawn once: what a version says never changes. */
public final class ShelfPictures {
    private static final long MOST_LETTERS = 20_000_000;

    ShelfPictures() {}

    private record Of(UUID point, SheetVersion sheet, SheetStatus status, String language, UnitSystem units) {}

    private final Cache<Of, String> drawn = Caffeine.newBuilder()
            .maximumWeight(MOST_LETTERS)
            .weigher((Of of, String picture) -> picture.length())
            .build();

    /** A restraint from the side. */
    public String seat(UUID point, SeatSheet seat) {
        return drawn.get(
                new Of(point, seat.sheet(), seat.status(), "", UnitSystem.METRIC), of -> CarrierPicture.of(seat));
    }

    /** A car from above. */
    public String car(UUID point, VehicleSheet car, Wording words) {
        return drawn.get(
                new Of(point, car.sheet(), car.status(), words.language(), words.units()),
                of -> SvgWriter.picture(TogetherView.of(car, List.of(), List.of()), words));
    }
}
