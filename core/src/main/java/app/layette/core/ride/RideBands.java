package app.layette.core.ride;

import app.layette.core.measure.Mass;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.WeightBand;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * The weights within which a ride card of a carrier says the same: between its limits, cut wherever its level indicator
 * has another band. Outside its limits there is none.
 */
public final class RideBands {
    private RideBands() {}

    /**
     * The bands of a carrier, the lightest first.
     *
     * @return empty where the lightest or the heaviest child is not on its sheet
     */
    public static List<WeightBand> of(SeatSheet seat) {
        Optional<Mass> from = seat.weightMin().value();
        Optional<Mass> to = seat.weightMax().value();
        if (from.isEmpty() || to.isEmpty()) {
            return List.of();
        }
        TreeSet<Mass> borders = new TreeSet<>(List.of(from.get(), to.get()));
        seat.recline().indicator().value().map(Indicator::bands).orElse(List.of()).stream()
                .map(Indicator.Band::weights)
                .flatMap(band -> Stream.of(band.from(), band.below()))
                .filter(Objects::nonNull)
                .filter(border -> border.isMoreThan(from.get()) && border.isLessThan(to.get()))
                .forEach(borders::add);
        List<WeightBand> bands = new ArrayList<>();
        Mass before = null;
        for (Mass border : borders) {
            if (before != null) {
                bands.add(new WeightBand(before, border));
            }
            before = border;
        }
        return bands;
    }

    /** A weight inside a band, for asking what its card says. */
    public static Mass inside(WeightBand band) {
        Mass from = band.from();
        Mass below = band.below();
        if (from == null || below == null) {
            throw new IllegalArgumentException("The band (" + band + ") must have two ends");
        }
        return Mass.ofGrams((from.grams() + below.grams()) / 2);
    }
}
