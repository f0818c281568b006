package app.layette.web.workbench;

import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.How;
import app.layette.core.entry.Situation;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.run.Ask;
import app.layette.core.run.Run;
import app.layette.core.run.Step;
import app.layette.core.run.StepKey;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.FactForm;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.Problems;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.roll.RollGood;
import app.layette.web.roll.RollGoodForm;
import app.layette.web.roll.RollGoods;
import app.layette.web.shelf.Shelf;
import app.layette.web.workbench.AskForms.Typed;
import app.layette.web.workbench.Workbench.Focus;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.DateTimeException;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.HtmlUtils;

/** The workbench, and the one way in for entries. */
@Controller
@RequestMapping("/fittings/{id}")
class FittingController {
    private static final String PAGE = "workbench/workbench";
    private static final String TRIED = "workbench/parts :: tried";
    private static final String CHANGED = "workbench/workbench :: changed";

    private static final int LONGEST_WAIT_DAYS = 7;
    private static final int CLOCK_MINUTES = 5;

    private final Fittings fittings;
    private final Viewing viewing;
    private final RollGoods goods;
    private final AngleGauge gauge;
    private final BabyScale scale;
    private final Shelf shelf;

    FittingController(
            Fittings fittings, Viewing viewing, RollGoods goods, AngleGauge gauge, BabyScale scale, Shelf shelf) {
        this.fittings = fittings;
        this.viewing = viewing;
        this.goods = goods;
        this.gauge = gauge;
        this.scale = scale;
        this.shelf = shelf;
    }

    @GetMapping
    ModelAndView show(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String step,
            @RequestParam(defaultValue = "") String ask,
            @RequestParam(defaultValue = "") String view,
            @RequestParam(defaultValue = "") String pick,
            @RequestParam(name = "try") Optional<String> tried,
            @RequestParam Map<String, String> fields) {
        RollGoodForm here = RollGoodForm.cloth(fields, viewing.wording(user).say("roll.here"));
        Map<String, String> asked = new LinkedHashMap<>(fields);
        asked.put("kind", ReclineAsks.HERE);
        Typed typed =
                here.good().isEmpty() && here.problems().isEmpty() ? Typed.NOTHING : new Typed(asked, here.problems());
        Focus focus = new Focus(stepKey(step), ask, view, typed, List.of())
                .trying(tried)
                .picking(pick)
                .with(new Stock(here.good().stream().toList()));
        return page(user, id, focus, PAGE);
    }

    /** What to expect of a setting that is only tried. */
    @GetMapping("/try")
    ModelAndView tried(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam String setting,
            @RequestParam(defaultValue = "") String step) {
        Focus focus = new Focus(stepKey(step), "", "side", Typed.NOTHING, List.of()).trying(Optional.of(setting));
        return page(user, id, focus, TRIED);
    }

