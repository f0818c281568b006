package app.layette.web.handon;

import app.layette.core.entry.Entry;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.Situation;
import app.layette.core.entry.UnusableEntriesException;
import app.layette.core.gate.ConclusionState;
import app.layette.formats.document.HandedOn;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.record.FactWords;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.shell.TypedText;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;

/** Handing a family on to another fitting point, and receiving one. */
@Controller
class HandOnController {
    private static final int LONGEST_REFERENCE = 40;
    private static final int LONGEST_NAME = 80;

    private final HandOn handOn;
    private final Fittings fittings;
    private final Viewing viewing;

    HandOnController(HandOn handOn, Fittings fittings, Viewing viewing) {
        this.handOn = handOn;
        this.fittings = fittings;
        this.viewing = viewing;
    }

    /** What was entered elsewhere. */
    public record Line(String on, String kind, String says) {}

    @GetMapping("/fittings/{id}/hand-on.json")
    ResponseEntity<String> document(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"handed-on.json\"")
                .body(handOn.document(user, id));
    }

    @GetMapping("/handed-on")
    String form(Model model) {
        model.addAttribute("typed", Map.of());
        model.addAttribute("problems", List.of());
        return "handon/take";
    }

    @PostMapping("/handed-on")
    ModelAndView take(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(required = false) MultipartFile file,
            @RequestParam Map<String, String> fields,
            Model model)
            throws IOException {
        Wording words = viewing.wording(user);
        List<String> problems = new ArrayList<>();
        List<FieldProblem> missing = new ArrayList<>();
        String reference = TypedText.needed(fields, "reference", LONGEST_REFERENCE, missing);
        missing.forEach(each -> problems.add(words.say(each)));
        try {
            if (file == null || file.isEmpty()) {
                problems.add(words.say(new FieldProblem("file", "", "NEEDED", "", "")));
            } else {
                HandedOn handed = HandedOn.read(new String(file.getBytes(), StandardCharsets.UTF_8));
                String child = fields.getOrDefault("childName", "").strip();
                String name = child.isEmpty() ? handed.child() : child;
                if (name.length() > LONGEST_NAME) {
                    problems.add(words.say(
                            new FieldProblem("childName", name, "TOO_LONG", "1", String.valueOf(LONGEST_NAME))));
                }
                if (problems.isEmpty()) {
                    UUID id = handOn.take(user, UUID.randomUUID(), handed, reference, name);
                    return new ModelAndView("redirect:/fittings/" + id + "/received");
                }
            }
        } catch (RefusedDocumentException e) {
            e.problems().forEach(each -> problems.add(each.toString()));
        } catch (UnusableEntriesException e) {
            problems.add(words.say("handon.unusable"));
        } catch (RefusedEntryException e) {
            problems.addAll(Fittings.say(e, words));
        }
        model.addAttribute("typed", fields);
        model.addAttribute("problems", problems);
        return new ModelAndView("handon/take", model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What the other point found, and what has to be looked at again here. */
    @GetMapping("/fittings/{id}/received")
    String received(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id, Model model) {
        Wording words = viewing.wording(user);
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        HandOn.Received received = handOn.received(user.pointId(), id)
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
        FactWords facts = new FactWords(words);
        Situation there = Situation.of(
                received.document().read().practice(),
                received.document().read().sheets(),
                received.document().read().record(),
                received.document().read().record().units().get(0).id(),
                received.document().read().date());
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("from", received.from());
        model.addAttribute("sha256", received.sha256());
        model.addAttribute(
                "lines",
                there.everything().stream()
                        .map(each -> line(each, facts, words))
                        .toList());
        model.addAttribute(
                "again",
                fitting.plan().gate().blocking().stream()
                        .map(ConclusionState::conclusion)
                        .map(each -> words.say("conclusion." + each))
                        .toList());
        return "handon/received";
    }

    private static Line line(Entry entry, FactWords facts, Wording words) {
        return new Line(words.say(entry.at().toLocalDate()), facts.kind(entry.fact()), facts.says(entry.fact()));
    }
}
