package app.layette.web.ward;

import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.QuickSeat;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.finding.Argument;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.fhir.MeasuresBundle;
import app.layette.formats.fhir.Newborn;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Beginnings;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.shelf.Shelf;
import app.layette.web.shell.TypedText;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;

/** Newborns from the ward: a file, or asked of its server by number; then a fitting is begun with one. */
@Controller
class BroughtInController {
    /** Which of those that wait was typed about. */
    private static final String OF = "of";

    private static final int LONGEST_NUMBER = 40;
    private static final int LONGEST_REFERENCE = 40;
    private static final int LONGEST_NAME = 80;
    private static final int DAYS_A_WEEK = 7;

    private final BroughtIn broughtIn;
    private final WardClient client;
    private final WardServer server;
    private final Fittings fittings;
    private final Beginnings beginnings;
    private final Shelf shelf;
    private final Viewing viewing;

    BroughtInController(
            BroughtIn broughtIn,
            WardClient client,
            WardServer server,
            Fittings fittings,
            Beginnings beginnings,
            Shelf shelf,
            Viewing viewing) {
        this.broughtIn = broughtIn;
        this.client = client;
        this.server = server;
        this.fittings = fittings;
        this.beginnings = beginnings;
        this.shelf = shelf;
        this.viewing = viewing;
    }

    /**
     * One that waits, in words.
     *
     * @param ready whether a fitting can be begun with it
     */
    public record Line(UUID id, String given, String says, boolean ready, String from) {}

    @GetMapping("/brought-in")
    ModelAndView page(@AuthenticationPrincipal SignedIn user) {
        return page(user, Map.of(), List.of());
    }

    private ModelAndView page(SignedIn user, Map<String, String> typed, List<String> problems) {
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        ModelAndView page = new ModelAndView("ward/brought-in");
        page.addObject(
                "lines",
                broughtIn.waiting(user.pointId()).stream()
                        .map(each -> new Line(
                                each.id(),
                                each.given().isEmpty() ? words.say("ward.noName") : each.given(),
                                each.newborn()
                                        .map(newborn -> says(newborn, words))
                                        .orElseGet(() -> words.say("ward.unreadable")),
                                each.newborn().isPresent(),
                                words.say(
                                        "ward.from",
                                        Map.of(
                                                "source",
                                                Argument.of(each.source()),
                                                "when",
                                                Argument.of(
                                                        words.moment(each.at().atZone(point.zone())))))))
                        .toList());
        page.addObject("seats", shelf.seats(user.pointId()));
        page.addObject("quickSeat", QuickSeat.SHEET.text());
        page.addObject("asks", server.address().isPresent());
        page.addObject("simulated", server.isSimulated());
        page.addObject("reference", beginnings.nextReference(user.pointId()));
        page.addObject("typed", typed);
        page.addObject("of", typed.getOrDefault(OF, ""));
        page.addObject("problems", problems);
        if (!problems.isEmpty()) {
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        }
        return page;
    }

    /** What is known of it, in the person's units. */
    private static String says(Newborn newborn, Wording words) {
        List<String> parts = new ArrayList<>();
        parts.add(words.say("ward.born", Map.of("day", Argument.of(words.say(newborn.born())))));
        newborn.gestationDays()
                .ifPresent(days -> parts.add(words.say(
                        "ward.gestation",
                        Map.of("weeks", Argument.of(days / DAYS_A_WEEK), "days", Argument.of(days % DAYS_A_WEEK)))));
        newborn.weight()
                .ifPresent(each -> parts.add(words.say(
                        "ward.measure",
                        Map.of("value", Argument.of(each.value()), "day", Argument.of(words.say(each.day()))))));
        newborn.length()
                .ifPresent(each -> parts.add(words.say(
                        "ward.measure",
                        Map.of("value", Argument.of(each.value()), "day", Argument.of(words.say(each.day()))))));
        return String.join(" · ", parts);
    }

