package app.layette.web.workbench;

import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.Shape;
import app.layette.core.entry.Act;
import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Situation;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.look.Mark;
import app.layette.core.look.OneLook;
import app.layette.core.misuse.AsFound;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.run.SheetSays;
import app.layette.core.run.Step;
import app.layette.core.seat.LegUse;
import app.layette.core.secure.TurnedBack;
import app.layette.core.stance.Stance;
import app.layette.core.step.Ask;
import app.layette.core.step.Phase;
import app.layette.core.step.StepKey;
import app.layette.formats.record.FactWords;
import app.layette.formats.svg.ClipPicture;
import app.layette.formats.svg.StancePicture;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.DateWords;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.Joinings;
import app.layette.web.fitting.RemovalWords;
import app.layette.web.fitting.Undoing;
import app.layette.web.workbench.Workbench.Advised;
import app.layette.web.workbench.Workbench.Board;
import app.layette.web.workbench.Workbench.Due;
import app.layette.web.workbench.Workbench.Focus;
import app.layette.web.workbench.Workbench.GoOn;
import app.layette.web.workbench.Workbench.LastAnswer;
import app.layette.web.workbench.Workbench.LookView;
import app.layette.web.workbench.Workbench.Now;
import app.layette.web.workbench.Workbench.PhaseView;
import app.layette.web.workbench.Workbench.StepView;
import app.layette.web.workbench.Workbench.Tab;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Puts the workbench of one fitting together: the run, the open step, the drawing, the findings. */
final class WorkbenchBuilder {
    /** Longer ago it is no slip of the hand: the record takes it back with its reason. */
    private static final Duration LONGEST_UNDO = Duration.ofHours(12);

    private static final String BEFORE_BIRTH = "step.HAND_OVER.beforeBirth";

    private final Fittings.Planned fitting;
    private final FittingPlan plan;
    private final Situation situation;
    private final Wording words;
    private final Focus focus;
    private final FindingLines findings;
    private final Step current;
    private final Optional<OneLook> look;

    WorkbenchBuilder(Fittings.Planned fitting, Wording words, Focus focus) {
        this.fitting = fitting;
        this.plan = fitting.plan();
        this.situation = plan.situation();
        this.words = words;
        this.focus = focus;
        this.findings = new FindingLines(plan, words);
        List<Step> steps = plan.run().steps();
        this.current = focus.step()
                .flatMap(plan.run()::step)
                .or(() -> plan.run().current())
                .orElse(steps.get(steps.size() - 1));
        this.look = plan.state().isUnderWay() ? OneLook.at(plan, current.key()) : Optional.empty();
    }

    Workbench build() {
        Map<String, String> changes = new LinkedHashMap<>();
        for (Act act : Act.values()) {
            act.change()
                    .filter(change -> canHappen(act))
                    .ifPresent(change -> changes.put(act.name(), words.say("act." + act)));
        }
        return WorkbenchParts.builder()
                .id(fitting.id())
                .unit(situation.unit().id().text())
                .head(new HeadLine(fitting, words).head())
                .phases(phases())
                .now(now())
                .board(board())
                .groups(findings.groups())
                .blockers(findings.blockers())
                .changes(changes)
                .lastSeq(situation.lastSeq())
                .walkFirst(walkFirst())
                .open(plan.state().isUnderWay())
                .mayGoOn(Joinings.mayGoOn(fitting))
                .build();
    }

    /** Whether it can happen with this method to this seat. */
    private boolean canHappen(Act act) {
        return act.isPartOf(plan.method()) && (act != Act.TURNED_TO_DOOR || TurnedBack.isThereIn(situation));
    }

    /** A step by name: what a restraint does not have is not named. */
    private String name(StepKey key) {
        return words.say(nameKey(key));
    }

    private boolean isLegless() {
        return situation
                .seat()
                .flatMap(seat -> seat.leg().value())
                .map(leg -> leg == LegUse.NO_LEG)
                .orElse(false);
    }

    /** What a seat was like when it came can only be seen until somebody touches it. */
    private boolean walkFirst() {
        boolean touched = Stream.of(Fact.Acted.class, Fact.SlotsSet.class, Fact.InsertSet.class, Fact.DeviceSet.class)
                .anyMatch(kind -> !situation.history(kind).isEmpty());
        return !touched
                && plan.state().isUnderWay()
                && !situation.isBedside()
                && AsFound.of(plan).looked() == 0;
    }

