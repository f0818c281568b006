package app.layette.core.ride;

import app.layette.core.measure.Mass;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.SeatSheet;
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
    /**
     * Children of weights for which a card says the same.
     *
     * @param from the lightest of them
     * @param below lighter than this; heavier than {@code from}
     */
    public record Between(Mass from, Mass below) {
        /** A weight inside, for asking what the card says. */
        public Mass inside() {
            return Mass.ofGrams((from.grams() + below.grams()) / 2);
        }
    }

    private RideBands() {}

    /**
     * The bands of a carrier, the lightest first.
     *
     * @return empty where the lightest or the heaviest child is not on its sheet
     */
    public static List<Between> of(SeatSheet seat) {
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
        List<Between> bands = new ArrayList<>();
        Mass before = null;
        for (Mass border : borders) {
            if (before != null) {
                bands.add(new Between(before, border));
            }
            before = border;
        }
        return bands;
    }
}
