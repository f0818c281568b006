package app.layette.web.shelf;

import app.layette.core.evidence.SheetVersion;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.shell.Page;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.ExtendedModelMap;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Lists of sheets, and bringing one in. */
@Controller
class ShelfController {
    private static final int A_PAGE = 100;

    private final Shelf shelf;
    private final Viewing viewing;

    ShelfController(Shelf shelf, Viewing viewing) {
        this.viewing = viewing;
        this.shelf = shelf;
    }

    @GetMapping("/shelf")
    String seats(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        list(false, user, find, page, model);
        return "shelf/list";
    }

    @GetMapping("/cars")
    String cars(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        list(true, user, find, page, model);
        return "shelf/list";
    }

    private void list(boolean cars, SignedIn user, String find, int number, Model model) {
        String wanted = find.strip().toLowerCase(Locale.ROOT);
        List<SheetSummary> found = (cars ? shelf.cars(user.pointId()) : shelf.seats(user.pointId()))
                .stream()
                        .filter(each -> (each.title() + " " + each.id())
                                .toLowerCase(Locale.ROOT)
                                .contains(wanted))
                        .toList();
        model.addAttribute("kind", cars ? "cars" : "shelf");
        model.addAttribute("find", find.strip());
        Page<SheetSummary> page = Page.of(found, number, A_PAGE);
        model.addAttribute("page", page);
        model.addAttribute("drawn", drawn(cars, user, page.items()));
        model.addAttribute("waiting", cars ? shelf.waitingCars(user.pointId()) : shelf.waiting(user.pointId()));
    }

    @GetMapping("/sheets/{id}.json")
    ResponseEntity<String> document(@AuthenticationPrincipal SignedIn user, @PathVariable String id) {
        return shelf.document(user.pointId(), id)
                .map(json -> ResponseEntity.ok()
                        .contentType(MediaType.APPLICATION_JSON)
                        .body(json))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    /** Takes a draft off again. */
    @PostMapping("/sheets/{id}/{version}/drop")
    ModelAndView drop(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable String id,
            @PathVariable int version,
            @RequestParam("kind") String kind,
            RedirectAttributes flash) {
        boolean cars = kind.equals("cars");
        try {
            shelf.drop(user.pointId(), id, version, user.author());
            flash.addFlashAttribute("dropped", id + " " + version);
            return new ModelAndView("redirect:/" + (cars ? "cars" : "shelf"));
        } catch (RefusedDocumentException e) {
            return refused(user, cars, id + " " + version, e);
        }
    }

    private ModelAndView refused(SignedIn user, boolean cars, String file, RefusedDocumentException e) {
        ModelAndView page = new ModelAndView("shelf/list", HttpStatus.UNPROCESSABLE_CONTENT);
        Model listed = new ExtendedModelMap();
        list(cars, user, "", 1, listed);
        page.addAllObjects(listed.asMap());
        page.addObject("file", file);
        page.addObject("problems", List.copyOf(e.problems()));
        return page;
    }

    /** What the browser called it; empty where it said nothing. */
    private static String nameOf(MultipartFile file) {
        return Objects.requireNonNullElse(file.getOriginalFilename(), "");
    }

    @PostMapping("/sheets")
    ModelAndView takeIn(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam("sheet") List<MultipartFile> files,
            @RequestParam("kind") String kind,
            RedirectAttributes flash)
            throws IOException {
        boolean cars = kind.equals("cars");
        String names = files.stream().map(ShelfController::nameOf).collect(Collectors.joining(", "));
        try {
            List<ShelfBundle.Named> documents = new ArrayList<>();
            for (MultipartFile file : files) {
                documents.addAll(ShelfBundle.read(nameOf(file), file.getBytes()));
            }
            List<SheetVersion> taken = shelf.takeInAll(user.pointId(), documents, user.author());
            flash.addFlashAttribute(
                    "taken", taken.stream().map(SheetVersion::toString).collect(Collectors.joining(", ")));
            return new ModelAndView("redirect:/" + (cars ? "cars" : "shelf"));
        } catch (RefusedDocumentException e) {
            return refused(user, cars, names, e);
        }
    }

    /** Every sheet of this point in one file, which can be brought in again here or at another point. */
    @GetMapping("/sheets.zip")
    ResponseEntity<byte[]> all(@AuthenticationPrincipal SignedIn user) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"sheets.zip\"")
                .body(ShelfBundle.write(shelf.documents(user.pointId())));
    }

    /** A sheet with its drawing. */
    public record Drawn(SheetSummary sheet, String picture) {}

    private List<Drawn> drawn(boolean cars, SignedIn user, List<SheetSummary> shown) {
        Wording words = viewing.wording(user);
        return shown.stream()
                .map(each -> new Drawn(
                        each,
                        cars
                                ? shelf.newestCar(user.pointId(), each.id())
                                        .map(car -> shelf.pictures().car(user.pointId(), car, words))
                                        .orElse("")
                                : shelf.newestSeat(user.pointId(), each.id())
                                        .map(seat -> shelf.pictures().seat(user.pointId(), seat))
                                        .orElse("")))
                .toList();
    }
}