    private List<PhaseView> phases() {
        List<PhaseView> phases = new ArrayList<>();
        Phase phase = null;
        List<StepView> steps = new ArrayList<>();
        for (Step step : plan.run().steps()) {
            if (step.key().phase() != phase) {
                phase = step.key().phase();
                steps = new ArrayList<>();
                phases.add(new PhaseView(words.say("phase." + phase), steps));
            }
            steps.add(stepView(step));
        }
        return phases;
    }

    private StepView stepView(Step step) {
        boolean here = step.key() == current.key();
        String note = step.state() == Step.State.DONE || step.state() == Step.State.OPEN
                ? ""
                : words.say("stepState." + step.state());
        return new StepView(
                step.key().name(),
                name(step.key()),
                note,
                step.state().name().toLowerCase(Locale.ROOT),
                words.say("stepState." + step.state()),
                here);
    }

    private Now now() {
        StepKey key = current.key();
        AskViews views = new AskViews(plan, words, focus);
        Optional<LookView> shown = look.map(each -> new LookViews(situation.seat(), words, views).look(each));
        List<String> inLook = shown.map(LookView::marks).orElse(List.of()).stream()
                .map(mark -> mark.ask().key())
                .toList();
        List<AskView> asks = current.asks().stream()
                .map(each -> each.optional() ? views.of(each).offered() : views.of(each))
                .filter(each -> !inLook.contains(each.key()))
                .toList();
        String next =
                shown.isPresent() ? "" : current.nextAsk().map(AskForms::id).orElse("");
        String active = focus.ask().isEmpty() ? next : focus.ask();
        return WorkbenchNowParts.builder()
                .key(key.name())
                .place(plan.run().placeOf(key))
                .of(plan.run().steps().size())
                .phase(words.say("phase." + key.phase()))
                .title(name(key))
                .what(words.say(whatToDo(key)))
                .stance(new StanceWords(plan, words).stance(key))
                .stancePicture(Stance.of(situation, key).map(StancePicture::of).orElse(""))
                .look(shown)
                .asks(asks)
                .activeAsk(active)
                .findings(findings.lines(key))
                .problems(focus.problems())
                .changed(focus.changed()
                        .map(new ChangeWords(plan, words)::changed)
                        .orElse(List.of()))
                .advised(advised(key))
                .placeWhy(key == StepKey.PLACE ? PlaceWhy.of(plan, words, focus.picked()) : Optional.empty())
                .places(key == StepKey.PLACE ? PlaceWhy.lines(plan, words, focus.picked()) : List.of())
                .coming(coming(key))
                .removal(key == StepKey.TEACH ? RemovalWords.of(situation, words) : List.of())
                .says(current.says().stream()
                        .map(each -> words.say(each.message(), each.arguments()))
                        .toList())
                .saysTitle(words.say("says.title"))
                .saysPicture(
                        current.says().stream().anyMatch(each -> each.isAbout(SheetSays.LOCKING_CLIP))
                                ? ClipPicture.svg()
                                : "")
                .goOn(goOn())
                .last(lastAnswer())
                .build();
    }

    /** What was entered last, for whoever entered it not long ago, to be taken back in one tap. */
    private Optional<LastAnswer> lastAnswer() {
        return focus.looking()
                .filter(looking -> plan.state().isUnderWay())
                .flatMap(looking -> Undoing.last(situation.own(), looking.by().id())
                        .filter(entry ->
                                entry.at().toInstant().isAfter(looking.at().minus(LONGEST_UNDO))))
                .map(entry -> new LastAnswer(
                        undone(entry),
                        focus.answered().step().isEmpty()
                                ? current.key().name()
                                : focus.answered().step(),
                        focus.answered().ask()));
    }

    /** What a tap takes back: the answer, or how many came with it. */
    private String undone(Entry last) {
        int together = Undoing.whole(situation.own(), last.by().id()).size();
        return together > 1
                ? words.say("undo.whole", Map.of("count", Argument.of(together)))
                : new FactWords(words).says(last.fact());
    }

    /** What comes next belongs to the child's measures and to the talk at the end. */
    private List<Due> coming(StepKey key) {
        boolean here = key == StepKey.FITS || key == StepKey.TEACH || key == StepKey.HAND_OVER;
        return plan.dates().stream()
                .filter(event -> here)
                .map(event -> new Due(words.say(event.key()), DateWords.when(event, words)))
                .toList();
    }

