package app.layette.web.writing;

import app.layette.core.evidence.SheetVersion;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.SheetReader;
import app.layette.formats.sheet.SheetField;
import app.layette.formats.sheet.SheetFields;
import app.layette.formats.sheet.SheetWork;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Tried;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.shelf.Shelf;
import java.util.ArrayList;
import java.util.List;
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
    private final Viewing viewing;

    DraftController(Shelf shelf, Tried tried, Viewing viewing) {
        this.shelf = shelf;
        this.tried = tried;
        this.viewing = viewing;
    }

    /** A field that says something else. */
    public record Changed(String name, String before, String after) {}

    /** A fitting that would come out otherwise, and in what. */
    public record Fitting(UUID id, String child, String reference, List<String> changes) {}

    @GetMapping("/changes")
    String changes(
            @AuthenticationPrincipal SignedIn user, @PathVariable String id, @PathVariable int version, Model model) {
        fill(user, new SheetVersion(id, version), model);
        return "writing/changes";
    }

    private void fill(SignedIn user, SheetVersion version, Model model) {
        Wording words = viewing.wording(user);
        SheetWork draft = document(user, version);
        Optional<SheetSummary> confirmed = shelf.seats(user.pointId()).stream()
                .filter(each -> each.id().equals(version.id()) && each.confirmed())
                .findFirst();
        Optional<SheetWork> before = confirmed.map(each -> document(user, new SheetVersion(each.id(), each.version())));
        Optional<SheetSummary> waiting = shelf.waiting(user.pointId()).stream()
                .filter(each -> each.id().equals(version.id()) && each.version() == version.version())
                .findFirst();
        SeatSheet sheet = SheetReader.keptSeat(draft.json());
        model.addAttribute("draft", version);
        model.addAttribute("title", draft.title());
        model.addAttribute("beside", confirmed.map(SheetSummary::version).orElse(0));
        model.addAttribute("changed", changed(before, draft, words));
        model.addAttribute(
                "fittings",
                tried.bySheet(viewing.point(user), sheet).stream()
                        .map(each -> fitting(each, words))
                        .toList());
        model.addAttribute("writer", waiting.map(SheetSummary::importedBy).orElse(""));
        model.addAttribute(
                "confirming",
                shelf.confirming(user.pointId(), version, user.author()).name());
    }

    private SheetWork document(SignedIn user, SheetVersion version) {
        return shelf.document(user.pointId(), version)
                .filter(json -> json.contains("\"identity\""))
                .map(SheetWork::of)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    private static List<Changed> changed(Optional<SheetWork> before, SheetWork after, Wording words) {
        List<Changed> changed = new ArrayList<>();
        for (SheetField field : SheetFields.all()) {
            String was = before.map(each -> whole(each, field)).orElse("");
            String is = whole(after, field);
            if (!was.equals(is)) {
                changed.add(new Changed(
                        WritingPage.name(field, words),
                        before.map(each -> said(each, field, words)).orElse(""),
                        said(after, field, words)));
            }
        }
        return changed;
    }

    /** Everything that a field says, its source too. */
    private static String whole(SheetWork work, SheetField field) {
        return work.state(field) + " " + work.value(field).map(Object::toString).orElse("") + " " + work.source(field);
    }

    private static String said(SheetWork work, SheetField field, Wording words) {
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
            return new ModelAndView("redirect:/shelf");
        } catch (RefusedDocumentException e) {
            fill(user, new SheetVersion(id, version), model);
            model.addAttribute("problems", e.problems());
            return new ModelAndView("writing/changes", model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
    }
}
