package app.layette.core.entry;

import app.layette.core.entry.Fact.LabelRead;
import app.layette.core.entry.Fact.Part;
import app.layette.core.entry.FittingRecord.Unit;
import app.layette.core.evidence.SheetValue;
import app.layette.core.evidence.Speaker;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What of a record speaks of one unit. What another rider or seat is told, weighed or answered says nothing of it; what is
 * of the car is of every seat in it. Where one seat is fixed in several cars, what was judged of the seat, the child in it
 * and its harness is of every one of them, and what is of a car, a place and the securing there of that one alone.
 */
final class About {
    private final Unit unit;
    private final Map<String, Unit> units;
    private final Set<String> cars;
    private final Set<String> sheets;
    private final int end;
    private final boolean ownBase;

    /**
     * Reads a record for one of its units.
     *
     * @param effective its entries that count, corrections in their places
     */
    About(FittingRecord record, Unit unit, Sheets known, List<Entry> effective) {
        this.unit = unit;
        this.units = new HashMap<>();
        record.units().forEach(each -> units.put(each.id().text(), each));
        this.cars = known.cars().stream().map(each -> each.sheet().id()).collect(Collectors.toSet());
        this.sheets = Stream.concat(
                        known.seats().stream().map(each -> each.sheet().id()), cars.stream())
                .collect(Collectors.toSet());
        this.end = effective.stream()
                .filter(entry ->
                        entry.fact() instanceof Fact.Ended && entry.fact().of().is(unit.id()))
                .mapToInt(Entry::seq)
                .min()
                .orElse(Integer.MAX_VALUE);
        this.ownBase = unit.isInAnotherCar() && isOnBaseOfItsOwn(effective);
    }

    /** Whether the entry says anything of the unit. */
    boolean covers(Entry entry) {
        Fact fact = entry.fact();
        if (fact instanceof Fact.SheetAdopted adopted) {
            return !cars.contains(adopted.of().text()) || carOf(adopted.unit()).equals(carOf(unit.id()));
        }
        if (isOfTheFitting(fact)) {
            return true;
        }
        if (Neighbours.isOfTheCar(fact)) {
            return carOf(fact.of()).equals(carOf(unit.id()));
        }
        boolean named = fact.of().is(unit.id())
                || fact.of().is(unit.rider())
                || isSignature(fact) && named(fact.of()).isEmpty()
                || sheets.contains(fact.of().text());
        return named || isOfTheSameSeat(entry) && isOfSeatAndHarness(fact);
    }

    /** The car of a unit: its own where the seat is there besides, else the one that the fitting began with. */
    private Optional<UnitId> carOf(@Nullable Subject of) {
        return named(of).filter(Unit::isInAnotherCar).map(Unit::id);
    }

    private Optional<Unit> named(@Nullable Subject of) {
        return Optional.ofNullable(of).map(each -> units.get(each.text()));
    }

    /** What is done to the seat after it was handed over here belongs to the next car; a crash is heard of everywhere. */
    private boolean isOfTheSameSeat(Entry entry) {
        return named(entry.fact().of())
                        .filter(other -> !other.id().equals(unit.id()) && other.isSameSeatAs(unit))
                        .isPresent()
                && (entry.seq() < end || entry.fact() instanceof Fact.CrashedSince);
    }

    /** What belongs to the seat, its papers and its harness; everything else is seen anew in each car. */
    private boolean isOfSeatAndHarness(Fact fact) {
        if (fact instanceof Fact.Answered answered) {
            // A base that stays in this car has a history, parts and a recall of its own.
            return switch (answered.question().asked().whose()) {
                case SHELL -> true;
                case RESTRAINT -> !ownBase;
                case CAR -> false;
            };
        }
        if (fact instanceof Fact.Acted acted) {
            return acted.act().change().filter(About::isOfTheHarness).isPresent();
        }
        return fact instanceof LabelRead label && label.part() == Part.CARRIER
                || fact instanceof Fact.QuickSeatRead
                || fact instanceof Fact.PermissionRead page && page.speaker() == Speaker.SEAT && !ownBase
                || fact instanceof Fact.QuantityRead read && isOfTheShell(read)
                || fact instanceof Fact.SheetValueRead read && isOfTheShell(read.value())
                || fact instanceof Fact.HandlePositionRead
                || fact instanceof Fact.LengthMeasured length && length.what().isOfTheChild()
                || fact instanceof Fact.LayerSeen
                || fact instanceof Fact.InsertSet
                || fact instanceof Fact.SlotsSet
                || fact instanceof Fact.CrotchSet
                || fact instanceof Fact.WebbingMoved
                || fact instanceof Fact.CameBack
                || fact instanceof Fact.CrashedSince;
    }

