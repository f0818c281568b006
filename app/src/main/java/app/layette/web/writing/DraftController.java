package app.layette.web.writing;

import app.layette.core.evidence.SheetVersion;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.SheetReader;
import app.layette.formats.sheet.CarWork;
import app.layette.formats.sheet.SheetFields;
import app.layette.formats.sheet.SheetWork;
import app.layette.formats.sheet.WorkingSheet;
import app.layette.formats.sheet.WrittenField;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.Tried;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.shelf.Shelf;
import app.layette.web.stock.Stock;
import app.layette.web.stock.StockSeat;
import java.util.ArrayList;
import java.util.LinkedHashMap;
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
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A draft on the shelf: what it changes, which open fittings would come out otherwise, and confirming it. */
@Controller
@RequestMapping("/sheets/{id}/{version}")
class DraftController {
    private final Shelf shelf;
    private final Tried tried;
    private final Stock stock;
    private final Fittings fittings;
    private final Viewing viewing;

    DraftController(Shelf shelf, Tried tried, Stock stock, Fittings fittings, Viewing viewing) {
        this.stock = stock;
        this.fittings = fittings;
        this.shelf = shelf;
        this.tried = tried;
        this.viewing = viewing;
    }

    /** A field that says something else. */
    public record Changed(String name, String before, String after) {}

    /** A fitting that would come out otherwise, and in what. */
    public record Fitting(UUID id, String child, String reference, List<String> changes) {}

    /** A seat of this sheet that is lent, and to whom. */
    public record Lent(String serial, UUID fitting, String whose) {}

    private String whose(SignedIn user, StockSeat seat) {
        Fittings.Planned with = fittings.planned(seat.fitting().orElseThrow(), user.pointId());
        return with.childName() + " " + with.reference();
    }

    @GetMapping("/changes")
    String changes(
            @AuthenticationPrincipal SignedIn user, @PathVariable String id, @PathVariable int version, Model model) {
        fill(user, new SheetVersion(id, version), model);
        return "writing/changes";
    }

    private void fill(SignedIn user, SheetVersion version, Model model) {
        Wording words = viewing.wording(user);
        WorkingSheet draft = document(user, version);
        boolean isCar = draft instanceof CarWork;
        Optional<SheetSummary> confirmed = (isCar ? shelf.cars(user.pointId()) : shelf.seats(user.pointId()))
                .stream()
                        .filter(each -> each.id().equals(version.id()) && each.confirmed())
                        .findFirst();
        Optional<WorkingSheet> before =
                confirmed.map(each -> document(user, new SheetVersion(each.id(), each.version())));
        Optional<SheetSummary> waiting = (isCar ? shelf.waitingCars(user.pointId()) : shelf.waiting(user.pointId()))
                .stream()
                        .filter(each -> each.id().equals(version.id()) && each.version() == version.version())
                        .findFirst();
        model.addAttribute("draft", version);
        model.addAttribute("title", draft.title());
        model.addAttribute("beside", confirmed.map(SheetSummary::version).orElse(0));
        model.addAttribute("changed", changed(before, draft, words));
        model.addAttribute(
                "fittings",
                otherwise(user, draft).stream()
                        .map(each -> fitting(each, words))
                        .toList());
        model.addAttribute(
                "lent",
                stock.lent(user.pointId(), version.id()).stream()
                        .map(seat -> new Lent(seat.serial(), seat.fitting().orElseThrow(), whose(user, seat)))
                        .toList());
        model.addAttribute("writer", waiting.map(SheetSummary::importedBy).orElse(""));
        model.addAttribute(
                "confirming",
                shelf.confirming(user.pointId(), version, user.author()).name());
    }

    private List<Tried.Otherwise> otherwise(SignedIn user, WorkingSheet draft) {
        return draft instanceof CarWork
                ? tried.byCar(viewing.point(user), SheetReader.keptVehicle(draft.json()))
                : tried.bySheet(viewing.point(user), SheetReader.keptSeat(draft.json()));
    }

    private WorkingSheet document(SignedIn user, SheetVersion version) {
        return shelf.document(user.pointId(), version)
                .<WorkingSheet>map(json -> Shelf.isCar(json) ? CarWork.of(json) : SheetWork.of(json))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static List<Changed> changed(Optional<WorkingSheet> before, WorkingSheet after, Wording words) {
        List<Changed> changed = new ArrayList<>();
        names(before, after, words).forEach((field, name) -> {
            String was = before.map(each -> whole(each, field)).orElse("");
            String is = whole(after, field);
            if (!was.equals(is)) {
                changed.add(new Changed(
                        name, before.map(each -> said(each, field, words)).orElse(""), said(after, field, words)));
            }
        });
        return changed;
    }

    /** Every field of both, with its name; a place that is gone stands there too. */
    private static Map<WrittenField, String> names(Optional<WorkingSheet> before, WorkingSheet after, Wording words) {
        Map<WrittenField, String> names = new LinkedHashMap<>();
        if (after instanceof CarWork car) {
            car.fields().forEach(field -> names.put(field, CarPage.name(field, words)));
            before.ifPresent(each ->
                    ((CarWork) each).fields().forEach(field -> names.put(field, CarPage.name(field, words))));
        } else {
            SheetFields.all().forEach(field -> names.put(field, WritingPage.name(field, words)));
        }
        return names;
    }

    /** Everything that a field says, its source too. */
    private static String whole(WorkingSheet work, WrittenField field) {
        return work.state(field) + " " + work.value(field).map(Object::toString).orElse("") + " " + work.source(field);
    }

    private static String said(WorkingSheet work, WrittenField field, Wording words) {
        String text = WritingPage.text(work, field, words);
        String source = work.source(field);
        return source.isEmpty() ? text : text + " (" + source + ")";
    }

    private static Fitting fitting(Tried.Otherwise otherwise, Wording words) {
        return new Fitting(otherwise.id(), otherwise.child(), otherwise.reference(), otherwise.says(words));
    }

    /** The second person, with the manual in hand. */
    @PostMapping("/confirm")
    ModelAndView confirm(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable String id,
            @PathVariable int version,
            Model model,
            RedirectAttributes flash) {
        try {
            SheetVersion confirmed = shelf.confirm(user.pointId(), new SheetVersion(id, version), user.author());
            flash.addFlashAttribute("taken", confirmed.toString());
            return new ModelAndView(
                    shelf.document(user.pointId(), confirmed)
                                    .filter(Shelf::isCar)
                                    .isPresent()
                            ? "redirect:/cars"
                            : "redirect:/shelf");
        } catch (RefusedDocumentException e) {
            fill(user, new SheetVersion(id, version), model);
            model.addAttribute("problems", e.problems());
            return new ModelAndView("writing/changes", model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
    }
}