    /** The advice, where the recline is set or looked at. */
    private Optional<Advised> advised(StepKey key) {
        boolean here = key == StepKey.DEVICE || key == StepKey.TIGHTEN || key == StepKey.LEVEL_CHILD;
        return plan.recline()
                .filter(advice -> here && plan.state().isUnderWay())
                .map(this::advised);
    }

    private Advised advised(ReclineAdvice advice) {
        AdviceWords said = Ladder.words(situation, advice, words);
        boolean asSet = advice.recommended().equals(advice.settingNow());
        List<String> sentences = new ArrayList<>();
        advice.toTry().ifPresent(setting -> sentences.addAll(said.expect(setting, Optional.empty())));
        sentences.addAll(said.basis(ReclineAdvice.wantsMostReclined(situation)));
        return new Advised(
                advice.toTry()
                        .map(setting -> asSet ? said.isOn(setting) : said.setTo(setting))
                        .orElse(""),
                sentences,
                advice.offered()
                        .flatMap(advice::setting)
                        .map(setting -> words.say("advice.offered", Map.of("setting", Argument.of(said.isOn(setting)))))
                        .orElse(""),
                said.waysOut());
    }

    /** A step is left by a word where it only offers something more, or where what it asks cannot be told now. */
    private Optional<GoOn> goOn() {
        boolean offers = current.asks().stream().anyMatch(ask -> !ask.answered());
        return plan.run()
                .after(current.key())
                .filter(next ->
                        offers && next.key() != current.key() && plan.state().isUnderWay())
                .map(next -> new GoOn(
                        next.key().name(), words.say("goOn", Map.of("step", new Argument.OfKey(nameKey(next.key()))))));
    }

    /** What a step is called: before a birth nothing is handed over, whatever the last one is. */
    private String nameKey(StepKey key) {
        if (key == StepKey.HAND_OVER && situation.expected().isPresent()) {
            return BEFORE_BIRTH;
        }
        return key == StepKey.LEG_AND_WINDOWS && isLegless() ? "step.LEG_AND_WINDOWS.legless" : "step." + key;
    }

    /** Some steps are done otherwise by another method. */
    private String whatToDo(StepKey key) {
        if (key == StepKey.LEG_AND_WINDOWS && isLegless()) {
            return "step.LEG_AND_WINDOWS.do.legless";
        }
        if (key == StepKey.HAND_OVER && situation.expected().isPresent()) {
            return BEFORE_BIRTH + ".do";
        }
        String ofMethod = "step." + key + ".do." + plan.method();
        return words.knows(ofMethod) ? ofMethod : "step." + key + ".do";
    }

    private Board board() {
        String asked = focus.view().isEmpty() && situation.isBedside() ? View.HARNESS.key() : focus.view();
        View view = View.of(asked, current.key(), plan.method());
        Drawing drawing = view.draw(new View.Shown(situation, focus.tried(), focus.picked(), marks()));
        Optional<Ladder> ladder = view == View.SIDE ? Ladder.of(plan, words, focus.tried()) : Optional.empty();
        List<Tab> tabs = View.offered(plan.method()).stream()
                .map(each -> new Tab(each.key(), words.say("view." + each), each.shortcut(), each == view))
                .toList();
        return new Board(
                view.key(),
                SvgWriter.write(drawing, words, this::address),
                ladder,
                tabs,
                view.scrolledAlong().map(words::say));
    }

    /** What the marks of the look that is due ask, in their order. */
    private List<Ask> marks() {
        return look.map(OneLook::marks).orElse(List.of()).stream()
                .map(Mark::ask)
                .toList();
    }

    /**
     * Where a mark leads: the question that it stands for, a place in the cabin to its why, a height on the shell to the
     * question about the shoulder.
     */
    private Optional<String> address(Shape.Link link) {
        if (link.target().startsWith("shoulder-")) {
            return plan.state().isUnderWay()
                    ? Optional.of(
                            "/fittings/" + fitting.id() + "?step=SHOULDER&ask=shoulder&view=harness#" + link.target())
                    : Optional.empty();
        }
        if (link.target().startsWith("mark-")) {
            String ask = AskForms.id(marks().get(Integer.parseInt(link.target().substring(5)) - 1));
            return Optional.of("/fittings/" + fitting.id() + "?step=" + current.key() + "&ask=" + ask + "#ask-" + ask);
        }
        return Optional.of("/fittings/" + fitting.id() + "?step=PLACE&view=cabin&pick=" + link.target());
    }
}
