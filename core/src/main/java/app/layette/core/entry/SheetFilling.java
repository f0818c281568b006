package app.layette.core.entry;

import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Source;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.core.seat.BaseFit;
import app.layette.core.seat.Connectors;
import app.layette.core.seat.CrotchOpening;
import app.layette.core.seat.Harness;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LockOff;
import app.layette.core.seat.PieceId;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import app.layette.core.seat.ServiceLife;
import app.layette.core.seat.Shell;
import app.layette.core.seat.WeightBand;
import app.layette.core.table.Copies;
import app.layette.core.vehicle.Belt;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.SeatingPosition;
import app.layette.core.vehicle.VehicleSheet;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Function;

/**
 * Fills what no sheet says with what was read or seen for this fitting. What a sheet states stays; only what was seen of
 * the car and binds more takes its place.
 */
final class SheetFilling {
    /** A weight that no child has: an opening that the page does not give. */
    private static final WeightBand NO_CHILD = new WeightBand(Mass.ofKilograms(1000), null);

    private final List<Stamped<Fact.SheetValueRead>> readings;
    private Optional<Mass> weight = Optional.empty();
    private OptionalLong ageDays = OptionalLong.empty();
    private List<Stamped<Fact.SlotsSet>> slotsSet = List.of();

    /**
     * Takes the readings that count.
     *
     * @param readings of this car and this seat, in their order; what was only told says nothing
     */
    SheetFilling(List<Stamped<Fact.SheetValueRead>> readings) {
        this.readings = readings.stream()
                .filter(read -> read.how().isReadInDocument()
                        || read.value().value().isOfPlace() && read.how().isSeenHere())
                .toList();
    }

    /** For values that are said of a child of some weights or ages only. */
    SheetFilling forChild(Optional<Mass> now, OptionalLong days) {
        weight = now;
        ageDays = days;
        return this;
    }

    /** For values that are said of one slot. */
    SheetFilling forSlots(List<Stamped<Fact.SlotsSet>> threaded) {
        slotsSet = threaded;
        return this;
    }

    /** How many pairs of slots there are, as a page says; empty when none does. */
    Optional<Integer> slots() {
        return read(SheetValue.SLOTS).map(read -> Integer.valueOf(read.value().says()));
    }

    /**
     * What the readings come to. Of a manual two that differ come to nothing, until one of them is corrected: a page says
     * one thing. What was seen of the car may have changed: the newest of the best known counts.
     */
    private Optional<Stamped<Fact.SheetValueRead>> read(SheetValue value) {
        List<Stamped<Fact.SheetValueRead>> all = readings.stream()
                .filter(read -> read.value().value() == value && isOfThisChild(read.value()) && isOfThisSlot(read))
                .toList();
        if (value.isOfPlace()) {
            return all.stream().reduce(Stamped::orBetter);
        }
        boolean agreed =
                all.stream().map(read -> read.value().says()).distinct().count() == 1;
        return agreed ? Optional.of(all.get(all.size() - 1)) : Optional.empty();
    }

    /** What is said of children of other weights says nothing of this one. */
    private boolean isOfThisChild(Fact.SheetValueRead read) {
        return !SheetValues.isBanded(read.value(), read.says())
                || weight.filter(weights(read)::contains).isPresent();
    }

    /** HAR-4: which loop was read for one slot says nothing of another. */
    private boolean isOfThisSlot(Stamped<Fact.SheetValueRead> read) {
        boolean ofSlot =
                read.value().value() == SheetValue.LOOPS && !read.value().says().equals(SheetValues.NONE);
        return !ofSlot || slotAt(read.seq()).isPresent() && slotAt(read.seq()).equals(slotAt(Integer.MAX_VALUE));
    }

    private Optional<Integer> slotAt(int place) {
        return slotsSet.stream()
                .filter(set -> set.seq() <= place)
                .map(set -> set.value().leftShell())
                .reduce((first, second) -> second);
    }

    private static Source source(Stamped<Fact.SheetValueRead> read) {
        return read.how().isReadInDocument()
                ? new Source("manual", read.how().place(), read.on())
                : Source.seen(read.on());
    }

    private static <T> Evidence<T> stated(Stamped<Fact.SheetValueRead> read, T value) {
        return Evidence.stated(value, source(read));
    }

    /** The sheet's own value where somebody has looked; else what was read here. */
    private <T> Evidence<T> filled(Evidence<T> sheet, SheetValue value, Function<Fact.SheetValueRead, T> meaning) {
        return sheet.isLooked()
                ? sheet
                : read(value)
                        .map(read -> stated(read, meaning.apply(read.value())))
                        .orElse(sheet);
    }

