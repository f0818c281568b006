package app.layette.core.recheck;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FactQuickCarSeenParts;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.QuickCar;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.suit.Orders;
import app.layette.core.vehicle.SeatingPosition.Airbag;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What an earlier fitting that was handed over says of the same seat, once its label is the same and nothing was done to
 * it since: label, papers, parts, place, method and settings, each with the day on which it was known first. Never level,
 * tests, webbing, clicks, clothing or an airbag that was off. A recall look-up keeps its own age. Nothing that was said
 * here already is said again: an earlier word never comes after a later one.
 *
 * @param fact what is carried
 * @param how how it is known: carried from its day, or the page of a manual, which is as good today
 */
public record CarriedOver(Fact fact, How how) {
    /**
     * What to carry.
     *
     * @param earlier the earlier fitting as it stands
     * @param now the new one: another car that was chosen for it takes the place's side of it away
     */
    public static List<CarriedOver> of(Situation earlier, Situation now) {
        if (earlier.newest(Fact.CrashedSince.class).isPresent()) {
            // CND-3: whatever a family says, a seat of which a crash is known is looked at anew.
            return List.of();
        }
        List<CarriedOver> carried = new ArrayList<>();
        for (Fact.Part part : Fact.Part.values()) {
            unlessSaid(carried, earlier.label(part), now.label(part));
        }
        for (Question question : Question.values()) {
            if (question.isCarried()) {
                unlessSaid(
                        carried,
                        earlier.newest(Fact.Answered.class, fact -> fact.question() == question)
                                .filter(answer -> question.isPassedBy(answer.how())),
                        now.answer(question));
            }
        }
        unlessSaid(carried, Orders.inForce(earlier), now.newest(Fact.Ordered.class));
        unlessSaid(carried, earlier.newest(Fact.Screened.class), now.newest(Fact.Screened.class));
        earlier.seat().flatMap(seat -> seat.insert().value()).orElse(List.of()).stream()
                .forEach(piece -> unlessSaid(carried, earlier.insert(piece), now.insert(piece)));
        // HAR-3: where to look first, no look.
        unlessSaid(
                carried,
                ShoulderAndSlots.in(earlier)
                        .map(seen -> seen.look()
                                .with(new Fact.ShoulderSeen(earlier.unit().rider(), seen.best()))),
                now.newest(Fact.ShoulderSeen.class));
        unlessSaid(
                carried, earlier.set(Fact.CrotchSet.class, fact -> true), now.set(Fact.CrotchSet.class, fact -> true));
        pages(carried, earlier);
        if (isSameCar(earlier, now)) {
            carOf(carried, earlier, now);
            unlessSaid(carried, earlier.placed(), now.placed());
            unlessSaid(carried, earlier.newest(Fact.DeviceSet.class), now.newest(Fact.DeviceSet.class));
            unlessSaid(
                    carried,
                    earlier.newest(Fact.RollPlaced.class)
                            .filter(roll -> roll.value().roll() != Fact.RollKind.NONE),
                    now.newest(Fact.RollPlaced.class));
        }
        return List.copyOf(carried);
    }

    private static void unlessSaid(
            List<CarriedOver> carried, Optional<? extends Stamped<? extends Fact>> earlier, Optional<?> here) {
        if (here.isEmpty()) {
            earlier.ifPresent(each -> carried.add(new CarriedOver(each.value(), from(each.on()))));
        }
    }

    private static How from(LocalDate day) {
        return new How(How.Kind.CARRIED_FROM, day.toString());
    }

    /** What a page of a manual said, it still says. */
    private static void pages(List<CarriedOver> carried, Situation earlier) {
        for (Class<? extends Fact> kind : List.of(
                Fact.QuickSeatRead.class,
                Fact.PermissionRead.class,
                Fact.QuantityRead.class,
                Fact.HandlePositionRead.class,
                Fact.SheetValueRead.class)) {
            earlier.history(kind).stream()
                    .filter(read -> read.how().isReadInDocument())
                    .forEach(read -> carried.add(new CarriedOver(read.value(), read.how())));
        }
    }

    private static boolean isSameCar(Situation earlier, Situation now) {
        return now.car().isEmpty()
                || now.car()
                        .map(car -> car.sheet().id())
                        .equals(earlier.car().map(car -> car.sheet().id()));
    }

    /** The car, where none was chosen yet. */
    private static void carOf(List<CarriedOver> carried, Situation earlier, Situation now) {
        if (now.car().isPresent()) {
            return;
        }
        boolean described = earlier.car()
                .filter(car -> car.sheet().id().equals(QuickCar.SHEET))
                .isPresent();
        if (described) {
            earlier.history(Fact.QuickCarSeen.class)
                    .forEach(seen -> carried.add(new CarriedOver(withoutSwitch(seen.value()), from(seen.on()))));
        } else {
            earlier.car()
                    .map(car -> new Fact.SheetAdopted(car.sheet(), Fact.Adoption.ADOPTED, null))
                    .ifPresent(adopted -> carried.add(new CarriedOver(adopted, from(earlier.today()))));
        }
    }

    /** CAB-1: that an airbag was off is seen anew each time. */
    private static Fact.QuickCarSeen withoutSwitch(Fact.QuickCarSeen seen) {
        return seen.airbag() != Airbag.OFF_CONFIRMED
                ? seen
                : FactQuickCarSeenParts.builder()
                        .of(seen.of())
                        .name(seen.name())
                        .position(seen.position())
                        .facing(seen.facing())
                        .anchors(seen.anchors())
                        .floor(seen.floor())
                        .retractor(seen.retractor())
                        .latchPlate(seen.latchPlate())
                        .belt(seen.belt())
                        .beltKind(seen.beltKind())
                        .build();
    }
}