    @PostMapping("/brought-in")
    ModelAndView file(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(required = false) MultipartFile file,
            @RequestParam Map<String, String> fields)
            throws IOException {
        Wording words = viewing.wording(user);
        if (file == null || file.isEmpty()) {
            return page(user, fields, List.of(words.say(new FieldProblem("file", "", "NEEDED", "", ""))));
        }
        String json = new String(file.getBytes(), StandardCharsets.UTF_8);
        return taken(user, fields, () -> Optional.of(json), words.say("ward.aFile"));
    }

    /** Asks the ward's server; whatever it does, the page answers and what was typed stays. */
    @PostMapping("/brought-in/ask")
    ModelAndView ask(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields) {
        Wording words = viewing.wording(user);
        List<FieldProblem> problems = new ArrayList<>();
        String number = TypedText.needed(fields, "wardNumber", LONGEST_NUMBER, problems);
        if (!problems.isEmpty()) {
            return page(user, fields, problems.stream().map(words::say).toList());
        }
        Optional<String> answer;
        try {
            answer = client.ask(number);
        } catch (WardClient.UnreachableException e) {
            return page(user, fields, List.of(words.say("ward.notReached", Map.of("why", Argument.of(e.say(words))))));
        }
        if (answer.isEmpty()) {
            return page(user, fields, List.of(words.say("ward.noSuch", Map.of("number", Argument.of(number)))));
        }
        return taken(user, fields, () -> answer, words.say("ward.theServer"));
    }

    private ModelAndView taken(
            SignedIn user, Map<String, String> fields, Supplier<Optional<String>> json, String source) {
        try {
            broughtIn.take(user.pointId(), json.get().orElse(""), source, user.getUsername());
            return new ModelAndView("redirect:/brought-in");
        } catch (RefusedDocumentException e) {
            return page(
                    user, fields, e.problems().stream().map(Object::toString).toList());
        }
    }

    /** Begins a fitting with one of them. */
    @PostMapping("/brought-in/{id}")
    ModelAndView begin(
            @AuthenticationPrincipal SignedIn user, @PathVariable UUID id, @RequestParam Map<String, String> fields) {
        Wording words = viewing.wording(user);
        BroughtIn.Waiting of = broughtIn
                .one(user.pointId(), id)
                .filter(each -> each.newborn().isPresent())
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        List<FieldProblem> problems = new ArrayList<>();
        String reference = TypedText.needed(fields, "reference", LONGEST_REFERENCE, problems);
        String child = TypedText.needed(fields, "childName", LONGEST_NAME, problems);
        String chosen = fields.getOrDefault("seat", "");
        Optional<SheetVersion> seat = chosen.equals(QuickSeat.SHEET.text())
                ? Optional.of(QuickSeat.VERSION)
                : shelf.seats(user.pointId()).stream()
                        .filter(each -> each.id().equals(chosen))
                        .map(each -> new SheetVersion(each.id(), each.version()))
                        .findFirst();
        if (seat.isEmpty()) {
            problems.add(FieldProblem.notAmong(
                    "seat",
                    chosen,
                    shelf.seats(user.pointId()).stream()
                            .map(SheetSummary::title)
                            .toList()));
        }
        if (!problems.isEmpty()) {
            return page(
                    user, typedOf(id, fields), problems.stream().map(words::say).toList());
        }
        try {
            return new ModelAndView("redirect:/fittings/" + broughtIn.begin(user, of, reference, child, seat.get()));
        } catch (RefusedEntryException e) {
            return page(user, typedOf(id, fields), Fittings.say(e, words));
        }
    }

    /** What was typed beside one of them. */
    private static Map<String, String> typedOf(UUID id, Map<String, String> fields) {
        Map<String, String> typed = new HashMap<>(fields);
        typed.put(OF, id.toString());
        return typed;
    }

    @PostMapping("/brought-in/{id}/drop")
    String drop(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        if (!broughtIn.drop(user.pointId(), id)) {
            throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        }
        return "redirect:/brought-in";
    }

    /** The measures of a fitting for the ward; without a name. */
    @GetMapping("/fittings/{id}/measures.fhir.json")
    ResponseEntity<String> measures(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/fhir+json;charset=UTF-8"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"measures.fhir.json\"")
                .body(MeasuresBundle.of(
                        fitting.id(), fitting.plan(), viewing.clock().instant(), viewing.wording(user)));
    }
}