    /**
     * The seat sheet with what was read of it.
     *
     * @param country where it is used; empty when nobody knows
     * @param baseModel of the base's label; empty when it was not read
     */
    SeatSheet seat(SeatSheet sheet, Optional<String> country, Optional<String> baseModel) {
        if (readings.stream().allMatch(read -> read.value().value().isOfPlace())) {
            return sheet;
        }
        SeatSheet seat = sheet;
        for (SheetValue value : SheetValue.values()) {
            if (!value.isOfPlace() && Plainly.is(value)) {
                seat = Plainly.at(seat, value.component(), before -> plainly(before, value));
            }
        }
        if (country.isPresent()) {
            seat = Copies.with(
                    seat,
                    "approvals",
                    filled(
                            sheet.approvals(),
                            SheetValue.APPROVED_HERE,
                            read -> isYes(read) ? List.of(country.get()) : List.of()));
        }
        if (baseModel.isPresent()) {
            BaseFit base = new BaseFit(baseModel.get(), List.of(baseModel.get()), null, null);
            seat = Copies.with(
                    seat,
                    "bases",
                    filled(sheet.bases(), SheetValue.BASE_LISTED, read -> isYes(read) ? List.of(base) : List.of()));
        }
        seat = Copies.with(seat, "life", filled(sheet.life(), SheetValue.LIFE, SheetFilling::life));
        seat = Copies.with(seat, "insert", insert(sheet.insert()));
        seat = Copies.with(
                seat,
                "connectors",
                filled(
                        sheet.connectors(),
                        SheetValue.CONNECTORS,
                        read -> new Connectors(Connectors.Kind.valueOf(read.says()), null)));
        seat = Copies.with(seat, "lockOffs", lockOffs(sheet.lockOffs()));
        seat = Copies.with(
                seat,
                "harness",
                Copies.with(seat.harness(), "loops", filled(sheet.harness().loops(), SheetValue.LOOPS, this::loops)));
        seat = Copies.with(
                seat,
                "shell",
                Copies.with(
                        seat.shell(),
                        "crotch",
                        filled(sheet.shell().crotch(), SheetValue.CROTCH, SheetFilling::openings)));
        seat = Copies.with(seat, "recline", Copies.with(seat.recline(), "indicator", indicator(sheet.recline())));
        // A child lies in a bed or in a carrier: what a page says of its head is said of whichever it is.
        return Plainly.at(seat, "layFlat/headDirection", before -> plainly(before, SheetValue.HEAD_DIRECTION));
    }

    private Evidence<Object> plainly(Evidence<Object> sheet, SheetValue value) {
        return filled(sheet, value, read -> Plainly.meaning(value, read.says()));
    }

    /** SUIT-10: masses that no sheet has; of several pages the heaviest. */
    static SeatSheet weighed(SeatSheet sheet, List<Stamped<Fact.QuantityRead>> pages) {
        Shell shell = sheet.shell();
        Evidence<Mass> carrier = heaviest(Fact.Quantity.CARRIER_MASS, shell.carrierMass(), pages);
        Evidence<Mass> base = heaviest(Fact.Quantity.BASE_MASS, shell.baseMass(), pages);
        boolean same = carrier == shell.carrierMass() && base == shell.baseMass();
        return same
                ? sheet
                : Copies.with(
                        sheet, "shell", Copies.with(Copies.with(shell, "carrierMass", carrier), "baseMass", base));
    }

    private static Evidence<Mass> heaviest(
            Fact.Quantity quantity, Evidence<Mass> ofSheet, List<Stamped<Fact.QuantityRead>> pages) {
        return ofSheet.isLooked()
                ? ofSheet
                : pages.stream()
                        .filter(page -> page.value().quantity() == quantity)
                        .flatMap(page -> Optional.ofNullable(page.value().mass())
                                .map(mass -> new Evidence.Stated<>(
                                        mass, new Source("manual", page.how().place(), page.on())))
                                .stream())
                        .max(Comparator.comparing(Evidence.Stated::said))
                        .map(heaviest -> (Evidence<Mass>) heaviest)
                        .orElse(ofSheet);
    }