    /** What a page said with another base in hand says nothing of this one: only what no base changes is known already. */
    private boolean isOfTheShell(SheetValue value) {
        return switch (value) {
            case APPROVED_HERE,
                    LIFE,
                    CRASH_RULE,
                    OWN_CONDITIONS,
                    INSERT,
                    SLOTS,
                    LOOPS,
                    CROTCH,
                    SNUG_TEST,
                    CLIP,
                    COVERS -> true;
            default -> !value.isOfPlace() && !ownBase;
        };
    }

    private boolean isOfTheShell(Fact.QuantityRead read) {
        boolean ofTheCarrier = switch (read.quantity()) {
            case WEIGHT_MIN, WEIGHT_MAX, LENGTH_MAX, HEAD_ROOM, CARRIER_MASS -> true;
            default -> false;
        };
        return read.speaker() == Speaker.SEAT && (ofTheCarrier || !ownBase);
    }

    private static boolean isOfTheHarness(Change change) {
        return switch (change) {
            case INSERT, COVER, SLOT, HARNESS_OPENED, CLIP_MOVED -> true;
            case TIGHTENED,
                    BELT_TOUCHED,
                    ANCHOR_TOUCHED,
                    ARMS_WALKED_IN,
                    CARRIER_ON_OFF,
                    FRONT_SEAT_MOVED,
                    CAR_MOVED,
                    HANDLE_MOVED,
                    TURNED,
                    MEASURES_RENEWED,
                    OTHER_SEAT,
                    LABEL_CORRECTED,
                    OTHER_CAR,
                    PLACE_OR_METHOD -> false;
        };
    }

    /** Whether it stands here on a base that is not known to be the one of the first car: one that only looks alike is not. */
    private boolean isOnBaseOfItsOwn(List<Entry> effective) {
        Method method = null;
        LabelRead here = null;
        LabelRead there = null;
        for (Entry entry : effective) {
            Optional<Unit> of = named(entry.fact().of()).filter(each -> each.isSameSeatAs(unit));
            if (of.isEmpty()) {
                continue;
            }
            boolean own = of.get().id().equals(unit.id());
            if (own && entry.fact() instanceof Fact.Placed placed) {
                method = placed.method();
            }
            if (entry.fact() instanceof LabelRead label && label.part() == Part.BASE) {
                here = own ? label : here;
                there = own ? there : label;
            }
        }
        return method != null && method.isOnBase() && !(here != null && isTheSame(here, there));
    }

    private static boolean isTheSame(LabelRead here, @Nullable LabelRead there) {
        return there != null
                && here.made() != null
                && Objects.equals(here.model(), there.model())
                && here.made().equals(there.made())
                && Objects.equals(here.doNotUseAfter(), there.doNotUseAfter());
    }

    /** Signed, noted or pictured for one unit where it names one, else for the fitting. */
    private static boolean isSignature(Fact fact) {
        return fact instanceof Fact.Ended
                || fact instanceof Fact.Prepared
                || fact instanceof Fact.Countersigned
                || fact instanceof Fact.CaregiverSigned
                || fact instanceof Fact.PhotoTaken;
    }

    private static boolean isOfTheFitting(Fact fact) {
        return fact instanceof Fact.Noted
                || fact instanceof Fact.CorrectionSigned
                || fact instanceof Fact.BoxChosen
                || fact instanceof Fact.UnitJoined;
    }
}
