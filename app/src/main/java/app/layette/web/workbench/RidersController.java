package app.layette.web.workbench;

import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.QuickCar;
import app.layette.core.entry.QuickSeat;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.FittingLists;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.Joinings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.shelf.Shelf;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
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

    private final Fittings fittings;
    private final Joinings joinings;
    private final FittingLists lists;
    private final Viewing viewing;
    private final Shelf shelf;

    RidersController(Fittings fittings, Joinings joinings, FittingLists lists, Viewing viewing, Shelf shelf) {
        this.shelf = shelf;
        this.fittings = fittings;
        this.joinings = joinings;
        this.lists = lists;
        this.viewing = viewing;
    }

    @GetMapping("/fittings/{id}/riders")
    String riders(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(name = "with", defaultValue = "") List<UUID> with,
            @RequestParam(defaultValue = "0") int people,
            @RequestParam(name = "at", defaultValue = "") List<String> at,
            @RequestParam(defaultValue = "1") int shows,
            Model model) {
        Fittings.Planned own = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        Optional<VehicleSheet> car = own.plan().situation().car();
        int grown = Math.max(0, Math.min(MOST_PEOPLE, people));
        // Who is fitted together rides together.
        List<UUID> others = Stream.concat(
                        own.others().stream().filter(other -> !other.sameSeat()).map(Fittings.Beside::id),
                        with.stream())
                .distinct()
                .limit(MOST_CHILDREN - 1L)
                .toList();
        model.addAttribute("id", id);
        model.addAttribute("child", own.childName());
        model.addAttribute("unit", own.plan().situation().unit().id().text());
        model.addAttribute("seats", shelf.seats(user.pointId()));
        model.addAttribute("seat", own.plan().situation().unit().sheet().text());
        model.addAttribute("walkIn", QuickSeat.SHEET.text());
        model.addAttribute("walkInCar", QuickCar.SHEET);
        model.addAttribute("car", car.map(each -> each.fullName().strip()).orElse(""));
        Set<UUID> itself = ofThisChild(id, own);
        model.addAttribute(
                "others",
                lists.openOnes(user, others).stream()
                        .filter(each -> !itself.contains(each.id()))
                        .toList());
        model.addAttribute("people", grown);
        model.addAttribute("mostPeople", MOST_PEOPLE);
        model.addAttribute("lastSeq", own.plan().situation().lastSeq());
        model.addAttribute("open", own.plan().state().isUnderWay());
        model.addAttribute("mayGoOn", Joinings.mayGoOn(own));
        // The car that it stands in already is the last that is meant.
        model.addAttribute(
                "cars",
                shelf.cars(user.pointId()).stream()
                        .sorted(Comparator.comparing(
                                each -> car.filter(here -> here.sheet().id().equals(each.id()))
                                        .isPresent()))
                        .toList());
        car.ifPresent(sheet -> {
            Together.Asked asked = new Together.Asked(id, others, grown, Held.read(at), shows);
            List<Fittings.Planned> fitted = Stream.concat(
                            Stream.of(own), others.stream().map(other -> fittings.planned(other, user.pointId())))
                    .toList();
            model.addAttribute("together", Together.of(sheet, fitted, asked, words));
        });
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
                    joinings.join(id, new Joinings.Join(own, childName, sheet, twin), user.pointId(), user.author());
            return "redirect:/fittings/" + joined;
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, viewing.wording(user)));
            after.addFlashAttribute("joining", Map.of("childName", childName, "seat", seat, "twin", twin));
            return "redirect:/fittings/" + id + "/riders";
        }
    }

    /** The same carrier goes on into another car: judged there for place and securing alone. */
    @PostMapping("/fittings/{id}/cars")
    String inAnotherCar(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(required = false) UUID joins,
            @RequestParam(defaultValue = "") String car,
            RedirectAttributes after) {
        // First of all it has to be a fitting of this point.
        fittings.unit(id, user.pointId());
        UUID own = joins == null ? UUID.randomUUID() : joins;
        try {
            Joinings.AnotherCar other = new Joinings.AnotherCar(own, car(user, car));
            return "redirect:/fittings/" + joinings.inAnotherCar(id, other, user.pointId(), user.author());
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("carRefused", Fittings.say(e, viewing.wording(user)));
            return "redirect:/fittings/" + id + "/riders";
        }
    }

    private Optional<SheetVersion> car(SignedIn user, String id) {
        if (id.equals(QuickCar.SHEET)) {
            return Optional.empty();
        }
        List<SheetSummary> cars = shelf.cars(user.pointId());
        return Optional.of(cars.stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .map(each -> new SheetVersion(each.id(), each.version()))
                .orElseThrow(() -> RefusedEntryException.fields(List.of(
                        id.isBlank()
                                ? new FieldProblem("car", "", "NEEDED", "", "")
                                : FieldProblem.notAmong(
                                        "car",
                                        id,
                                        cars.stream().map(each -> each.title()).toList())))));
    }

    private SheetVersion sheet(SignedIn user, String id) {
        if (id.equals(QuickSeat.SHEET.text())) {
            return QuickSeat.VERSION;
        }
        return shelf.seats(user.pointId()).stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .map(each -> new SheetVersion(each.id(), each.version()))
                .orElseThrow(
                        () -> RefusedEntryException.fields(List.of(new FieldProblem("seat", id, "NEEDED", "", ""))));
    }

    /** This fitting, and the same seat in other cars: nobody rides beside itself. */
    private static Set<UUID> ofThisChild(UUID id, Fittings.Planned own) {
        return Stream.concat(
                        Stream.of(id),
                        own.others().stream().filter(Fittings.Beside::sameSeat).map(Fittings.Beside::id))
                .collect(Collectors.toSet());
    }
}
