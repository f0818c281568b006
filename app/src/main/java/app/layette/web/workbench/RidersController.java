package app.layette.web.workbench;

import app.layette.core.drawing.cabin.TogetherView;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.QuickSeat;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingState;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.Clash;
import app.layette.core.placing.Demand;
import app.layette.core.placing.Demands;
import app.layette.core.placing.Seating;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.shelf.Shelf;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Several riders in the car of one fitting: twins, a sibling's fitting, people who need a place. */
@Controller
class RidersController {
    private static final int MOST_CHILDREN = 4;
    private static final int MOST_PEOPLE = 6;

    /**
     * One arrangement.
     *
     * @param rows one for each rider
     * @param svg the car with them in it
     * @param choice what the fitting's own rider posts; empty where none is to be posted
     */
    public record Arranged(String title, List<Row> rows, String svg, String choice) {}

    /** A child with its restraint, as far as it is known for this car. */
    private record Child(Demand demand, SeatSheet seat, CabinAnswers answers) {}

    /** Where one rider goes, and what that gives up. */
    public record Row(String name, String where, String givesUp) {}

    private final Fittings fittings;
    private final Viewing viewing;
    private final Shelf shelf;

    RidersController(Fittings fittings, Viewing viewing, Shelf shelf) {
        this.shelf = shelf;
        this.fittings = fittings;
        this.viewing = viewing;
    }

    @GetMapping("/fittings/{id}/riders")
    String riders(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(name = "with", defaultValue = "") List<UUID> with,
            @RequestParam(defaultValue = "0") int people,
            Model model) {
        Fittings.Planned own = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        Optional<VehicleSheet> car = own.plan().situation().car();
        int grown = Math.max(0, Math.min(MOST_PEOPLE, people));
        // Who is fitted together rides together.
        List<UUID> others = Stream.concat(own.others().stream().map(Fittings.Beside::id), with.stream())
                .distinct()
                .limit(MOST_CHILDREN - 1L)
                .toList();
        model.addAttribute("id", id);
        model.addAttribute("child", own.childName());
        model.addAttribute("unit", own.plan().situation().unit().id());
        model.addAttribute("seats", shelf.seats(user.pointId()));
        model.addAttribute("seat", own.plan().situation().unit().sheet());
        model.addAttribute("walkIn", QuickSeat.SHEET);
        model.addAttribute("car", car.map(each -> each.fullName().strip()).orElse(""));
        model.addAttribute("others", others(user, id, others));
        model.addAttribute("people", grown);
        model.addAttribute("mostPeople", MOST_PEOPLE);
        model.addAttribute("lastSeq", own.plan().situation().lastSeq());
        model.addAttribute("open", own.plan().state() == FittingState.OPEN);
        car.ifPresent(sheet -> arrange(user, own, others, grown, sheet, words, model));
        return "workbench/riders";
    }