    /** What the manual says of the insert: of a piece that no sheet names, or of the pieces whose bands leave this weight out. */
    private Evidence<List<InsertPiece>> insert(Evidence<List<InsertPiece>> sheet) {
        Optional<Stamped<Fact.SheetValueRead>> read = read(SheetValue.INSERT);
        if (read.isEmpty()) {
            return sheet;
        }
        Fact.SheetValueRead said = read.get().value();
        if (!sheet.isLooked()) {
            return stated(
                    read.get(),
                    said.says().equals(SheetValues.NONE)
                            ? List.of()
                            : List.of(new InsertPiece(
                                    new PieceId("insert"), "infant insert", Length.ZERO, List.of(band(said)))));
        }
        if (said.says().equals(SheetValues.NONE)) {
            return sheet;
        }
        return sheet.map(pieces -> pieces.stream()
                .map(piece -> isCovered(piece) ? piece : withBand(piece, said))
                .toList());
    }

    /** Whether the sheet says one thing of the child as it is now: nothing is filled where it does. */
    private boolean isCovered(InsertPiece piece) {
        return weight.isEmpty() || piece.useAt(weight.get(), ageDays).isPresent();
    }

    private InsertPiece withBand(InsertPiece piece, Fact.SheetValueRead said) {
        List<InsertPiece.Band> bands = new ArrayList<>(piece.bands().stream()
                .filter(band -> !band.weights().contains(weight.orElseThrow()))
                .toList());
        bands.add(band(said));
        return new InsertPiece(piece.key(), piece.name(), piece.lift(), bands);
    }

    private static InsertPiece.Band band(Fact.SheetValueRead said) {
        return new InsertPiece.Band(weights(said), InsertPiece.Use.valueOf(said.says()));
    }

    private static WeightBand weights(Fact.SheetValueRead said) {
        Mass from = said.from();
        Mass to = said.to();
        // What is said of no weights is said of no child.
        return from == null || to == null ? NO_CHILD : WeightBand.fromToInclusive(from, to);
    }

    /** The opening that the page gives; the others are for children of other weights. */
    private static List<CrotchOpening> openings(Fact.SheetValueRead said) {
        int opening = Integer.parseInt(said.says());
        List<CrotchOpening> openings = new ArrayList<>();
        for (int i = 1; i < opening; i++) {
            openings.add(new CrotchOpening(null, NO_CHILD));
        }
        openings.add(new CrotchOpening(null, weights(said)));
        return openings;
    }

    private List<Harness.Loop> loops(Fact.SheetValueRead said) {
        int slot = slotAt(Integer.MAX_VALUE).orElse(0);
        return said.says().equals(SheetValues.NONE)
                ? List.of()
                : List.of(new Harness.Loop(said.says().toLowerCase(Locale.ROOT), slot, slot));
    }

    /** Where the sheet has lock-offs and says not on what, the reading says so; where it says nothing, which there are. */
    private Evidence<List<LockOff>> lockOffs(Evidence<List<LockOff>> sheet) {
        Optional<Stamped<Fact.SheetValueRead>> read = read(SheetValue.LOCK_OFFS);
        if (read.isEmpty()) {
            return sheet;
        }
        boolean none = read.get().value().says().equals(SheetValues.NONE);
        LockOff.On on = none ? null : LockOff.On.valueOf(read.get().value().says());
        if (!sheet.isLooked()) {
            // Which part of the belt it takes was not asked: one for both is never taken to hold a lap belt alone.
            return stated(
                    read.get(), none ? List.of() : List.of(new LockOff(LockOff.Side.LEFT, LockOff.Part.BOTH, on)));
        }
        return none
                ? sheet
                : sheet.map(list -> list.stream()
                        .map(each -> each.on() == null ? new LockOff(each.side(), each.part(), on) : each)
                        .toList());
    }

    private Evidence<Indicator> indicator(Recline sheet) {
        Evidence<Indicator> indicator = filled(
                sheet.indicator(),
                SheetValue.INDICATOR,
                read -> new Indicator(
                        Indicator.Kind.valueOf(read.says()),
                        Indicator.Mount.CARRIER,
                        Indicator.Pass.WHOLLY_INSIDE,
                        List.of(),
                        null,
                        Indicator.USUAL_PART,
                        Indicator.USUAL_PART));
        Optional<Stamped<Fact.SheetValueRead>> pass = read(SheetValue.LEVEL_PASS);
        Optional<Stamped<Fact.SheetValueRead>> sides = read(SheetValue.SIDES);
        return indicator.map(each -> {
            Indicator filled = each;
            if (pass.isPresent()
                    && weight.isPresent()
                    && each.bandFor(weight.get(), ageDays).isEmpty()) {
                List<Indicator.Band> bands = new ArrayList<>(each.bands().stream()
                        .filter(band -> !band.weights().contains(weight.get()))
                        .toList());
                bands.add(new Indicator.Band(weights(pass.get().value()), null, null));
                filled = Copies.with(filled, "bands", bands);
                boolean own = each.bands().isEmpty();
                filled = own
                        ? Copies.with(
                                filled,
                                "pass",
                                Indicator.Pass.valueOf(pass.get().value().says()))
                        : filled;
            }
            return sides.isPresent() && filled.sides() == null
                    ? Copies.with(
                            filled,
                            "sides",
                            Indicator.Sides.valueOf(sides.get().value().says()))
                    : filled;
        });
    }

