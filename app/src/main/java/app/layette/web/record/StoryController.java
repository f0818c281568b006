package app.layette.web.record;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.fitting.FittingState;
import app.layette.formats.record.FactWords;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The whole history of a fitting, readable as a story: who entered what, when, how it was known, and what replaced it. */
@Controller
@RequestMapping("/fittings/{id}/record")
class StoryController {
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    /**
     * One entry.
     *
     * @param corrected whether a later one took its place
     * @param after whether it came after the seal
     * @param fields to correct it with; empty where it cannot be corrected
     */
    public record Line(
            int seq,
            UUID id,
            String at,
            String by,
            String how,
            String kind,
            String says,
            boolean corrected,
            Integer corrects,
            boolean after,
            String factKind,
            String of,
            List<CorrectionForm.Field> fields) {}

    /** The seal, as it stands now. */
    public record SealView(String at, String by, String sha256, int lastSeq, String engine, boolean holds) {}

    private final Fittings fittings;
    private final Sealing sealing;
    private final Viewing viewing;

    StoryController(Fittings fittings, Sealing sealing, Viewing viewing) {
        this.fittings = fittings;
        this.sealing = sealing;
        this.viewing = viewing;
    }

    @GetMapping
    String story(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id, Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        List<Entry> entries = fitting.plan().situation().everything();
        Optional<SealRow> seal = sealing.of(id);
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("reference", fitting.reference());
        model.addAttribute("open", fitting.plan().state() == FittingState.OPEN);
        model.addAttribute("state", words.say("state." + fitting.plan().state()));
        model.addAttribute("lastSeq", fitting.plan().situation().lastSeq());
        model.addAttribute(
                "seal", seal.map(row -> view(row, entries, point.zone())).orElse(null));
        int sealedTo = seal.map(row -> row.seal().lastSeq()).orElse(Integer.MAX_VALUE);
        model.addAttribute("lines", lines(entries, sealedTo, words, point.zone()));
        return "record/story";
    }

    private static SealView view(SealRow row, List<Entry> entries, ZoneId zone) {
        return new SealView(
                TIME.format(row.sealedAt().atZone(zone)),
                row.sealedBy(),
                row.seal().sha256(),
                row.seal().lastSeq(),
                row.engineVersion(),
                row.seal().holds(entries));
    }

    private static List<Line> lines(List<Entry> entries, int sealedTo, Wording words, ZoneId zone) {
        FactWords facts = new FactWords(words);
        Map<UUID, Integer> places = new HashMap<>();
        Map<UUID, Integer> correctedBy = new HashMap<>();
        for (Entry entry : entries) {
            places.put(entry.id(), entry.seq());
            if (entry.corrects() != null) {
                correctedBy.put(entry.corrects(), entry.seq());
            }
        }
        List<Line> lines = new ArrayList<>();
        for (Entry entry : entries) {
            Fact fact = entry.fact();
            boolean corrected = correctedBy.containsKey(entry.id());
            UUID about = fact instanceof Fact.Noted noted ? noted.about() : entry.corrects();
            boolean correctable = !corrected && CorrectionForm.isCorrectable(fact);
            lines.add(new Line(
                    entry.seq(),
                    entry.id(),
                    TIME.format(entry.at().atZoneSameInstant(zone)),
                    entry.by().id(),
                    how(entry.how(), words),
                    facts.kind(fact),
                    facts.says(fact),
                    corrected,
                    about == null ? null : places.get(about),
                    entry.seq() > sealedTo,
                    CorrectionForm.kind(fact),
                    fact.of(),
                    correctable ? CorrectionForm.fields(fact, words) : List.of()));
        }
        return lines;
    }

    private static String how(How how, Wording words) {
        String said = words.say("how." + how.kind());
        return how.place().isEmpty() ? said : said + " " + how.place();
    }

    @PostMapping("/corrections")
    String correct(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Map<String, String> fields,
            RedirectAttributes after) {
        try {
            Fittings.Planned fitting = fittings.planned(id, user.pointId());
            EntryDraft draft =
                    fittings.correctionOf(fields, fitting.plan().situation().everything());
            fittings.correct(id, draft, fields.getOrDefault("why", "").strip(), user.pointId(), user.author());
            after.addFlashAttribute("said", viewing.wording(user).say("record.corrected"));
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, viewing.wording(user)));
            after.addFlashAttribute("typed", fields);
        }
        return "redirect:/fittings/" + id + "/record";
    }

    @PostMapping("/notes")
    String note(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam int seen,
            @RequestParam String text,
            RedirectAttributes after) {
        Fact.Noted note = new Fact.Noted("u1", null, text.strip());
        try {
            fittings.append(
                    id, new EntryDraft(entry, seen, null, How.MEASURED, null, note), user.pointId(), user.author());
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, viewing.wording(user)));
            after.addFlashAttribute("noteTyped", text);
        }
        return "redirect:/fittings/" + id + "/record";
    }
}