    /** A twin or a sibling with a seat of its own joins the fitting. */
    @PostMapping("/fittings/{id}/riders")
    String join(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(required = false) UUID joins,
            @RequestParam(defaultValue = "") String childName,
            @RequestParam(defaultValue = "") String seat,
            @RequestParam(defaultValue = "false") boolean twin,
            RedirectAttributes after) {
        // First of all it has to be a fitting of this point.
        fittings.unit(id, user.pointId());
        UUID own = joins == null ? UUID.randomUUID() : joins;
        try {
            SheetVersion sheet = sheet(user, seat);
            UUID joined =
                    fittings.join(id, new Fittings.Join(own, childName, sheet, twin), user.pointId(), user.author());
            return "redirect:/fittings/" + joined;
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, viewing.wording(user)));
            after.addFlashAttribute("joining", Map.of("childName", childName, "seat", seat, "twin", twin));
            return "redirect:/fittings/" + id + "/riders";
        }
    }

    private SheetVersion sheet(SignedIn user, String id) {
        if (id.equals(QuickSeat.SHEET)) {
            return new SheetVersion(QuickSeat.SHEET, 1);
        }
        return shelf.seats(user.pointId()).stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .map(each -> new SheetVersion(each.id(), each.version()))
                .orElseThrow(
                        () -> RefusedEntryException.fields(List.of(new FieldProblem("seat", id, "NEEDED", "", ""))));
    }

    private List<Fittings.OpenOne> others(SignedIn user, UUID own, List<UUID> chosen) {
        return fittings.openOnes(user, chosen).stream()
                .filter(each -> !each.id().equals(own))
                .toList();
    }

    private void arrange(
            SignedIn user,
            Fittings.Planned own,
            List<UUID> others,
            int people,
            VehicleSheet car,
            Wording words,
            Model model) {
        List<Child> children = new ArrayList<>();
        child(own, car).ifPresent(children::add);
        for (UUID other : others) {
            child(fittings.planned(other, user.pointId()), car).ifPresent(children::add);
        }
        List<Demand> demands =
                new ArrayList<>(children.stream().map(Child::demand).toList());
        for (int i = 1; i <= people; i++) {
            demands.add(Demands.person(words.say("riders.person", Map.of("number", Argument.of(i))), car));
        }
        Seating.Result result = Seating.solve(demands, Demands.rowWidths(car));
        List<Arranged> arranged = new ArrayList<>();
        for (Seating.Arrangement arrangement : result.arrangements()) {
            String svg =
                    SvgWriter.write(TogetherView.of(car, seated(arrangement, demands, children), List.of()), words);
            arranged.add(arranged(arrangement, demands, svg, arranged.size() + 1, words));
        }
        model.addAttribute("arranged", arranged);
        model.addAttribute(
                "conflict", result.conflict().stream().map(Demand::name).toList());
        model.addAttribute(
                "clashes",
                result.clashes().stream().map(clash -> say(clash, words)).toList());
        model.addAttribute(
                "failing",
                arranged.isEmpty() ? SvgWriter.write(TogetherView.of(car, List.of(), result.clashes()), words) : "");
        model.addAttribute("widthsKnown", !Demands.rowWidths(car).isEmpty());
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

    private static List<TogetherView.Seated> seated(
            Seating.Arrangement arrangement, List<Demand> demands, List<Child> children) {
        List<TogetherView.Seated> seated = new ArrayList<>();
        for (int i = 0; i < demands.size(); i++) {
            Demand.Way way = arrangement.ways().get(i);
            Optional<Child> child = i < children.size() ? Optional.of(children.get(i)) : Optional.empty();
            seated.add(new TogetherView.Seated(
                    demands.get(i).name(),
                    way.place(),
                    child.flatMap(each ->
                            way.method().flatMap(method -> each.answers().about(way.place(), method))),
                    child.map(Child::seat)));
        }
        return seated;
    }

    private static Optional<Child> child(Fittings.Planned fitting, VehicleSheet car) {
        Situation there = fitting.plan().situation().asIfIn(car);
        return there.seat().map(seat -> {
            CabinAnswers answers = CabinAnswers.of(there);
            return new Child(Demands.child(fitting.childName(), seat, answers, car), seat, answers);
        });
    }

    private static Arranged arranged(
            Seating.Arrangement arrangement, List<Demand> demands, String svg, int place, Wording words) {
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < demands.size(); i++) {
            Demand.Way way = arrangement.ways().get(i);
            int down = arrangement.givesUp(demands, i);
            boolean person = way.method().isEmpty();
            String givesUp = down == 0 || person
                    ? words.say(person ? "riders.nothing" : "riders.firstChoice")
                    : words.say(
                            "riders.insteadOf",
                            Map.of(
                                    "where",
                                    Argument.of(where(demands.get(i).ways().get(0), words))));
            rows.add(new Row(demands.get(i).name(), where(way, words), givesUp));
        }
        Demand.Way own = arrangement.ways().get(0);
        return new Arranged(
                words.say(place == 1 ? "riders.best" : "riders.other", Map.of("number", Argument.of(place))),
                rows,
                svg,
                own.method().map(method -> own.place() + "/" + method).orElse(""));
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
