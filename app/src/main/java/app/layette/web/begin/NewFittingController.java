package app.layette.web.begin;

import app.layette.core.child.Child;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.How;
import app.layette.core.entry.QuickSeat;
import app.layette.core.entry.RiderId;
import app.layette.core.entry.UnitId;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.finding.Argument;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Beginnings;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.EntryForm;
import app.layette.web.fitting.FactForm;
import app.layette.web.fitting.FittingLists;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.fitting.Unusual;
import app.layette.web.handout.FamilyPages;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.shelf.Shelf;
import app.layette.web.stock.Stock;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** A family that walks in, as a conversation: child, seat, car. */
@Controller
@RequestMapping("/fittings/new")
class NewFittingController {
    private static final int LONGEST_NAME = 80;
    private static final int SHORTEST_PART = 2;
    private static final int MOST_KNOWN = 8;
    /** The address that a family's page has, as a reader of codes types it. */
    private static final Pattern PAGE_CODE = Pattern.compile("/f/([A-Za-z0-9_-]{16,64})");

    private static final Pattern UUID_TEXT =
            Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");

    private static final int LONGEST_REFERENCE = 40;

    private final FittingLists lists;
    private final Beginnings beginnings;
    private final Shelf shelf;
    private final Viewing viewing;
    private final FamilyPages pages;
    private final Stock stock;
    private final TransactionTemplate transactions;

    NewFittingController(
            FittingLists lists,
            Beginnings beginnings,
            Shelf shelf,
            Viewing viewing,
            FamilyPages pages,
            Stock stock,
            TransactionTemplate transactions) {
        this.pages = pages;
        this.stock = stock;
        this.lists = lists;
        this.beginnings = beginnings;
        this.shelf = shelf;
        this.viewing = viewing;
        this.transactions = transactions;
    }

    @GetMapping
    ModelAndView form(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields) {
        return page(user, fields, List.of());
    }

