package app.layette.core.entry;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What an earlier fitting that was handed over says of the same seat, once its label is the same and nothing was done to
 * it since: label, papers, parts, place, method and settings, each with the day on which it was known first. Never level,
 * tests, webbing, clicks or clothing. A recall look-up keeps its own age.
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
        List<CarriedOver> carried = new ArrayList<>();
        for (Fact.Part part : Fact.Part.values()) {
            add(carried, earlier.label(part));
        }
        for (Question question : Question.values()) {
            if (question.isCarried()) {
                add(
                        carried,
                        earlier.newest(Fact.Answered.class, fact -> fact.question() == question)
                                .filter(answer -> question.isPassedBy(answer.how())));
            }
        }
        add(carried, earlier.newest(Fact.Ordered.class));
        add(carried, earlier.newest(Fact.Screened.class));
        earlier.seat().flatMap(seat -> seat.insert().value()).orElse(List.of()).stream()
                .forEach(piece -> add(carried, earlier.insert(piece)));
        add(carried, earlier.set(Fact.CrotchSet.class, fact -> true));
        pages(carried, earlier);
        if (isSameCar(earlier, now)) {
            carOf(carried, earlier, now);
            add(carried, earlier.placed());
            add(carried, earlier.newest(Fact.DeviceSet.class));
            add(
                    carried,
                    earlier.newest(Fact.RollPlaced.class)
                            .filter(roll -> roll.value().roll() != Fact.RollKind.NONE));
        }
        return List.copyOf(carried);
    }

    private static void add(List<CarriedOver> carried, Optional<? extends Stamped<? extends Fact>> earlier) {
        earlier.ifPresent(each -> carried.add(new CarriedOver(each.value(), from(each.on()))));
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
        List<Stamped<Fact.QuickCarSeen>> seen = earlier.history(Fact.QuickCarSeen.class);
        boolean described = earlier.car()
                .filter(car -> car.sheet().id().equals(QuickCar.SHEET))
                .isPresent();
        if (described) {
            seen.forEach(each -> carried.add(new CarriedOver(each.value(), each.how())));
        } else {
            earlier.car()
                    .map(car ->
                            new Fact.SheetAdopted(car.sheet().id(), car.sheet().version(), Fact.Adoption.ADOPTED, null))
                    .ifPresent(adopted -> carried.add(new CarriedOver(adopted, How.MEASURED)));
        }
    }
}
