package app.layette.web.workbench;

import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.cabin.TogetherView;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.Clash;
import app.layette.core.placing.Demand;
import app.layette.core.placing.Demands;
import app.layette.core.placing.Seating;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.Fittings;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Several riders in one car as the page shows them: the arrangement that is looked at, the others as small plans, or
 * where it fails.
 *
 * @param shown the arrangement that is looked at, in which riders can be moved; empty where there is none
 * @param plans all arrangements, small
 * @param conflict who cannot ride together, where there is no arrangement
 * @param clashes what they would share
 * @param failing the car with whoever still fits, and a mark where it fails; empty where there is an arrangement
 * @param widthsKnown whether widths counted
 */
public record Together(
        Optional<Arranged> shown,
        List<Plan> plans,
        List<Row> conflict,
        List<String> clashes,
        String failing,
        boolean widthsKnown) {
    /** The fitting's own child among the riders. */
    static final String OWN = "own";

    private static final String PERSON = "p";

    /**
     * What was asked for.
     *
     * @param id the fitting
     * @param others other fittings whose child rides too
     * @param people who need a place
     * @param held who was put down where
     * @param shows which arrangement is looked at, from 1
     */
    record Asked(UUID id, List<UUID> others, int people, Map<String, PositionId> held, int shows) {
        /** The address of the page with another arrangement. */
        String showing(int which) {
            UriComponentsBuilder address = UriComponentsBuilder.fromPath("/fittings/" + id + "/riders");
            others.forEach(other -> address.queryParam("with", other));
            address.queryParam("people", people);
            held.forEach((rider, place) -> address.queryParam("at", Held.write(rider, place)));
            return address.queryParam("shows", which).build().toUriString();
        }
    }

    /**
     * An arrangement.
     *
     * @param svg the car with all in it
     * @param choice what the fitting's own rider posts; empty where none is to be posted
     */
    public record Arranged(String title, List<Row> rows, String svg, String choice) {}

    /** An arrangement to tap. */
    public record Plan(String title, String svg, String address, boolean shown) {}

    /**
     * Where one rider goes, and what that gives up.
     *
     * @param held what holds them there, as the address keeps it; empty where nobody put them there
     */
    public record Row(String key, String name, String where, String givesUp, String held) {}

    /** A child with its restraint, as far as it is known for this car. */
    private record Child(SeatSheet seat, CabinAnswers answers) {}

    /** Somebody who needs a place. */
    private record Rider(String key, Demand demand, Optional<Child> child) {}

    /**
     * Seats everybody.
     *
     * @param fitted the fitting's own child first, then the others that ride too
     */
    static Together of(VehicleSheet car, List<Fittings.Planned> fitted, Asked asked, Wording words) {
        List<Rider> riders = riders(car, fitted, asked, words);
        List<Demand> demands = riders.stream().map(Rider::demand).toList();
        Seating.Result result = Seating.solve(demands, Demands.rowWidths(car));
        List<Seating.Arrangement> found = result.arrangements();
        int which = Math.max(1, Math.min(found.size(), asked.shows()));
        List<Plan> plans = IntStream.rangeClosed(1, found.size())
                .mapToObj(place -> new Plan(
                        title(place, words),
                        SvgWriter.picture(TogetherView.of(car, seated(found.get(place - 1), riders), List.of()), words),
                        asked.showing(place),
                        place == which))
                .toList();
        return new Together(
                found.isEmpty()
                        ? Optional.empty()
                        : Optional.of(arranged(car, found.get(which - 1), riders, which, words)),
                plans,
                riders.stream()
                        .filter(rider -> result.conflict().contains(rider.demand()))
                        .map(rider -> row(rider, "", ""))
                        .toList(),
                result.clashes().stream().map(clash -> say(clash, words)).toList(),
                found.isEmpty() ? failing(car, riders, result, words) : "",
                !Demands.rowWidths(car).isEmpty());
    }

    private static List<Rider> riders(VehicleSheet car, List<Fittings.Planned> fitted, Asked asked, Wording words) {
        List<Rider> riders = new ArrayList<>();
        for (int i = 0; i < fitted.size(); i++) {
            String key = i == 0 ? OWN : asked.others().get(i - 1).toString();
            String name = fitted.get(i).childName();
            Situation there = fitted.get(i).plan().situation().asIfIn(car);
            there.seat().ifPresent(seat -> {
                CabinAnswers answers = CabinAnswers.of(there);
                Demand demand = Demands.child(name, seat, answers, car);
                riders.add(new Rider(key, held(demand, key, asked), Optional.of(new Child(seat, answers))));
            });
        }
        for (int i = 1; i <= asked.people(); i++) {
            Demand demand = Demands.person(words.say("riders.person", Map.of("number", Argument.of(i))), car);
            riders.add(new Rider(PERSON + i, held(demand, PERSON + i, asked), Optional.empty()));
        }
        return riders;
    }

    private static Demand held(Demand demand, String key, Asked asked) {
        return Optional.ofNullable(asked.held().get(key)).map(demand::heldAt).orElse(demand);
    }

    /** Whoever cannot ride stands beside the car; all others are in it, so that they can be moved or taken out. */
    private static String failing(VehicleSheet car, List<Rider> riders, Seating.Result result, Wording words) {
        List<Rider> rest = riders.stream()
                .filter(rider -> !result.conflict().contains(rider.demand()))
                .toList();
        List<TogetherView.Seated> seated =
                Seating.solve(rest.stream().map(Rider::demand).toList(), Demands.rowWidths(car)).arrangements().stream()
                        .findFirst()
                        .map(arrangement -> seated(arrangement, rest))
                        .orElse(List.of());
        return worked(TogetherView.of(car, seated, result.clashes()), words);
    }

    private static Arranged arranged(
            VehicleSheet car, Seating.Arrangement arrangement, List<Rider> riders, int place, Wording words) {
        List<Demand> demands = riders.stream().map(Rider::demand).toList();
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < riders.size(); i++) {
            Demand.Way way = arrangement.ways().get(i);
            int down = arrangement.givesUp(demands, i);
            boolean person = way.method().isEmpty();
            String givesUp = down == 0 || person
                    ? person ? "" : words.say("riders.firstChoice")
                    : words.say(
                            "riders.insteadOf",
                            Map.of(
                                    "where",
                                    Argument.of(where(demands.get(i).ways().get(0), words))));
            rows.add(row(riders.get(i), where(way, words), givesUp));
        }
        Demand.Way own = arrangement.ways().get(0);
        return new Arranged(
                title(place, words),
                rows,
                worked(TogetherView.of(car, seated(arrangement, riders), List.of()), words),
                own.method().map(method -> own.place() + "/" + method).orElse(""));
    }

    /** A drawing in which each rider can be taken hold of: what it leads to is the list under it. */
    private static String worked(Drawing drawing, Wording words) {
        return SvgWriter.write(
                drawing,
                words,
                link -> link.target().startsWith(TogetherView.RIDER)
                        ? Optional.of("#who-" + link.target().substring(TogetherView.RIDER.length()))
                        : Optional.empty());
    }

    private static Row row(Rider rider, String where, String givesUp) {
        String held = rider.demand()
                .held()
                .map(place -> Held.write(rider.key(), place))
                .orElse("");
        return new Row(rider.key(), rider.demand().name(), where, givesUp, held);
    }

    private static List<TogetherView.Seated> seated(Seating.Arrangement arrangement, List<Rider> riders) {
        List<TogetherView.Seated> seated = new ArrayList<>();
        for (int i = 0; i < riders.size(); i++) {
            Demand.Way way = arrangement.ways().get(i);
            Rider rider = riders.get(i);
            seated.add(new TogetherView.Seated(
                    rider.key(),
                    rider.demand().name(),
                    way.place(),
                    rider.child()
                            .flatMap(each -> way.method()
                                    .flatMap(method -> each.answers().about(way.place(), method))),
                    rider.child().map(Child::seat)));
        }
        return seated;
    }

    private static String title(int place, Wording words) {
        return words.say(place == 1 ? "riders.best" : "riders.other", Map.of("number", Argument.of(place)));
    }

    private static String say(Clash clash, Wording words) {
        return words.say(
                "clash." + clash.kind(),
                Map.of(
                        "row",
                        Argument.of(clash.row()),
                        "place",
                        Argument.of(clash.place()
                                .map(place -> words.say("place." + place))
                                .orElse(""))));
    }

    private static String where(Demand.Way way, Wording words) {
        return way.method()
                .map(method -> words.say(
                        "place.by",
                        Map.of(
                                "place", new Argument.OfKey("place." + way.place()),
                                "method", new Argument.OfKey("method." + method))))
                .orElse(words.say("place." + way.place()));
    }
}