    @PostMapping
    ModelAndView begin(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam Map<String, String> fields,
            @RequestParam(required = false) MultipartFile sheet) {
        EntryForm form = new EntryForm(fields, viewing.clock());
        Reading reading = reading(user, fields, form);
        Optional<UUID> begun = wholeOrNot(user, fields, sheet, form, reading);
        if (begun.isPresent()) {
            return new ModelAndView("redirect:/fittings/" + begun.get());
        }
        ModelAndView page = page(user, fields, reading.problems);
        page.addObject("wrong", reading.wrong);
        page.addObject("sure", reading.sure);
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    private Reading reading(SignedIn user, Map<String, String> fields, EntryForm form) {
        return new Reading(fields, form, form.day(viewing.point(user).zone()), viewing.wording(user));
    }

    /** A family that is refused leaves nothing behind: neither itself nor the sheet that it brought. */
    private Optional<UUID> wholeOrNot(
            SignedIn user, Map<String, String> fields, MultipartFile sheet, EntryForm form, Reading reading) {
        return transactions.execute(status -> {
            Optional<UUID> id = begin(user, fields, sheet, form, reading);
            if (id.isEmpty()) {
                status.setRollbackOnly();
            }
            return id;
        });
    }

    /** The fitting that was begun; empty when something is wrong, which then stands in the reading. */
    private Optional<UUID> begin(
            SignedIn user, Map<String, String> fields, MultipartFile sheet, EntryForm form, Reading reading) {
        List<EntryDraft> entries = reading.entries;
        boolean comesBack = fields.containsKey("comesBack");
        reading.checkText("reference", LONGEST_REFERENCE);
        boolean isDue = !fields.getOrDefault("due", "").isBlank();
        if (isDue) {
            reading.fact("expected", How.TOLD);
        } else if (!comesBack || !fields.getOrDefault("born", "").isBlank()) {
            reading.fact("childDescribed", How.TOLD);
        }
        if (!comesBack) {
            reading.checkText("childName", LONGEST_NAME);
        }
        reading.optional("mass", "weighed");
        reading.optional("length", "lengthMeasured");
        Optional<SheetVersion> seat = seat(user, fields, sheet, reading);
        seat.ifPresent(each -> entries.add(adopt(each)));
        kept(user, fields, seat, entries);
        if (fields.getOrDefault("box", "").equals(Fact.TimeBox.BEDSIDE.name())) {
            entries.add(form.oneOfSeveral(
                    new Fact.BoxChosen(UnitId.FIRST, Fact.TimeBox.BEDSIDE), How.MEASURED, entries.size()));
        }
        chosen(shelf.cars(user.pointId()), fields.getOrDefault("car", "")).ifPresent(each -> entries.add(adopt(each)));
        if (!reading.problems.isEmpty() || seat.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(beginnings.begin(
                    new Beginnings.Begin(
                            form.id(),
                            fields.getOrDefault("reference", "").strip(),
                            fields.getOrDefault("childName", "").strip(),
                            seat.get(),
                            entries,
                            comesBack),
                    user.pointId(),
                    user.author()));
        } catch (RefusedEntryException e) {
            if (e.problems().isEmpty()) {
                reading.problems.add(reading.words.say("refused." + e.reason()));
            }
            e.problems().forEach(reading::wrong);
            return Optional.empty();
        }
    }

    /** What is known of a seat of the stock as of its last count; of another seat than the one chosen, nothing. */
    private void kept(
            SignedIn user, Map<String, String> fields, Optional<SheetVersion> seat, List<EntryDraft> entries) {
        String id = fields.getOrDefault("stock", "");
        if (!UUID_TEXT.matcher(id).matches()) {
            return;
        }
        stock.known(user.pointId(), UUID.fromString(id))
                .filter(known ->
                        seat.filter(each -> each.id().equals(known.sheetId())).isPresent())
                .ifPresent(known -> {
                    OffsetDateTime then = known.on()
                            .atTime(LocalTime.NOON)
                            .atZone(viewing.point(user).zone())
                            .toOffsetDateTime();
                    // Whoever counted it saw its label and every part on that day.
                    known.facts()
                            .forEach(fact -> entries.add(new EntryDraft(
                                    UUID.randomUUID(),
                                    entries.size(),
                                    then,
                                    fact instanceof Fact.LabelRead ? new How(How.Kind.LABEL, "") : How.MEASURED,
                                    null,
                                    fact,
                                    true)));
                });
    }

    /** Something that is kept all the same when it is said to be right. */
    public record Sure(String value, String says) {}

    /** Reads the page's fields into entries; collects what is wrong, by field. */
    private static final class Reading {
        private final Map<String, String> fields;
        private final EntryForm form;
        private final LocalDate today;
        private final Wording words;
        private final List<String> problems = new ArrayList<>();
        private final Map<String, String> wrong = new LinkedHashMap<>();
        /** What was asked about: field, and the words of keeping it. */
        private final Map<String, Sure> sure = new LinkedHashMap<>();

        private final List<EntryDraft> entries = new ArrayList<>();
        private Optional<Child> child = Optional.empty();

        Reading(Map<String, String> fields, EntryForm form, LocalDate today, Wording words) {
            this.fields = fields;
            this.form = form;
            this.today = today;
            this.words = words;
        }

        void wrong(FieldProblem problem) {
            String said = words.say(problem);
            problems.add(said);
            wrong.putIfAbsent(problem.field(), said);
            if (problem.reason().equals(Unusual.REASON)) {
                sure.put(
                        problem.field(),
                        new Sure(
                                problem.value(),
                                words.say("submit.sure", Map.of("value", Argument.of(problem.value())))));
            }
        }

        void checkText(String field, int longest) {
            String text = fields.getOrDefault(field, "").strip();
            if (text.isEmpty()) {
                wrong(new FieldProblem(field, "", "NEEDED", "", ""));
            } else if (text.length() > longest) {
                wrong(new FieldProblem(field, text, "TOO_LONG", "1", String.valueOf(longest)));
            }
        }

        void optional(String field, String kind) {
            if (!fields.getOrDefault(field, "").isBlank()) {
                fact(kind, How.MEASURED);
            }
        }

        void fact(String kind, How how) {
            Map<String, String> all = new HashMap<>(fields);
            all.put("kind", kind);
            all.put("of", RiderId.FIRST.text());
            all.put("what", Fact.Dimension.BODY.name());
            all.put(
                    Unusual.SURE,
                    fields.getOrDefault(Unusual.SURE + "." + (kind.equals("weighed") ? "mass" : "length"), ""));
            try {
                Fact fact = FactForm.read(all, today);
                if (fact instanceof Fact.ChildDescribed described) {
                    child = Optional.of(described.child());
                }
                Optional<FieldProblem> unusual = child.flatMap(each -> Unusual.problem(fact, each, today, all, words));
                unusual.ifPresentOrElse(this::wrong, () -> entries.add(form.oneOfSeveral(fact, how, entries.size())));
            } catch (RefusedEntryException e) {
                e.problems().forEach(this::wrong);
            }
        }
    }

    private Optional<SheetVersion> seat(
            SignedIn user, Map<String, String> fields, MultipartFile sheet, Reading reading) {
        if (sheet != null && !sheet.isEmpty()) {
            try {
                String json = new String(sheet.getBytes(), StandardCharsets.UTF_8);
                return Optional.of(shelf.takeIn(user.pointId(), json, user.author()));
            } catch (RefusedDocumentException e) {
                e.problems().forEach(each -> reading.problems.add(sheet.getOriginalFilename() + ": " + each));
                return Optional.empty();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
        if (fields.getOrDefault("seat", "").equals(QuickSeat.SHEET.text())) {
            return Optional.of(QuickSeat.VERSION);
        }
        Optional<SheetVersion> seat = chosen(shelf.seats(user.pointId()), fields.getOrDefault("seat", ""));
        if (seat.isEmpty()) {
            reading.wrong(new FieldProblem("seat", "", "NEEDED", "", ""));
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
        return EntryDraft.now(How.MEASURED, 0, new Fact.SheetAdopted(sheet, Fact.Adoption.ADOPTED, null));
    }

    /** A sheet to be picked by its drawing. */
    public record Drawn(String id, String title, boolean confirmed, String picture) {}

    /** Families that were here before, by a part of a name, a reference, or the code of their page. */
    @GetMapping("/known")
    ModelAndView known(@AuthenticationPrincipal SignedIn user, @RequestParam(defaultValue = "") String who) {
        ModelAndView page = new ModelAndView("begin/new :: known");
        page.addObject("known", found(user, who.strip()));
        return page;
    }

    private List<FittingLists.Listed> found(SignedIn user, String who) {
        Matcher code = PAGE_CODE.matcher(who);
        if (code.find()) {
            return pages.fittingOf(code.group(1)).flatMap(id -> lists.listed(id, user.pointId())).stream()
                    .toList();
        }
        if (who.length() < SHORTEST_PART) {
            return List.of();
        }
        Map<String, FittingLists.Listed> once = new LinkedHashMap<>();
        lists.find(user, who).forEach(each -> once.putIfAbsent(each.reference() + " " + each.child(), each));
        return once.values().stream().limit(MOST_KNOWN).toList();
    }

    private ModelAndView page(SignedIn user, Map<String, String> fields, List<String> problems) {
        ModelAndView page = new ModelAndView("begin/new");
        Wording words = viewing.wording(user);
        page.addObject(
                "seats",
                shelf.seats(user.pointId()).stream()
                        .map(each -> new Drawn(
                                each.id(),
                                each.title(),
                                each.confirmed(),
                                shelf.newestSeat(user.pointId(), each.id())
                                        .map(seat -> shelf.pictures().seat(user.pointId(), seat))
                                        .orElse("")))
                        .toList());
        page.addObject(
                "cars",
                shelf.cars(user.pointId()).stream()
                        .map(each -> new Drawn(
                                each.id(),
                                each.title(),
                                each.confirmed(),
                                shelf.newestCar(user.pointId(), each.id())
                                        .map(car -> shelf.pictures().car(user.pointId(), car, words))
                                        .orElse("")))
                        .toList());
        Map<String, String> filled = new LinkedHashMap<>(fields);
        filled.computeIfAbsent("reference", none -> beginnings.nextReference(user.pointId()));
        page.addObject("typed", filled);
        page.addObject("wrong", Map.of());
        page.addObject("sure", Map.of());
        page.addObject("problems", problems);
        return page;
    }
}