    /** Reads the angle gauge; a gauge that does not answer is nothing unusual. */
    @GetMapping(path = "/gauge", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> gauge(
            @AuthenticationPrincipal SignedIn user, @PathVariable UUID id, @RequestParam Fact.Stage stage) {
        Situation situation = fittings.planned(id, user.pointId()).plan().situation();
        return gauge.read(id, situation, stage)
                .map(angle -> ResponseEntity.ok(String.valueOf(angle.degrees())))
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    /** Reads the scale or the length board, as it would be typed; nothing where it does not answer. */
    @GetMapping(path = "/scale", produces = MediaType.TEXT_PLAIN_VALUE)
    ResponseEntity<String> scale(
            @AuthenticationPrincipal SignedIn user, @PathVariable UUID id, @RequestParam String what) {
        Situation situation = fittings.planned(id, user.pointId()).plan().situation();
        Optional<String> reading = what.equals("length")
                ? scale.measure(id, situation).map(length -> length.millimetres() / 10 + " cm")
                : scale.weigh(id, situation).map(mass -> mass.grams() / 1000 + " kg");
        return reading.map(ResponseEntity::ok)
                .orElseGet(() -> ResponseEntity.noContent().build());
    }

    /** What colleagues changed since a place; nothing when nobody did. */
    @GetMapping("/changes")
    ModelAndView changes(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String step,
            @RequestParam(defaultValue = "") String view,
            WebRequest request) {
        if (request.checkNotModified(String.valueOf(fittings.lastSeq(id, user.pointId())))) {
            return null;
        }
        return page(user, id, new Focus(stepKey(step), "", view, Typed.NOTHING, List.of()), CHANGED);
    }

    /** Says a number in the other unit system as it is typed, or what is wrong with it. */
    @GetMapping("/echo")
    @ResponseBody
    String echo(@AuthenticationPrincipal SignedIn user, @RequestParam Map<String, String> fields) {
        return HtmlUtils.htmlEscape(Echo.of(fields, viewing.wording(user)));
    }

    /** Takes an entry from a form, and answers with what it changed. */
    @PostMapping("/entries")
    ModelAndView append(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Map<String, String> fields,
            HtmxRequest htmx,
            HttpServletResponse response) {
        Optional<StepKey> step = stepKey(fields.getOrDefault("nav-step", ""));
        String view = fields.getOrDefault("nav-view", "");
        Fittings.Appended appended;
        try {
            appended = fittings.append(id, draft(fields), user.pointId(), user.author());
        } catch (RefusedEntryException e) {
            return refused(user, id, fields, step, view, htmx, e);
        }
        Fittings.Planned after = appended.after();
        Optional<StepKey> next = next(after.plan(), step);
        // Another step is about something else: it brings its own view.
        String nextView = next.equals(step) ? view : "";
        String target = target(id, next, nextView);
        if (!htmx.isHtmxRequest()) {
            return new ModelAndView("redirect:" + target);
        }
        response.setHeader("HX-Push-Url", target);
        Focus focus = new Focus(next, "", nextView, Typed.NOTHING, List.of()).after(appended.changed());
        return page(user, after, focus, CHANGED);
    }

    private ModelAndView refused(
            SignedIn user,
            UUID id,
            Map<String, String> fields,
            Optional<StepKey> step,
            String view,
            HtmxRequest htmx,
            RefusedEntryException e) {
        Wording words = viewing.wording(user);
        List<String> problems = e.reason().isEmpty()
                ? e.problems().stream().map(each -> Problems.say(each, words)).toList()
                : List.of(words.say("refused." + e.reason()));
        Focus focus =
                new Focus(step, fields.getOrDefault("nav-ask", ""), view, new Typed(fields, e.problems()), problems);
        ModelAndView page = page(user, id, focus, htmx.isHtmxRequest() ? CHANGED : PAGE);
        page.addObject("gateShut", e.reason().equals("GATE_SHUT"));
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    /** Stays on a step until it is done, then goes on to what is next. */
    private static Optional<StepKey> next(FittingPlan plan, Optional<StepKey> step) {
        Run run = plan.run();
        boolean moreHere = step.flatMap(run::step)
                .map(each -> each.state() != Step.State.DONE
                        || offersLook(each)
                        || each.key() == StepKey.DEVICE && isAdvisedElse(plan))
                .orElse(false);
        return moreHere ? step : run.current().map(Step::key);
    }

    /** A look that teaches the advice is offered before the step is left. */
    private static boolean offersLook(Step step) {
        return step.asks().stream().anyMatch(ask -> ask.kind() == Ask.Kind.LEVEL && ask.optional() && !ask.answered());
    }

    /** Whether a look has shown that another setting is likelier. */
    private static boolean isAdvisedElse(FittingPlan plan) {
        return plan.recline()
                .filter(advice -> advice.looks() > 0 && advice.recommended().isPresent())
                .map(advice -> !advice.byRoll() && !advice.recommended().equals(advice.settingNow()))
                .orElse(false);
    }

    private static String target(UUID id, Optional<StepKey> step, String view) {
        String key = step.map(StepKey::name).orElse("");
        String known = view.matches("[a-z]{1,10}") ? "&view=" + view : "";
        return "/fittings/" + id + "?step=" + key + known;
    }

    private ModelAndView page(SignedIn user, UUID id, Focus focus, String template) {
        return page(user, fittings.planned(id, user.pointId()), focus, template);
    }

    private ModelAndView page(SignedIn user, Fittings.Planned planned, Focus focus, String template) {
        ModelAndView page = new ModelAndView(template);
        List<RollGood> kept =
                goods.of(user.pointId()).stream().map(RollGoods.Kept::good).toList();
        Focus equipped = focus.with(new Stock(kept, focus.stock().here(), shelf.cars(user.pointId())));
        page.addObject("bench", Workbench.of(planned, viewing.wording(user), equipped));
        page.addObject("user", user);
        return page;
    }

    private EntryDraft draft(Map<String, String> fields) {
        Fact fact = FactForm.read(fields);
        UUID entryId = uuid(fields.get("id")).orElseGet(UUID::randomUUID);
        int seen = fields.getOrDefault("seen", "0").matches("\\d{1,9}")
                ? Integer.parseInt(fields.getOrDefault("seen", "0"))
                : 0;
        return new EntryDraft(
                entryId,
                seen,
                madeAt(fields),
                howKnown(fact, fields),
                uuid(fields.get("corrects")).orElse(null),
                fact,
                fields.containsKey("waited"));
    }

    /**
     * When it was made, for entries that waited in the browser: no older than a week, and not after now; a clock that is a
     * few minutes fast is taken back to now.
     */
    private OffsetDateTime madeAt(Map<String, String> fields) {
        String text = fields.getOrDefault("at", "").strip();
        if (text.isEmpty()) {
            return null;
        }
        OffsetDateTime now = OffsetDateTime.now(viewing.clock());
        try {
            OffsetDateTime at = OffsetDateTime.parse(text);
            if (at.isBefore(now.minusDays(LONGEST_WAIT_DAYS)) || at.isAfter(now.plusMinutes(CLOCK_MINUTES))) {
                throw RefusedEntryException.fields(
                        List.of(FieldProblem.outside("at", text, now.minusDays(LONGEST_WAIT_DAYS), now)));
            }
            return at.isAfter(now) ? now : at;
        } catch (DateTimeException e) {
            throw RefusedEntryException.fields(List.of(new FieldProblem("at", text, "NOT_A_DATE", "", "")));
        }
    }

    private How howKnown(Fact fact, Map<String, String> fields) {
        boolean pretended =
                gauge.isSimulated() && fact instanceof Fact.AngleRead read && read.source() == Fact.AngleSource.GAUGE;
        return pretended ? new How(How.Kind.SIMULATED, "") : how(fields);
    }

    private static How how(Map<String, String> fields) {
        return switch (fields.getOrDefault("how", "measured")) {
            case "manual" -> How.manual(page(fields));
            case "label" -> new How(How.Kind.LABEL, "");
            case "told" -> How.TOLD;
            case "estimated" -> new How(How.Kind.ESTIMATED, "");
            case "simulated" -> new How(How.Kind.SIMULATED, "");
            case "measured" -> How.MEASURED;
            default ->
                throw RefusedEntryException.fields(
                        List.of(new FieldProblem("how", fields.get("how"), "NOT_TAKEN", "", "")));
        };
    }

    /** A manual counts only with its page. */
    private static String page(Map<String, String> fields) {
        String page = fields.getOrDefault("page", "").strip();
        if (page.isEmpty()) {
            throw RefusedEntryException.fields(List.of(new FieldProblem("page", "", "NEEDED", "", "")));
        }
        return page;
    }

    private static Optional<UUID> uuid(String text) {
        try {
            return Optional.ofNullable(text).filter(each -> !each.isBlank()).map(UUID::fromString);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static Optional<StepKey> stepKey(String name) {
        return Arrays.stream(StepKey.values())
                .filter(each -> each.name().equals(name))
                .findFirst();
    }
}
