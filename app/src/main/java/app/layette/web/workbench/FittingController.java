package app.layette.web.workbench;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.TeachItem;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.recline.LevelWithChild;
import app.layette.core.run.Run;
import app.layette.core.run.Step;
import app.layette.core.seat.SettingId;
import app.layette.core.step.Ask;
import app.layette.core.step.LookKey;
import app.layette.core.step.StepKey;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.EntryForm;
import app.layette.web.fitting.FactForm;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.fitting.Unusual;
import app.layette.web.roll.RollGoodForm;
import app.layette.web.roll.RollGoods;
import app.layette.web.shelf.Shelf;
import app.layette.web.workbench.AskForms.Typed;
import app.layette.web.workbench.Workbench.Focus;
import io.github.wimdeblauwe.htmx.spring.boot.mvc.HtmxRequest;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.util.MultiValueMap;
import org.springframework.util.function.SingletonSupplier;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.ModelAndView;

/** The workbench, and the one way in for entries. */
@Controller
@RequestMapping("/fittings/{id}")
class FittingController {
    private static final String PAGE = "workbench/workbench";
    private static final String TRIED = "workbench/parts :: tried";
    private static final String CHANGED = "workbench/workbench :: changed";

    private final Fittings fittings;
    private final Viewing viewing;
    private final RollGoods goods;
    private final AngleGauge gauge;
    private final BabyScale scale;
    private final Shelf shelf;
    private final HttpServletRequest request;

    /**
     * One for all requests.
     *
     * @param request stands for the one that is being answered
     */
    FittingController(
            Fittings fittings,
            Viewing viewing,
            RollGoods goods,
            AngleGauge gauge,
            BabyScale scale,
            Shelf shelf,
            HttpServletRequest request) {
        this.request = request;
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
                .trying(tried.map(SettingId::new))
                .picking(pick)
                .with(new Stock(here.good().stream().toList()));
        // Who goes on from another step says what of the page stands there already.
        return page(user, id, focus, shows().isEmpty() ? PAGE : CHANGED);
    }

    /** What to expect of a setting that is only tried. */
    @GetMapping("/try")
    ModelAndView tried(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam String setting,
            @RequestParam(defaultValue = "") String step) {
        Focus focus = new Focus(stepKey(step), "", "side", Typed.NOTHING, List.of())
                .trying(Optional.of(new SettingId(setting)));
        return page(user, id, focus, TRIED);
    }

