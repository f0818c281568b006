package app.layette.web.workbench;

import app.layette.core.drawing.HarnessView;
import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FieldProblem;
import app.layette.core.entry.How;
import app.layette.core.entry.UnitId;
import app.layette.core.run.Run;
import app.layette.core.run.Step;
import app.layette.core.step.Ask;
import app.layette.core.step.StepKey;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.EntryForm;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.workbench.AskForms.Typed;
import app.layette.web.workbench.Workbench.Focus;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/**
 * Both hands full: the steps of a phase, one act a screen, to be read from an arm's length. What was done is entered
 * with one press at the end; what only an eye can tell is asked on the workbench afterwards.
 */
@Controller
class HandsController {
    /** One act, as large as the screen. */
    public record Slide(String title, String says, String stance, String svg, String picture) {}

    /** An act that is entered at the end. */
    public record Done(String act, String words) {}

    private final Fittings fittings;
    private final Viewing viewing;

    HandsController(Fittings fittings, Viewing viewing) {
        this.fittings = fittings;
        this.viewing = viewing;
    }

    @GetMapping("/fittings/{id}/hands")
    String hands(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String step,
            @RequestParam(defaultValue = "") String run,
            Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        boolean cover = run.equals("cover");
        List<Step> steps = cover ? List.of() : steps(fitting, step);
        List<Slide> slides = new ArrayList<>();
        List<Done> done = new ArrayList<>();
        for (Step each : steps) {
            slides.addAll(slides(fitting, words, each.key()));
            acts(each).forEach(act -> done.add(new Done(act.name(), words.say("act." + act))));
        }
        if (cover) {
            slides.addAll(ofTheCover(fitting, words));
            done.add(new Done(Act.COVER_CHANGED.name(), words.say("act." + Act.COVER_CHANGED)));
        }
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("slides", slides);
        model.addAttribute("done", done);
        model.addAttribute("lastSeq", fitting.plan().situation().lastSeq());
        model.addAttribute("open", fitting.plan().state().isUnderWay());
        model.addAttribute(
                "from",
                steps.isEmpty() ? StepKey.THREAD.name() : steps.get(0).key().name());
        return "workbench/hands";
    }

    /** Cover off and on again (HAR-4): the order in which it comes off is the other way round for going on. */
    private static List<Slide> ofTheCover(Fittings.Planned fitting, Wording words) {
        List<Slide> slides = new ArrayList<>();
        String svg = SvgWriter.write(HarnessView.of(fitting.plan().situation()), words, link -> Optional.empty());
        for (int line = 1; words.knows("cover." + line); line++) {
            slides.add(new Slide(words.say("page.hands.cover"), words.say("cover." + line), "", svg, ""));
        }
        return slides;
    }

    /** From a step to the end of its phase. */
    private static List<Step> steps(Fittings.Planned fitting, String from) {
        Run run = fitting.plan().run();
        Optional<Step> first = Arrays.stream(StepKey.values())
                .filter(key -> key.name().equals(from))
                .findFirst()
                .flatMap(run::step)
                .or(run::current);
        List<Step> steps = new ArrayList<>();
        boolean reached = false;
        for (Step each : run.steps()) {
            reached |= first.filter(each::equals).isPresent();
            boolean samePhase =
                    first.filter(one -> one.key().phase() == each.key().phase()).isPresent();
            if (reached && samePhase) {
                steps.add(each);
            }
        }
        return steps;
    }

    /** What the workbench says of a step, a sentence a screen. */
    private static List<Slide> slides(Fittings.Planned fitting, Wording words, StepKey key) {
        Workbench bench = Workbench.of(fitting, words, new Focus(Optional.of(key), "", "", Typed.NOTHING, List.of()));
        Workbench.Now now = bench.now();
        List<String> sentences = new ArrayList<>(Arrays.asList(now.what().split("(?<=[.!?])\\s+")));
        sentences.addAll(now.says());
        now.advised()
                .map(Workbench.Advised::title)
                .filter(title -> !title.isEmpty())
                .ifPresent(sentences::add);
        List<Slide> slides = new ArrayList<>();
        for (String sentence : sentences) {
            boolean first = slides.isEmpty();
            slides.add(new Slide(
                    now.title(),
                    sentence,
                    first ? now.stance() : "",
                    // It is only looked at here: nothing in it leads anywhere.
                    bench.board().svg().replaceAll("<a [^>]*>", "<g>").replace("</a>", "</g>"),
                    first ? now.stancePicture() : ""));
        }
        return slides;
    }

    private static List<Act> acts(Step step) {
        return step.asks().stream()
                .filter(ask -> ask.kind() == Ask.Kind.ACT && !ask.answered())
                .map(ask -> Act.valueOf(ask.key()))
                .toList();
    }

    /** What was done, all of it or nothing. */
    @PostMapping("/fittings/{id}/hands")
    String done(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam MultiValueMap<String, String> sent,
            RedirectAttributes after) {
        Map<String, String> fields = sent.toSingleValueMap();
        EntryForm form = new EntryForm(fields, viewing.clock());
        UnitId unit = fittings.unit(id, user.pointId());
        List<EntryDraft> drafts = new ArrayList<>();
        try {
            for (String name : sent.getOrDefault("act", List.of())) {
                drafts.add(form.markOfLook(name, new Fact.Acted(unit, act(name)), How.MEASURED));
            }
            if (!drafts.isEmpty()) {
                fittings.appendTogether(id, drafts, user.pointId(), user.author());
            }
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, viewing.wording(user)));
            return "redirect:/fittings/" + id + "/hands?step=" + stepOf(fields);
        }
        return "redirect:/fittings/" + id;
    }

    private static Act act(String name) {
        return Arrays.stream(Act.values())
                .filter(act -> act.name().equals(name))
                .findFirst()
                .orElseThrow(() -> RefusedEntryException.fields(List.of(FieldProblem.notAmong(
                        "act", name, Arrays.stream(Act.values()).map(Enum::name).toList()))));
    }

    private static String stepOf(Map<String, String> fields) {
        return Arrays.stream(StepKey.values())
                .map(Enum::name)
                .filter(name -> name.equals(fields.get("from")))
                .findFirst()
                .orElse(StepKey.CHILD.name());
    }
}
