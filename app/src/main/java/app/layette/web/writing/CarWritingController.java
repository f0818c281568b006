package app.layette.web.writing;

import app.layette.core.entry.QuickCar;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.practice.Practice;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.sheet.CarField;
import app.layette.formats.sheet.CarGaps;
import app.layette.formats.sheet.CarWork;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.shelf.Shelf;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Writing a vehicle sheet on the plan of the car. */
@Controller
@RequestMapping("/sheets/cars")
class CarWritingController {
    private static final List<String> USUAL = List.of("1-RIGHT", "2-LEFT", "2-MIDDLE", "2-RIGHT");
    private static final int MOST_SEATS = 6;

    private final CarDrafts drafts;
    private final Shelf shelf;
    private final Fittings fittings;
    private final Viewing viewing;
    private final Profiles profiles;

    CarWritingController(CarDrafts drafts, Shelf shelf, Fittings fittings, Viewing viewing, Profiles profiles) {
        this.drafts = drafts;
        this.shelf = shelf;
        this.fittings = fittings;
        this.viewing = viewing;
        this.profiles = profiles;
    }

    /** A place that the car may have. */
    public record PlaceTile(String id, String name, boolean chosen) {}

    @GetMapping
    String begin(@AuthenticationPrincipal SignedIn user, Model model) {
        beginning(user, Map.of(), USUAL, List.of(), model);
        return "writing/new-car";
    }

    private void beginning(
            SignedIn user, Map<String, String> typed, List<String> chosen, List<String> problems, Model model) {
        model.addAttribute(
                "places",
                CarPage.places(viewing.wording(user)).stream()
                        .map(each -> new PlaceTile(each.id(), each.name(), chosen.contains(each.id())))
                        .toList());
        model.addAttribute("inWork", drafts.of(user.pointId()));
        model.addAttribute("typed", typed);
        model.addAttribute("refused", problems);
    }

