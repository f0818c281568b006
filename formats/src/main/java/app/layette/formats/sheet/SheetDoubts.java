package app.layette.formats.sheet;

import app.layette.core.measure.Mass;
import app.layette.core.seat.AgeBand;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.Harness;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.WeightBand;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What contradicts itself in a sheet, or leaves a hole, without being forbidden: a reading slip more often than not. */
public final class SheetDoubts {
    private final List<Doubt> doubts = new ArrayList<>();

    private SheetDoubts() {}

    /**
     * A doubt.
     *
     * @param pointer the field
     * @param kind which, the last part of its message key
     */
    public record Doubt(String pointer, Kind kind) {}

    /** Kinds of doubt. */
    public enum Kind {
        /** Between two bands there are weights that none of them covers. */
        HOLE,
        /** Two bands say something of the same weight. */
        OVERLAP,
        /** A loop names a slot that there is not, or a slot has no loop. */
        LOOPS
    }

    /** The doubts about a sheet, in the order of its fields. */
    public static List<Doubt> of(SeatSheet sheet) {
        SheetDoubts doubts = new SheetDoubts();
        doubts.bands(
                "/shell/crotch",
                sheet.shell().crotch().value().orElse(List.of()).stream()
                        .map(CrotchOpening::weights)
                        .toList());
        for (InsertPiece piece : sheet.insert().value().orElse(List.of())) {
            boolean byWeight =
                    piece.bands().stream().allMatch(band -> band.ageMonths().equals(AgeBand.EVERY_AGE));
            if (byWeight) {
                doubts.bands(
                        "/insert",
                        piece.bands().stream().map(InsertPiece.Band::weights).toList());
            }
        }
        sheet.harness().loops().value().ifPresent(loops -> doubts.loops(sheet, loops));
        sheet.recline().indicator().value().ifPresent(indicator -> {
            boolean byWeight =
                    indicator.bands().stream().allMatch(band -> band.ageMonths().equals(AgeBand.EVERY_AGE));
            if (byWeight) {
                doubts.bands(
                        "/recline/indicator",
                        indicator.bands().stream().map(Indicator.Band::weights).toList());
            }
        });
        return doubts.doubts.stream().distinct().toList();
    }

    private void bands(String pointer, List<WeightBand> bands) {
        List<WeightBand> sorted = bands.stream()
                .sorted(Comparator.comparingDouble(band -> grams(band.from(), 0)))
                .toList();
        for (int i = 1; i < sorted.size(); i++) {
            double end = grams(sorted.get(i - 1).below(), Double.MAX_VALUE);
            double next = grams(sorted.get(i).from(), 0);
            if (next > end) {
                doubts.add(new Doubt(pointer, Kind.HOLE));
            } else if (next < end) {
                doubts.add(new Doubt(pointer, Kind.OVERLAP));
            }
        }
    }

    private static double grams(@Nullable Mass mass, double open) {
        return mass == null ? open : mass.grams();
    }

    private void loops(SeatSheet sheet, List<Harness.Loop> loops) {
        int slots = sheet.shell().slots().value().map(List::size).orElse(0);
        if (slots == 0) {
            return;
        }
        for (int slot = 1; slot <= slots; slot++) {
            int at = slot;
            long named = loops.stream()
                    .filter(loop -> loop.fromSlot() <= at && at <= loop.toSlot())
                    .count();
            if (named != 1) {
                doubts.add(new Doubt("/harness/loops", Kind.LOOPS));
            }
        }
        if (loops.stream().anyMatch(loop -> loop.toSlot() > slots)) {
            doubts.add(new Doubt("/harness/loops", Kind.LOOPS));
        }
    }
}
