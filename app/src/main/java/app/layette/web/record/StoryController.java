package app.layette.web.record;

import app.layette.core.entry.AfterTheEnd;
import app.layette.core.entry.Author;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Rights;
import app.layette.core.evidence.Complete;
import app.layette.core.finding.Argument;
import app.layette.core.finding.RuleCode;
import app.layette.core.practice.Practice;
import app.layette.formats.record.FactWords;
import app.layette.formats.record.Seal;
import app.layette.formats.rules.RuleWords;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.EntryForm;
import app.layette.web.fitting.Erasing;
import app.layette.web.fitting.FactForm;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.fitting.Striking;
import app.layette.web.shell.Page;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
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
    private static final int A_PAGE = 200;
    private static final int MOST_WORDS = 200;

    /**
     * One entry.
     *
     * @param day the day that begins with it; {@code null} where it is on the day of the one before
     * @param later what a later one did to it, in words; empty where it stands
     * @param after whether it came after the seal
     * @param photo the picture that it kept; {@code null} for none
     * @param standing how a trainee's correction after the end stands, in words; empty where it simply counts
     * @param waits whether it waits for a signature that who looks may give
     * @param rule the code of the rule that it is about; {@code null} for none
     * @param mayWithdraw whether it can be taken back as a mistake
     * @param chosen whether it is being corrected now
     * @param fields to correct it with; empty where it cannot be corrected, or is not being corrected
     */
    @Complete
    public record Line(
            int seq,
            UUID id,
            String day,
            String at,
            String by,
            String how,
            String kind,
            String says,
            String later,
            Integer corrects,
            boolean after,
            UUID photo,
            String factKind,
            String of,
            String standing,
            boolean waits,
            String rule,
            boolean mayWithdraw,
            boolean chosen,
            List<CorrectionForm.Field> fields) {}

    /** The seal, as it stands now. */
    public record SealView(String at, String by, String sha256, int lastSeq, String engine, boolean holds) {}

    private final Fittings fittings;
    private final Sealing sealing;
    private final Erasing erasing;
    private final Viewing viewing;

    private final Striking striking;
    private final Resealing resealing;
    private final TransactionTemplate transactions;

    StoryController(
            Fittings fittings,
            Sealing sealing,
            Erasing erasing,
            Viewing viewing,
            Striking striking,
            Resealing resealing,
            TransactionTemplate transactions) {
        this.striking = striking;
        this.resealing = resealing;
        this.transactions = transactions;
        this.fittings = fittings;
        this.sealing = sealing;
        this.erasing = erasing;
        this.viewing = viewing;
    }

    @GetMapping
    String story(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int correct,
            @RequestParam(defaultValue = "0") int page,
            Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        List<Entry> entries = fitting.plan().situation().own();
        Optional<SealRow> seal = sealing.of(user.pointId(), id);
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("reference", fitting.reference());
        model.addAttribute("over", !fitting.plan().state().isUnderWay());
        model.addAttribute("leads", user.author().role() == Author.Role.LEAD);
        model.addAttribute("open", fitting.plan().state().isUnderWay());
        model.addAttribute("state", words.say("state." + fitting.plan().state()));
        model.addAttribute("lastSeq", fitting.plan().situation().lastSeq());
        model.addAttribute(
                "seal",
                seal.map(row -> view(row, fittings.documents(user.pointId(), id), point.zone(), words))
                        .orElse(null));
        if (user.isLead()) {
            List<Striking.Words> free = striking.of(id, user.pointId()).stream()
                    .sorted(Comparator.comparing(each -> !each.named()))
                    .toList();
            model.addAttribute("freeWords", free.stream().limit(MOST_WORDS).toList());
            model.addAttribute("moreWords", Math.max(0, free.size() - MOST_WORDS));
        }
        model.addAttribute(
                "struck",
                resealing.of(user.pointId(), id).stream()
                        .map(each -> words.say(
                                "record.struckSays",
                                Map.of(
                                        "by", Argument.of(each.by()),
                                        "at", Argument.of(words.moment(each.at().atZone(point.zone()))),
                                        "places", Argument.of(each.places()),
                                        "why", Argument.of(each.why()),
                                        "before", Argument.of(each.sha256Before()))))
                        .toList());
        int sealedTo = seal.map(row -> row.seal().lastSeq()).orElse(Integer.MAX_VALUE);
        // The newest entries come first to hand; one that is corrected is on its own page.
        int wanted = correct > 0 ? (correct + A_PAGE - 1) / A_PAGE : page > 0 ? page : Integer.MAX_VALUE;
        Page<Entry> shown = Page.of(entries, wanted, A_PAGE);
        model.addAttribute("page", shown);
        model.addAttribute("perPage", A_PAGE);
        model.addAttribute(
                "lines",
                lines(
                        entries,
                        shown.items(),
                        sealedTo,
                        correct,
                        new Right(user.author().role(), fitting.plan().state().isUnderWay()),
                        words,
                        point.zone()));
        model.addAttribute("correcting", correct > 0);
        Practice practice = fitting.plan().situation().practice();
        model.addAttribute(
                "practice",
                words.say(
                        "record.practice",
                        Map.of(
                                "profile", Argument.of(words.named(practice.profile())),
                                "version", Argument.of(practice.profile().version()),
                                "law",
                                        Argument.of(practice.lawCountry()
                                                .orElseGet(() -> words.say("record.lawNotKnown"))))));
        return "record/story";
    }

    /** The sealed entries in canonical form, all of them while there is no seal: the file that the seal is the hash of. */
    @GetMapping("/entries.json")
    ResponseEntity<byte[]> entries(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        fittings.planned(id, user.pointId());
        List<String> documents = fittings.documents(user.pointId(), id);
        int last =
                sealing.of(user.pointId(), id).map(row -> row.seal().lastSeq()).orElse(documents.size());
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"entries.json\"")
                .body(Seal.canonical(documents.subList(0, last)));
    }

    /** The plan as it was when the fitting was sealed: every finding, with its reasons and sources then. */
    @GetMapping("/plan.json")
    ResponseEntity<String> plan(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        fittings.planned(id, user.pointId());
        return sealing.of(user.pointId(), id)
                .map(row -> ResponseEntity.ok()
                        .contentType(MediaType.APPLICATION_JSON)
                        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"plan.json\"")
                        .body(row.plan()))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    private static SealView view(SealRow row, List<String> documents, ZoneId zone, Wording words) {
        return new SealView(
                words.moment(row.sealedAt().atZone(zone)),
                row.sealedBy(),
                row.seal().sha256(),
                row.seal().lastSeq(),
                row.engineVersion(),
                row.seal().holds(documents));
    }

    /** What who looks may do with an entry: nothing is offered that would be refused. */
    private record Right(Author.Role role, boolean open) {
        boolean may(Rights.Way way, Fact fact) {
            return Rights.allows(role, fact.getClass(), way, open);
        }
    }

    private static List<Line> lines(
            List<Entry> entries, List<Entry> shown, int sealedTo, int chosen, Right right, Wording words, ZoneId zone) {
        FactWords facts = new FactWords(words);
        Map<UUID, Integer> places = new HashMap<>();
        Map<UUID, Fact> correctedBy = new HashMap<>();
        AfterTheEnd afterwards = AfterTheEnd.in(entries);
        for (Entry entry : entries) {
            places.put(entry.id(), entry.seq());
            if (entry.corrects() != null && afterwards.counts(entry)) {
                correctedBy.put(entry.corrects(), entry.fact());
            }
        }
        List<Line> lines = new ArrayList<>();
        String before = "";
        for (Entry entry : shown) {
            String day = words.say(entry.at().atZoneSameInstant(zone).toLocalDate());
            Fact fact = entry.fact();
            Optional<Fact> by = Optional.ofNullable(correctedBy.get(entry.id()));
            UUID about = about(entry);
            boolean counts = afterwards.counts(entry);
            boolean stands = by.isEmpty() && counts;
            boolean withdrawn = by.filter(Fact.Withdrawn.class::isInstance).isPresent();
            boolean here = entry.seq() == chosen;
            boolean correctable = stands && here && right.may(Rights.Way.CORRECT, fact);
            lines.add(StoryControllerLineParts.builder()
                    .seq(entry.seq())
                    .id(entry.id())
                    .day(day.equals(before) ? null : day)
                    .at(words.clock(entry.at().atZoneSameInstant(zone)))
                    .by(entry.by().id())
                    .how(how(entry.how(), words))
                    .kind(facts.kind(fact))
                    .says(facts.says(fact))
                    .later(by.isEmpty() ? "" : words.say(withdrawn ? "record.withdrawnLater" : "record.correctedLater"))
                    .corrects(about == null ? null : places.get(about))
                    .after(entry.seq() > sealedTo)
                    .photo(fact instanceof Fact.PhotoTaken photo && stands ? photo.photo() : null)
                    .factKind(CorrectionForm.kind(fact))
                    .of(fact.of().text())
                    .standing(
                            counts ? "" : words.say(afterwards.waits(entry.id()) ? "record.waits" : "record.declined"))
                    .waits(afterwards.waits(entry.id()) && Rights.signs(right.role()))
                    .rule(RuleWords.rule(fact).map(RuleCode::text).orElse(null))
                    .mayWithdraw(stands && right.may(Rights.Way.WITHDRAW, fact))
                    .chosen(here)
                    .fields(correctable ? CorrectionForm.fields(fact, words) : List.of())
                    .build());
            before = day;
        }
        return lines;
    }

    private static @Nullable UUID about(Entry entry) {
        if (entry.fact() instanceof Fact.Noted noted) {
            return noted.about();
        }
        return entry.fact() instanceof Fact.CorrectionSigned signed ? signed.entry() : entry.corrects();
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
        boolean withdraws = fields.containsKey("withdraw");
        try {
            Fittings.Planned fitting = fittings.planned(id, user.pointId());
            Map<String, String> read = new HashMap<>(fields);
            if (withdraws) {
                read.put("kind", CorrectionForm.kindOf(Fact.Withdrawn.class));
            }
            EntryDraft draft = fittings.correctionOf(
                    read,
                    fitting.plan().situation().everything(),
                    fitting.plan().situation().today());
            fittings.correct(id, draft, fields.getOrDefault("why", "").strip(), user.pointId(), user.author());
            boolean waits = !fitting.plan().state().isUnderWay()
                    && !Rights.signs(user.author().role());
            String said = waits ? "record.keptToSign" : withdraws ? "record.withdrawn" : "record.corrected";
            after.addFlashAttribute("said", viewing.wording(user).say(said));
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, viewing.wording(user)));
            after.addFlashAttribute("typed", fields);
            String place = fields.getOrDefault("place", "");
            return "redirect:/fittings/" + id + "/record"
                    + (place.matches("\\d{1,9}") ? "?correct=" + place + "#e" + place : "");
        }
        return "redirect:/fittings/" + id + "/record";
    }

    /** A technician signs for what a trainee corrected after the end, or declines it. */
    @PostMapping("/signatures")
    String sign(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam int seen,
            @RequestParam UUID correction,
            @RequestParam boolean taken,
            RedirectAttributes after) {
        Wording words = viewing.wording(user);
        Fact signature = new Fact.CorrectionSigned(fittings.unit(id, user.pointId()), correction, taken);
        try {
            fittings.append(
                    id,
                    new EntryDraft(entry, seen, null, How.MEASURED, null, signature),
                    user.pointId(),
                    user.author());
            after.addFlashAttribute("said", words.say(taken ? "record.signed" : "record.notTaken"));
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, words));
        }
        return "redirect:/fittings/" + id + "/record";
    }

    /** Erases who the family was; the record and its seal stay. */
    @PostMapping("/erase")
    String erase(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String reference,
            @RequestParam(defaultValue = "") List<UUID> strike,
            @RequestParam(defaultValue = "") String why,
            RedirectAttributes after) {
        Wording words = viewing.wording(user);
        String known = fittings.planned(id, user.pointId()).reference();
        after.addFlashAttribute("struckWhy", why);
        if (!reference.strip().equals(known)) {
            after.addFlashAttribute(
                    "refused",
                    List.of(words.say(
                            "record.erase.refused",
                            Map.of("typed", Argument.of(reference), "reference", Argument.of(known)))));
            return "redirect:/fittings/" + id + "/record";
        }
        try {
            // The words first: afterwards nobody can tell any more whom they name.
            transactions.executeWithoutResult(status -> {
                if (!strike.isEmpty()) {
                    resealing.strike(chosen(id, user, strike), why, user.pointId(), user.author());
                }
                erasing.erase(id, words.say("record.erase.note"), user.pointId(), user.author());
            });
            after.addFlashAttribute("said", words.say("record.erase.done"));
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, words));
        }
        return "redirect:/fittings/" + id + "/record";
    }

    /** Entries of this family's fittings alone, whatever was sent. */
    private Map<UUID, Set<UUID>> chosen(UUID id, SignedIn user, List<UUID> strike) {
        return striking.of(id, user.pointId()).stream()
                .filter(each -> strike.contains(each.entry()))
                .collect(Collectors.groupingBy(
                        Striking.Words::fitting, Collectors.mapping(Striking.Words::entry, Collectors.toSet())));
    }

    /** CND-3: the car with this seat in it was in a crash since. The seal stays; the family's page says to stop. */
    @PostMapping("/crash")
    String crash(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Map<String, String> fields,
            RedirectAttributes after) {
        Wording words = viewing.wording(user);
        try {
            EntryForm form = new EntryForm(fields, viewing.clock());
            Map<String, String> read = new HashMap<>(fields);
            read.put("kind", CorrectionForm.kindOf(Fact.CrashedSince.class));
            read.put("of", fittings.unit(id, user.pointId()).text());
            Fact crash = FactForm.read(read, form.day(viewing.point(user).zone()));
            fittings.append(id, form.draft(crash, How.TOLD), user.pointId(), user.author());
            after.addFlashAttribute("said", words.say("record.crashed"));
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, words));
            after.addFlashAttribute("crashTyped", fields.getOrDefault("on", ""));
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
        Fact.Noted note = new Fact.Noted(fittings.unit(id, user.pointId()), null, text.strip());
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