    @PostMapping
    ModelAndView begin(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam Map<String, String> fields,
            @RequestParam(defaultValue = "") List<String> places,
            Model model) {
        try {
            List<PositionId> known = CarPage.places(viewing.wording(user)).stream()
                    .filter(each -> places.contains(each.id()))
                    .map(each -> PositionId.parse(each.id()))
                    .toList();
            String id = drafts.begin(user.pointId(), fields, known, user.author());
            return new ModelAndView("redirect:/sheets/cars/" + id);
        } catch (NamingRefusedException e) {
            Wording words = viewing.wording(user);
            beginning(
                    user, fields, places, e.problems().stream().map(words::say).toList(), model);
            return new ModelAndView("writing/new-car", model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
    }

    /** A car that was looked at in a fitting without a sheet begins one. */
    @PostMapping("/from/{fitting}")
    String fromFitting(@AuthenticationPrincipal SignedIn user, @PathVariable UUID fitting) {
        Wording words = viewing.wording(user);
        VehicleSheet seen = fittings.planned(fitting, user.pointId())
                .plan()
                .situation()
                .car()
                .filter(car -> car.sheet().id().equals(QuickCar.SHEET))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        String id = drafts.beginFrom(
                user.pointId(), seen, words.say("carSheet.seenInAFitting"), user.displayName(), user.author());
        return "redirect:/sheets/cars/" + id;
    }

    /** The next version of a sheet of the shelf. */
    @PostMapping("/{id}/open")
    String reopen(@AuthenticationPrincipal SignedIn user, @PathVariable String id) {
        if (!drafts.reopen(user.pointId(), id, user.author())) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return "redirect:/sheets/cars/" + id;
    }

    @GetMapping("/{id}")
    String work(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String field,
            Model model) {
        model.addAttribute("work", CarPage.of(work(user, id), field, Optional.empty(), viewing.wording(user)));
        return "writing/car";
    }

    private CarWork work(SignedIn user, String id) {
        return drafts.one(user.pointId(), id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /** One field: what it says and how it is known, that nothing is said there, or that nobody looked after all. */
    @PostMapping("/{id}")
    ModelAndView change(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable String id,
            @RequestParam String field,
            @RequestParam Map<String, String> fields) {
        Wording words = viewing.wording(user);
        CarWork work = work(user, id);
        CarField at = CarPage.at(work, field).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        FieldAnswer answer = new FieldAnswer(at, fields);
        if (!answer.problems().isEmpty()) {
            ModelAndView page = new ModelAndView("writing/car", HttpStatus.UNPROCESSABLE_CONTENT);
            page.addObject("work", CarPage.of(work, field, Optional.of(new WritingPage.Typed(fields)), words));
            page.addObject("problems", answer.said(CarPage.name(at, words), words));
            return page;
        }
        String today = viewing.today(viewing.point(user)).toString();
        drafts.change(
                user.pointId(), id, user.author(), sheet -> answer.keepIn(sheet, words, today, user.displayName()));
        CarWork after = work(user, id);
        CarField next = CarPage.missing(after, at).orElse(at);
        return new ModelAndView("redirect:" + CarPage.address(id, next));
    }

    /** A place that the car has too. */
    @PostMapping("/{id}/places")
    String addPlace(@AuthenticationPrincipal SignedIn user, @PathVariable String id, @RequestParam String place) {
        PositionId added = place(user, id, place);
        drafts.change(user.pointId(), id, user.author(), sheet -> sheet.add(added));
        return "redirect:" + CarPage.address(id, firstOf(work(user, id), added));
    }

    /** A place that it has not. */
    @PostMapping("/{id}/places/remove")
    String removePlace(@AuthenticationPrincipal SignedIn user, @PathVariable String id, @RequestParam String place) {
        PositionId gone = place(user, id, place);
        drafts.change(user.pointId(), id, user.author(), sheet -> sheet.remove(gone));
        return "redirect:/sheets/cars/" + id;
    }

    private static CarField firstOf(CarWork work, PositionId place) {
        return work.fields().stream()
                .filter(each -> each.place().filter(place::equals).isPresent())
                .findFirst()
                .orElseThrow();
    }

    private PositionId place(SignedIn user, String id, String place) {
        work(user, id);
        return CarPage.places(viewing.wording(user)).stream()
                .filter(each -> each.id().equals(place))
                .map(each -> PositionId.parse(each.id()))
                .findFirst()
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.BAD_REQUEST));
    }

    /** What it would leave unknown with the restraints of this shelf: planned for itself, so that nobody waits for it. */
    @GetMapping("/{id}/unknown")
    String unknown(@AuthenticationPrincipal SignedIn user, @PathVariable String id, Model model) {
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        Practice practice = new Practice(profiles.current(point), point.lawCountry(), point.zone());
        CarWork work = work(user, id);
        List<app.layette.core.seat.SeatSheet> seats = shelf.seats(user.pointId()).stream()
                .filter(SheetSummary::confirmed)
                .flatMap(each -> shelf.newestSeat(user.pointId(), each.id()).stream())
                .limit(MOST_SEATS)
                .toList();
        model.addAttribute(
                "gaps",
                work.sheet()
                        .map(sheet -> CarGaps.of(sheet, seats, practice, viewing.today(point)))
                        .map(gaps -> WritingGaps.ofCar(work, gaps, words))
                        .orElse(null));
        return "writing/car :: unknown";
    }

    @PostMapping("/{id}/finish")
    ModelAndView finish(@AuthenticationPrincipal SignedIn user, @PathVariable String id, RedirectAttributes flash) {
        try {
            SheetVersion version = drafts.toShelf(user.pointId(), id, user.author());
            flash.addFlashAttribute("taken", version.toString());
            return new ModelAndView("redirect:/cars");
        } catch (RefusedDocumentException e) {
            ModelAndView page = new ModelAndView("writing/car", HttpStatus.UNPROCESSABLE_CONTENT);
            page.addObject("work", CarPage.of(work(user, id), "", Optional.empty(), viewing.wording(user)));
            page.addObject("problems", e.problems());
            return page;
        }
    }

    @PostMapping("/{id}/drop")
    String drop(@AuthenticationPrincipal SignedIn user, @PathVariable String id) {
        if (!drafts.drop(user.pointId(), id)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return "redirect:/cars";
    }
}