    private static ServiceLife life(Fact.SheetValueRead read) {
        return read.says().equals(SheetValues.NOT_STATED)
                ? new ServiceLife(ServiceLife.Kind.NOT_STATED, null)
                : new ServiceLife(ServiceLife.Kind.YEARS, Integer.valueOf(read.says()));
    }

    static List<String> names(String says) {
        return says.equals(SheetValues.NONE)
                ? List.of()
                : Arrays.stream(says.split(","))
                        .map(String::strip)
                        .filter(name -> !name.isEmpty())
                        .toList();
    }

    private static boolean isYes(Fact.SheetValueRead read) {
        return read.says().equals(SheetValues.YES);
    }

    /**
     * The car with what was seen or read of its places.
     *
     * @param described whether the car is one that is described place by place as it is looked at
     */
    VehicleSheet car(VehicleSheet sheet, boolean described) {
        Map<PositionId, List<Stamped<Fact.SheetValueRead>>> places = new LinkedHashMap<>();
        for (Stamped<Fact.SheetValueRead> read : readings) {
            PositionId at = read.value().place();
            if (read.value().value().isOfPlace() && at != null) {
                places.computeIfAbsent(at, key -> new ArrayList<>()).add(read);
            }
        }
        if (places.isEmpty()) {
            return sheet;
        }
        List<SeatingPosition> positions = new ArrayList<>();
        for (SeatingPosition position : sheet.positions()) {
            List<Stamped<Fact.SheetValueRead>> here = places.remove(position.id());
            positions.add(here == null ? position : new SheetFilling(here).place(position));
        }
        if (described) {
            places.forEach((id, here) -> positions.add(new SheetFilling(here).place(SeatingPosition.bare(id))));
        }
        return Copies.with(sheet, "positions", positions);
    }

    private SeatingPosition place(SeatingPosition sheet) {
        SeatingPosition place = Copies.with(
                sheet,
                "airbag",
                seen(
                        sheet.airbag(),
                        SheetValue.AIRBAG,
                        SeatingPosition.Airbag::valueOf,
                        airbag -> airbag == SeatingPosition.Airbag.ACTIVE));
        place = Copies.with(
                place,
                "anchors",
                seen(
                        sheet.anchors(),
                        SheetValue.ANCHORS,
                        SeatingPosition.OwnAnchors::valueOf,
                        anchors -> anchors == SeatingPosition.OwnAnchors.NONE));
        place = Copies.with(
                place,
                "facing",
                seen(
                        sheet.facing(),
                        SheetValue.FACING,
                        SeatingPosition.Facing::valueOf,
                        facing -> facing != SeatingPosition.Facing.FORWARD));
        place = Copies.with(
                place,
                "floor",
                seen(
                        sheet.floor(),
                        SheetValue.FLOOR,
                        SeatingPosition.Floor::valueOf,
                        floor -> floor == SeatingPosition.Floor.STORAGE));
        Belt belt = Copies.with(
                sheet.belt(),
                "kind",
                seen(
                        sheet.belt().kind(),
                        SheetValue.BELT_KIND,
                        Belt.Kind::valueOf,
                        kind -> kind != Belt.Kind.LAP_SHOULDER));
        belt = Copies.with(
                belt,
                "inflatable",
                seen(sheet.belt().inflatable(), SheetValue.INFLATABLE, SheetValues.YES::equals, bag -> bag));
        return Copies.with(place, "belt", belt);
    }

    /** What was seen fills what no sheet says, and takes the place of a sheet's value where it binds more. */
    private <T> Evidence<T> seen(
            Evidence<T> sheet, SheetValue value, Function<String, T> meaning, Function<T, Boolean> bindsMore) {
        return read(value)
                .filter(read -> !sheet.isLooked()
                        || bindsMore.apply(meaning.apply(read.value().says())))
                .map(read -> stated(read, meaning.apply(read.value().says())))
                .orElse(sheet);
    }
}
