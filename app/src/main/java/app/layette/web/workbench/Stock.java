package app.layette.web.workbench;

import app.layette.core.recheck.LastSetUp;
import app.layette.web.roll.RollGood;
import app.layette.web.shelf.SheetSummary;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * What lies ready at the fitting point; asked for by the step that offers it.
 *
 * @param kept cloths and noodles
 * @param here a cloth that somebody has at hand, by its sizes
 * @param cars the vehicle sheets on the shelf
 * @param lastSetUp what this seat needed in this car the last time
 */
record Stock(
        Supplier<List<RollGood>> kept,
        List<RollGood> here,
        Supplier<List<SheetSummary>> cars,
        Supplier<Optional<LastSetUp>> lastSetUp) {
    static final Stock NONE = new Stock(List.of());

    Stock(List<RollGood> here) {
        this(List::of, here, List::of, Optional::empty);
    }

    Stream<RollGood> rolls() {
        return Stream.concat(here.stream(), kept.get().stream());
    }
}
