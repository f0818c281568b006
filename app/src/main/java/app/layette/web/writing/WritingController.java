package app.layette.web.writing;

import app.layette.core.evidence.SheetVersion;
import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatKind;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.sheet.FieldForm;
import app.layette.formats.sheet.Shape;
import app.layette.formats.sheet.SheetField;
import app.layette.formats.sheet.SheetFields;
import app.layette.formats.sheet.SheetGaps;
import app.layette.formats.sheet.SheetWork;
import app.layette.formats.svg.CarrierPicture;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.label.LabelReader;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.Shelf;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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

/** Writing a seat sheet on the drawing of the restraint. */
@Controller
@RequestMapping("/sheets/writing")
class WritingController {
    private final SheetDrafts drafts;
    private final Shelf shelf;
    private final Viewing viewing;
    private final Profiles profiles;

    WritingController(SheetDrafts drafts, Shelf shelf, Viewing viewing, Profiles profiles) {
        this.drafts = drafts;
        this.shelf = shelf;
        this.viewing = viewing;
        this.profiles = profiles;
    }

    /** A kind of restraint to choose, drawn. */
    public record KindTile(String kind, String name, String picture) {}

    /** A sheet to begin from. */
    public record From(String id, String title) {}

    @GetMapping
    String begin(@AuthenticationPrincipal SignedIn user, Model model) {
        beginning(user, Map.of(), List.of(), model);
        return "writing/new";
    }

    private void beginning(SignedIn user, Map<String, String> typed, List<String> problems, Model model) {
        Wording words = viewing.wording(user);
        model.addAttribute(
                "kinds",
                Arrays.stream(SeatKind.values())
                        .map(kind -> new KindTile(
                                kind.name(),
                                words.say("seatKind." + kind),
                                CarrierPicture.of(SheetWork.begin(kind, "drawn-only", "a", "b", "c")
                                        .sheet()
                                        .orElseThrow())))
                        .toList());
        model.addAttribute(
                "shelf",
                shelf.seats(user.pointId()).stream()
                        .map(each -> new From(each.id(), each.title()))
                        .toList());
        model.addAttribute(
                "inWork",
                drafts.of(user.pointId()).stream()
                        .map(each -> new From(each.id(), each.title()))
                        .toList());
        model.addAttribute("typed", typed);
        model.addAttribute("refused", problems);
    }