    /**
     * A place and a way that are only tried: what it comes to, and what choosing it would change.
     *
     * @param alone whether the drawing is in somebody's hand and stays as it is
     */
    @GetMapping("/place")
    ModelAndView place(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String pick,
            @RequestParam(defaultValue = "false") boolean alone) {
        Focus focus = new Focus(Optional.of(StepKey.PLACE), "", "cabin", Typed.NOTHING, List.of()).picking(pick);
        ModelAndView tried = page(user, id, focus, CHANGED);
        if (alone) {
            tried.getModel().computeIfPresent("pieces", (name, pieces) -> ((Pieces) pieces).withoutDrawing());
        }
        return tried;
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
    @Nullable
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
            appended = fittings.tell(id, user.pointId(), user.author(), before -> {
                AnswerNames.check(before, viewing.wording(user), step, fields);
                EntryDraft draft = draft(user, id, before.situation(), fields);
                return together(user, fields, draft, before.situation());
            });
        } catch (RefusedEntryException e) {
            return refused(user, id, fields, step, view, htmx, e);
        }
        return answered(user, id, step, view, appended, fields, htmx, response);
    }

    private ModelAndView answered(
            SignedIn user,
            UUID id,
            Optional<StepKey> step,
            String view,
            Fittings.Appended appended,
            Map<String, String> fields,
            HtmxRequest htmx,
            HttpServletResponse response) {
        Fittings.Planned after = appended.after();
        Optional<StepKey> next = next(after.plan(), step);
        // Another step is about something else: it brings its own view.
        String nextView = next.equals(step) ? view : "";
        String target = target(id, next, nextView);
        if (!htmx.isHtmxRequest()) {
            return new ModelAndView("redirect:" + target);
        }
        // An answer is no place to come back to: the address follows the step, and Back leaves the fitting's page.
        response.setHeader("HX-Replace-Url", target);
        Focus focus = new Focus(next, "", nextView, Typed.NOTHING, List.of())
                .after(appended.changed())
                .answeredAt(step.map(StepKey::name).orElse(""), fields.getOrDefault("nav-ask", ""));
        return page(user, after, focus, CHANGED);
    }

    /** What one press told besides: the other side of an indicator, the caregiver's own hand, the length with the weight. */
    private List<EntryDraft> together(
            SignedIn user, Map<String, String> fields, EntryDraft draft, Situation situation) {
        EntryForm form = new EntryForm(fields, viewing.clock());
        List<Fact> more = new ArrayList<>();
        if (draft.fact() instanceof Fact.LevelRead && fields.containsKey(ReclineAsks.BOTH_SIDES)) {
            more.add(new Fact.Answered(situation.unit().id(), Question.SIDES, LevelWithChild.Answer.ALIKE));
        }
        Arrays.stream(TeachItem.values())
                .filter(item -> item.name().equals(fields.get(AskForms.TAUGHT)))
                .filter(item -> item.change().isEmpty())
                .forEach(item -> more.add(new Fact.Taught(situation.unit().id(), item, Fact.TeachOutcome.DONE, null)));
        if (draft.fact() instanceof Fact.Weighed
                && !fields.getOrDefault("length", "").isBlank()) {
            Map<String, String> length = new HashMap<>(fields);
            length.put("kind", "lengthMeasured");
            length.put("what", Fact.Dimension.BODY.name());
            LocalDate day = form.day(viewing.point(user).zone());
            Fact measured = FactForm.read(length, day);
            checkUnusual(user, measured, fields, day, situation);
            more.add(measured);
        }
        List<EntryDraft> drafts = new ArrayList<>(List.of(draft));
        more.forEach(fact -> drafts.add(form.markOfLook(String.valueOf(drafts.size()), fact, draft.how())));
        return drafts;
    }

    /**
     * Takes what one look told: the marks that are as drawn. What is drawn is computed here; a mark that has been drawn
     * otherwise since, or was told by somebody else, is not taken, and neither are the others.
     */
    @PostMapping("/look")
    ModelAndView look(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam MultiValueMap<String, String> sent,
            HtmxRequest htmx,
            HttpServletResponse response) {
        Map<String, String> fields = sent.toSingleValueMap();
        Optional<StepKey> step = stepKey(fields.getOrDefault("nav-step", ""));
        String view = fields.getOrDefault("nav-view", "");
        Fittings.Appended appended;
        try {
            EntryForm form = new EntryForm(fields, viewing.clock());
            Set<String> told = new LinkedHashSet<>(sent.getOrDefault("mark", List.of()));
            LookKey look = Arrays.stream(LookKey.values())
                    .filter(each -> each.name().equals(fields.get("look")))
                    .findFirst()
                    .orElseThrow(() -> RefusedEntryException.because("LOOK_CHANGED"));
            appended = fittings.appendLook(id, form, look, told, user.pointId(), user.author());
        } catch (RefusedEntryException e) {
            return refused(user, id, fields, step, view, htmx, e);
        }
        return answered(user, id, step, view, appended, fields, htmx, response);
    }

    /** Takes the last answer back, as long as nothing else came. */
    @PostMapping("/undo")
    ModelAndView undo(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam Map<String, String> fields,
            HtmxRequest htmx,
            HttpServletResponse response) {
        Optional<StepKey> step = stepKey(fields.getOrDefault("nav-step", ""));
        Fittings.Appended appended;
        try {
            EntryDraft draft = new EntryForm(fields, viewing.clock())
                    .draft(new Fact.Withdrawn(fittings.unit(id, user.pointId())), How.MEASURED);
            appended = fittings.undo(id, draft, user.pointId(), user.author());
        } catch (RefusedEntryException e) {
            return refused(user, id, fields, step, "", htmx, e);
        }
        String target = target(id, step, "");
        if (!htmx.isHtmxRequest()) {
            return new ModelAndView("redirect:" + target);
        }
        response.setHeader("HX-Replace-Url", target);
        Focus focus = new Focus(step, fields.getOrDefault("nav-ask", ""), "", Typed.NOTHING, List.of())
                .after(appended.changed());
        return page(user, appended.after(), focus, CHANGED);
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
                ? e.problems().stream().map(each -> words.say(each)).toList()
                : List.of(words.say("refused." + e.reason()));
        Focus focus =
                new Focus(step, fields.getOrDefault("nav-ask", ""), view, new Typed(fields, e.problems()), problems);
        ModelAndView page = page(user, id, focus, htmx.isHtmxRequest() ? CHANGED : PAGE);
        page.addObject("gateShut", e.reason().equals("GATE_SHUT"));
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    /** Stays on a step as long as it asks for something, then goes on. */
    private static Optional<StepKey> next(FittingPlan plan, Optional<StepKey> step) {
        Run run = plan.run();
        Optional<Step> here = step.flatMap(run::step);
        boolean moreHere = here.map(each ->
                        each.holdsUp() || offersLook(each) || each.key() == StepKey.DEVICE && isAdvisedElse(plan))
                .orElse(false);
        return moreHere
                ? step
                : here.map(each -> run.after(each.key()))
                        .orElseGet(run::current)
                        .map(Step::key);
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

    /** What the browser says it shows already; nothing where it does not say. */
    private String shows() {
        return Optional.ofNullable(request.getHeader(Pieces.HEADER)).orElse("");
    }

    private ModelAndView page(SignedIn user, Fittings.Planned planned, Focus focus, String template) {
        ModelAndView page = new ModelAndView(template);
        Focus equipped = focus.with(new Stock(
                        SingletonSupplier.of(() -> goods.of(user.pointId()).stream()
                                .map(RollGoods.Kept::good)
                                .toList()),
                        focus.stock().here(),
                        SingletonSupplier.of(() -> shelf.cars(user.pointId())),
                        SingletonSupplier.of(() -> fittings.lastSetUp(planned, user.pointId()))))
                .seenBy(user.author(), viewing.clock().instant());
        Workbench bench = Workbench.of(planned, viewing.wording(user), equipped);
        page.addObject("bench", bench);
        page.addObject("pieces", Pieces.of(bench, template.equals(CHANGED) ? shows() : ""));
        page.addObject("user", user);
        return page;
    }

    private EntryDraft draft(SignedIn user, UUID id, Situation situation, Map<String, String> fields) {
        EntryForm form = new EntryForm(fields, viewing.clock());
        LocalDate day = form.day(viewing.point(user).zone());
        Fact fact = FactForm.readByHand(fields, day);
        checkUnusual(user, fact, fields, day, situation);
        return form.draft(fact, howKnown(id, fact, form));
    }

    /** A measure that hardly any child of this age has is asked about before it is kept. */
    private void checkUnusual(
            SignedIn user, Fact fact, Map<String, String> fields, LocalDate day, Situation situation) {
        situation
                .child()
                .flatMap(child -> Unusual.problem(fact, child.value(), day, fields, viewing.wording(user)))
                .ifPresent(problem -> {
                    throw RefusedEntryException.fields(List.of(problem));
                });
    }

    private How howKnown(UUID id, Fact fact, EntryForm form) {
        boolean pretended = scale.pretended(id, fact)
                || gauge.isSimulated()
                        && fact instanceof Fact.AngleRead read
                        && read.source() == Fact.AngleSource.GAUGE;
        return pretended ? new How(How.Kind.SIMULATED, "") : form.how();
    }

    private static Optional<StepKey> stepKey(String name) {
        return Arrays.stream(StepKey.values())
                .filter(each -> each.name().equals(name))
                .findFirst();
    }
}
