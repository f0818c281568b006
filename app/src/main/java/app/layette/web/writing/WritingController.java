package app.layette.web.writing;

import app.layette.core.evidence.SheetVersion;
import app.layette.core.finding.Argument;
import app.layette.core.practice.Practice;
import app.layette.core.seat.SeatKind;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.sheet.FieldForm;
import app.layette.formats.sheet.SheetField;
import app.layette.formats.sheet.SheetFields;
import app.layette.formats.sheet.SheetGaps;
import app.layette.formats.sheet.SheetWork;
import app.layette.formats.svg.CarrierPicture;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.practice.Profiles;
import app.layette.web.shelf.Shelf;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** Writing a seat sheet on the drawing of the restraint. */
@Controller
@RequestMapping("/sheets/writing")
class WritingController {
    private static final String SILENT = "silent";
    private static final String NOBODY = "nobody";
    private static final String PLACE = "place";
    private static final int LONGEST_PLACE = 120;
    private static final List<String> HOW = List.of("manual", "label", "tape", SILENT, NOBODY);

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
            SheetDrafts.Naming naming =
                    new SheetDrafts.Naming(fields.get("maker"), fields.get("name"), fields.get("modelNumber"));
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
        Answer answer = new Answer(at, fields);
        if (!answer.problems().isEmpty()) {
            WritingPage.Typed typed = new WritingPage.Typed(fields);
            ModelAndView page = new ModelAndView("writing/work", HttpStatus.UNPROCESSABLE_CONTENT);
            page.addObject("work", WritingPage.of(work, field, Optional.of(typed), viewing.wording(user)));
            page.addObject("problems", said(answer.problems(), at, viewing.wording(user)));
            return page;
        }
        drafts.change(user.pointId(), id, user.author(), sheet -> keep(sheet, answer, user));
        SheetWork after = work(user, id);
        String next = WritingPage.nextAddress(after, at).orElse(WritingPage.address(id, at));
        return new ModelAndView("redirect:" + next);
    }

    private static List<String> said(List<FieldForm.Problem> problems, SheetField at, Wording words) {
        return problems.stream()
                .map(each -> each.says(
                        each.box().equals(PLACE) ? words.say("page.writing.where") : WritingPage.name(at, words),
                        words))
                .toList();
    }

    private void keep(SheetWork sheet, Answer answer, SignedIn user) {
        SheetField at = answer.field();
        String today = viewing.today(viewing.point(user)).toString();
        String source = answer.source(today, user.displayName());
        if (answer.isForgotten()) {
            sheet.forget(at);
        } else if (answer.isSilent()) {
            sheet.silent(at, source);
        } else {
            boolean asItStood = sheet.value(at)
                    .filter(value -> FieldForm.isAsItStood(at.shape(), value, answer.fields()))
                    .isPresent();
            sheet.put(
                    at,
                    asItStood ? sheet.value(at).orElseThrow() : answer.value().orElseThrow(),
                    source);
        }
        if (at.evidence() && !answer.isForgotten()) {
            Wording words = viewing.wording(user);
            SheetDrafts.Said said = new SheetDrafts.Said(
                    words.say("sheet.kept.manual", Map.of("title", Argument.of(sheet.title()))),
                    words.say("sheet.kept.label"),
                    words.say("sheet.kept.tape"));
            SheetDrafts.name(sheet, at, source, said, today, user.displayName());
        }
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
        drafts.drop(user.pointId(), id);
        return "redirect:/shelf";
    }

    /** What one form said of one field. */
    private static final class Answer {
        private final SheetField field;
        private final Map<String, String> fields;
        private final String how;
        private final FieldForm.Read read;
        private final boolean none;

        Answer(SheetField field, Map<String, String> fields) {
            this.field = field;
            this.fields = fields;
            this.how = fields.getOrDefault("how", "manual");
            this.none = fields.containsKey("none");
            this.read = FieldForm.read(field.shape(), fields);
        }

        SheetField field() {
            return field;
        }

        Map<String, String> fields() {
            return fields;
        }

        boolean isForgotten() {
            boolean emptied = !field.evidence() && read.value().isEmpty();
            return field.evidence() && how.equals(NOBODY) || emptied;
        }

        boolean isSilent() {
            return field.evidence() && how.equals(SILENT);
        }

        Optional<JsonNode> value() {
            return none ? Optional.of(JsonNodeFactory.instance.arrayNode()) : read.value();
        }

        /** Where it stands, as a document writes it. */
        String source(String today, String reader) {
            String place = fields.getOrDefault(PLACE, "").strip();
            String key = how.equals(SILENT) ? "manual" : how;
            return key.equals("tape") ? "tape " + today + " " + reader : (key + " " + place).strip();
        }

        List<FieldForm.Problem> problems() {
            if (!HOW.contains(how)) {
                return List.of(new FieldForm.Problem("how", how, FieldForm.Allowed.ONE_OF, String.join(", ", HOW), ""));
            }
            if (isForgotten() && field.evidence()) {
                return List.of();
            }
            List<FieldForm.Problem> problems = new ArrayList<>(isSilent() || none ? List.of() : read.problems());
            if (isForgotten()) {
                boolean naming = field.pointer().matches("/identity/(maker|name|modelNumbers)");
                if (naming && problems.isEmpty()) {
                    problems.add(new FieldForm.Problem(FieldForm.ROOT, "", FieldForm.Allowed.SOMETHING));
                }
                return problems;
            }
            String place = fields.getOrDefault(PLACE, "").strip();
            boolean needsPage = field.evidence() && (how.equals("manual") || how.equals(SILENT));
            if (needsPage && place.isEmpty() || place.length() > LONGEST_PLACE) {
                problems.add(new FieldForm.Problem(PLACE, place, FieldForm.Allowed.PAGE));
            }
            if (!isSilent()
                    && !none
                    && read.value().isEmpty()
                    && read.problems().isEmpty()) {
                problems.add(new FieldForm.Problem(FieldForm.ROOT, "", FieldForm.Allowed.SOMETHING));
            }
            return problems;
        }
    }
}