    @PostMapping
    ModelAndView begin(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields, Model model) {
        try {
            SeatKind kind = Arrays.stream(SeatKind.values())
                    .filter(each -> each.name().equals(fields.get("kind")))
                    .findFirst()
                    .orElse(SeatKind.REAR_FACING_ONLY);
            SheetDrafts.Naming naming = new SheetDrafts.Naming(
                    fields.getOrDefault("maker", ""),
                    fields.getOrDefault("name", ""),
                    fields.getOrDefault("modelNumber", ""));
            String id = drafts.begin(user.pointId(), kind, naming, fields.getOrDefault("from", ""), user.author());
            return new ModelAndView("redirect:/sheets/writing/" + id);
        } catch (NamingRefusedException e) {
            Wording words = viewing.wording(user);
            beginning(user, fields, e.problems().stream().map(words::say).toList(), model);
            return new ModelAndView("writing/new", model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
    }

    /** The next version of a sheet of the shelf. */
    @PostMapping("/{id}/open")
    String reopen(@AuthenticationPrincipal SignedIn user, @PathVariable String id) {
        if (!drafts.reopen(user.pointId(), id, user.author())) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return "redirect:/sheets/writing/" + id;
    }

    @GetMapping("/{id}")
    String work(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable String id,
            @RequestParam(defaultValue = "") String field,
            Model model) {
        model.addAttribute("work", WritingPage.of(work(user, id), field, Optional.empty(), viewing.wording(user)));
        return "writing/work";
    }

    private SheetWork work(SignedIn user, String id) {
        return drafts.one(user.pointId(), id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    }

    /** One field: what it says and how it is known, that nothing is said there, or that nobody looked after all. */
    @PostMapping("/{id}")
    ModelAndView change(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable String id,
            @RequestParam String field,
            @RequestParam Map<String, String> fields) {
        SheetWork work = work(user, id);
        SheetField at = SheetFields.at(field)
                .filter(each -> SheetFields.of(work.kind()).contains(each))
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        FieldAnswer answer = new FieldAnswer(at, fields);
        if (!answer.problems().isEmpty()) {
            WritingPage.Typed typed = new WritingPage.Typed(fields);
            ModelAndView page = new ModelAndView("writing/work", HttpStatus.UNPROCESSABLE_CONTENT);
            page.addObject("work", WritingPage.of(work, field, Optional.of(typed), viewing.wording(user)));
            page.addObject("problems", answer.said(WritingPage.name(at, viewing.wording(user)), viewing.wording(user)));
            return page;
        }
        drafts.change(user.pointId(), id, user.author(), sheet -> keep(sheet, answer, user));
        SheetWork after = work(user, id);
        String next = WritingPage.nextAddress(after, at).orElse(WritingPage.address(id, at));
        return new ModelAndView("redirect:" + next);
    }

    /** What a photographed label says, as far as a hand confirmed it. */
    @PostMapping("/{id}/label")
    ModelAndView label(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable String id,
            @RequestParam(defaultValue = "") List<String> take,
            @RequestParam Map<String, String> fields) {
        SheetWork work = work(user, id);
        List<FieldAnswer> answers = new ArrayList<>();
        List<String> problems = new ArrayList<>();
        LabelReader.inASheet(fields, take).forEach((pointer, value) -> {
            SheetField at = SheetFields.at(pointer).orElseThrow();
            FieldAnswer answer = new FieldAnswer(at, Map.of(FieldForm.ROOT, besides(work, at, value), "how", "label"));
            answers.add(answer);
            Wording words = viewing.wording(user);
            problems.addAll(answer.said(WritingPage.name(at, words), words));
        });
        if (!problems.isEmpty()) {
            ModelAndView page = new ModelAndView("writing/work", HttpStatus.UNPROCESSABLE_CONTENT);
            page.addObject("work", WritingPage.of(work(user, id), "", Optional.empty(), viewing.wording(user)));
            page.addObject("problems", problems);
            return page;
        }
        drafts.change(user.pointId(), id, user.author(), sheet -> answers.forEach(each -> keep(sheet, each, user)));
        return new ModelAndView("redirect:/sheets/writing/" + id);
    }

    /** A list keeps what it says already: another label of the same model adds to it. */
    private static String besides(SheetWork work, SheetField at, String value) {
        if (!(at.shape() instanceof Shape.Several)) {
            return value;
        }
        String there = work.value(at)
                .map(said -> FieldForm.write(at.shape(), said).getOrDefault(FieldForm.ROOT, ""))
                .orElse("");
        return Stream.concat(there.lines(), value.lines())
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .distinct()
                .collect(Collectors.joining("\n"));
    }

    private void keep(SheetWork sheet, FieldAnswer answer, SignedIn user) {
        String today = viewing.today(viewing.point(user)).toString();
        answer.keepIn(sheet, viewing.wording(user), today, user.displayName());
    }

    /** What it would leave unknown: planned for itself, so that nobody waits for it. */
    @GetMapping("/{id}/unknown")
    String unknown(@AuthenticationPrincipal SignedIn user, @PathVariable String id, Model model) {
        Wording words = viewing.wording(user);
        LocalDate today = viewing.today(viewing.point(user));
        Point point = viewing.point(user);
        Practice practice = new Practice(profiles.current(point), point.lawCountry(), point.zone());
        SheetWork work = work(user, id);
        model.addAttribute(
                "gaps",
                work.sheet()
                        .map(sheet -> SheetGaps.of(sheet, practice, today))
                        .map(gaps -> WritingGaps.of(work, gaps, words))
                        .orElse(null));
        return "writing/work :: unknown";
    }

    @PostMapping("/{id}/finish")
    ModelAndView finish(@AuthenticationPrincipal SignedIn user, @PathVariable String id, RedirectAttributes flash) {
        try {
            SheetVersion version = drafts.toShelf(user.pointId(), id, user.author());
            flash.addFlashAttribute("taken", version.toString());
            return new ModelAndView("redirect:/shelf");
        } catch (RefusedDocumentException e) {
            ModelAndView page = new ModelAndView("writing/work", HttpStatus.UNPROCESSABLE_CONTENT);
            page.addObject("work", WritingPage.of(work(user, id), "", Optional.empty(), viewing.wording(user)));
            page.addObject("problems", e.problems());
            return page;
        }
    }

    @PostMapping("/{id}/drop")
    String drop(@AuthenticationPrincipal SignedIn user, @PathVariable String id) {
        if (!drafts.drop(user.pointId(), id)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return "redirect:/shelf";
    }
}
