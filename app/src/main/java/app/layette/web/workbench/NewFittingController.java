package app.layette.web.workbench;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.How;
import app.layette.core.entry.QuickSeat;
import app.layette.core.evidence.SheetVersion;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.FactForm;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.Problems;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.shelf.Shelf;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** A family that walks in: child, seat, car, on one page. */
@Controller
@RequestMapping("/fittings/new")
class NewFittingController {
    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_REFERENCE = 40;

    private final Fittings fittings;
    private final Shelf shelf;
    private final Viewing viewing;

    NewFittingController(Fittings fittings, Shelf shelf, Viewing viewing) {
        this.fittings = fittings;
        this.shelf = shelf;
        this.viewing = viewing;
    }

    @GetMapping
    ModelAndView form(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields) {
        return page(user, fields, List.of());
    }

    @PostMapping
    ModelAndView begin(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam Map<String, String> fields,
            @RequestParam(required = false) MultipartFile sheet)
            throws IOException {
        Wording words = viewing.wording(user);
        List<String> problems = new ArrayList<>();
        List<EntryDraft> entries = new ArrayList<>();
        boolean comesBack = fields.containsKey("comesBack");
        checkText("reference", fields, LONGEST_REFERENCE, words, problems);
        if (!comesBack || !fields.getOrDefault("born", "").isBlank()) {
            fact(with(fields, "childDescribed"), How.TOLD, words, problems, entries);
        }
        if (!comesBack) {
            checkText("childName", fields, LONGEST_NAME, words, problems);
        }
        optional(fields, "mass", "weighed", words, problems, entries);
        optional(fields, "length", "lengthMeasured", words, problems, entries);
        Optional<SheetVersion> seat = seat(user, fields, sheet, words, problems);
        seat.ifPresent(each -> entries.add(adopt(each)));
        if (fields.getOrDefault("box", "").equals(Fact.TimeBox.BEDSIDE.name())) {
            entries.add(EntryDraft.now(How.MEASURED, 0, new Fact.BoxChosen(Fittings.UNIT, Fact.TimeBox.BEDSIDE)));
        }
        chosen(shelf.cars(user.pointId()), fields.getOrDefault("car", "")).ifPresent(each -> entries.add(adopt(each)));
        if (problems.isEmpty() && seat.isPresent()) {
            try {
                UUID id = fittings.begin(
                        new Fittings.Begin(
                                fields.get("reference").strip(),
                                fields.getOrDefault("childName", "").strip(),
                                seat.get(),
                                entries,
                                comesBack),
                        user.pointId(),
                        user.author());
                return new ModelAndView("redirect:/fittings/" + id);
            } catch (RefusedEntryException e) {
                e.problems().forEach(each -> problems.add(Problems.say(each, words)));
            }
        }
        ModelAndView page = page(user, fields, problems);
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    private static void checkText(
            String field, Map<String, String> fields, int longest, Wording words, List<String> problems) {
        String text = fields.getOrDefault(field, "").strip();
        if (text.isEmpty()) {
            problems.add(Problems.say(new FieldProblem(field, "", "NEEDED", "", ""), words));
        } else if (text.length() > longest) {
            problems.add(
                    Problems.say(new FieldProblem(field, text, "OUT_OF_RANGE", "1", longest + " characters"), words));
        }
    }

    private static void optional(
            Map<String, String> fields,
            String field,
            String kind,
            Wording words,
            List<String> problems,
            List<EntryDraft> entries) {
        if (!fields.getOrDefault(field, "").isBlank()) {
            fact(with(fields, kind), How.MEASURED, words, problems, entries);
        }
    }

    private static void fact(
            Map<String, String> fields, How how, Wording words, List<String> problems, List<EntryDraft> entries) {
        try {
            entries.add(EntryDraft.now(how, entries.size(), FactForm.read(fields)));
        } catch (RefusedEntryException e) {
            e.problems().forEach(each -> problems.add(Problems.say(each, words)));
        }
    }

    private static Map<String, String> with(Map<String, String> fields, String kind) {
        Map<String, String> all = new HashMap<>(fields);
        all.put("kind", kind);
        all.put("of", Fittings.RIDER);
        all.put("what", Fact.Dimension.BODY.name());
        return all;
    }

    private Optional<SheetVersion> seat(
            SignedIn user, Map<String, String> fields, MultipartFile sheet, Wording words, List<String> problems)
            throws IOException {
        if (sheet != null && !sheet.isEmpty()) {
            try {
                String json = new String(sheet.getBytes(), StandardCharsets.UTF_8);
                return Optional.of(shelf.takeIn(user.pointId(), json, user.author()));
            } catch (RefusedDocumentException e) {
                e.problems().forEach(each -> problems.add(sheet.getOriginalFilename() + ": " + each));
                return Optional.empty();
            }
        }
        if (fields.getOrDefault("seat", "").equals(QuickSeat.SHEET)) {
            return Optional.of(new SheetVersion(QuickSeat.SHEET, 1));
        }
        Optional<SheetVersion> seat = chosen(shelf.seats(user.pointId()), fields.getOrDefault("seat", ""));
        if (seat.isEmpty()) {
            problems.add(Problems.say(new FieldProblem("seat", "", "NEEDED", "", ""), words));
        }
        return seat;
    }

    private static Optional<SheetVersion> chosen(List<SheetSummary> sheets, String id) {
        return sheets.stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .map(each -> new SheetVersion(each.id(), each.version()));
    }

    private static EntryDraft adopt(SheetVersion sheet) {
        return EntryDraft.now(
                How.MEASURED, 0, new Fact.SheetAdopted(sheet.id(), sheet.version(), Fact.Adoption.ADOPTED, null));
    }

    private ModelAndView page(SignedIn user, Map<String, String> fields, List<String> problems) {
        ModelAndView page = new ModelAndView("workbench/new");
        page.addObject("seats", shelf.seats(user.pointId()));
        page.addObject("cars", shelf.cars(user.pointId()));
        page.addObject("typed", new LinkedHashMap<>(fields));
        page.addObject("problems", problems);
        return page;
    }
}
