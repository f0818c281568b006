package app.layette.web.workbench;

import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.QuickSeat;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingState;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.Demand;
import app.layette.core.placing.Demands;
import app.layette.core.placing.Seating;
import app.layette.core.vehicle.VehicleSheet;
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
     * @param choice what the fitting's own rider posts; empty where none is to be posted
     */
    public record Arranged(String title, List<Row> rows, String choice) {}

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
            @RequestParam UUID joins,
            @RequestParam(defaultValue = "") String childName,
            @RequestParam(defaultValue = "") String seat,
            @RequestParam(defaultValue = "false") boolean twin,
            RedirectAttributes after) {
        try {
            SheetVersion sheet = sheet(user, seat);
            UUID joined =
                    fittings.join(id, new Fittings.Join(joins, childName, sheet, twin), user.pointId(), user.author());
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
        List<Demand> demands = new ArrayList<>();
        demand(own, car).ifPresent(demands::add);
        for (UUID other : others) {
            demand(fittings.planned(other, user.pointId()), car).ifPresent(demands::add);
        }
        for (int i = 1; i <= people; i++) {
            demands.add(Demands.person(words.say("riders.person", Map.of("number", Argument.of(i))), car));
        }
        Seating.Result result = Seating.solve(demands, Demands.rowWidths(car));
        List<Arranged> arranged = new ArrayList<>();
        for (Seating.Arrangement arrangement : result.arrangements()) {
            arranged.add(arranged(arrangement, demands, arranged.size() + 1, words));
        }
        model.addAttribute("arranged", arranged);
        model.addAttribute(
                "conflict", result.conflict().stream().map(Demand::name).toList());
        model.addAttribute("widthsKnown", !Demands.rowWidths(car).isEmpty());
    }

    private static Optional<Demand> demand(Fittings.Planned fitting, VehicleSheet car) {
        Situation there = fitting.plan().situation().asIfIn(car);
        return there.seat().map(seat -> Demands.child(fitting.childName(), seat, CabinAnswers.of(there), car));
    }

    private static Arranged arranged(Seating.Arrangement arrangement, List<Demand> demands, int place, Wording words) {
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
