package app.layette.web.workbench;

import app.layette.core.child.Child;
import app.layette.core.drawing.BeltView;
import app.layette.core.drawing.CabinView;
import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.HarnessView;
import app.layette.core.drawing.Shape;
import app.layette.core.drawing.TimelineView;
import app.layette.core.drawing.side.SideView;
import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Weight;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingState;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.gate.ConclusionState;
import app.layette.core.misuse.AsFound;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.recline.ReclineAdvice;
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Ask;
import app.layette.core.run.Phase;
import app.layette.core.run.Step;
import app.layette.core.run.StepKey;
import app.layette.core.stance.Stance;
import app.layette.formats.svg.StancePicture;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.DateWords;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RemovalWords;
import app.layette.web.workbench.AskForms.Typed;
import app.layette.web.workbench.Workbench.Advised;
import app.layette.web.workbench.Workbench.Blocker;
import app.layette.web.workbench.Workbench.Board;
import app.layette.web.workbench.Workbench.Due;
import app.layette.web.workbench.Workbench.FindingGroup;
import app.layette.web.workbench.Workbench.Focus;
import app.layette.web.workbench.Workbench.GoOn;
import app.layette.web.workbench.Workbench.Head;
import app.layette.web.workbench.Workbench.Line;
import app.layette.web.workbench.Workbench.Now;
import app.layette.web.workbench.Workbench.PhaseView;
import app.layette.web.workbench.Workbench.StepView;
import app.layette.web.workbench.Workbench.Tab;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Puts the workbench of one fitting together: the run, the open step, the drawing, the findings. */
final class WorkbenchBuilder {
    private final Fittings.Planned fitting;
    private final FittingPlan plan;
    private final Situation situation;
    private final Wording words;
    private final Focus focus;
    private final Step current;

    WorkbenchBuilder(Fittings.Planned fitting, Wording words, Focus focus) {
        this.fitting = fitting;
        this.plan = fitting.plan();
        this.situation = plan.situation();
        this.words = words;
        this.focus = focus;
        List<Step> steps = plan.run().steps();
        this.current = focus.step()
                .flatMap(plan.run()::step)
                .or(() -> plan.run().current())
                .orElse(steps.get(steps.size() - 1));
    }

    Workbench build() {
        Map<String, String> changes = new LinkedHashMap<>();
        for (Act act : Act.values()) {
            act.change().ifPresent(change -> changes.put(act.name(), words.say("act." + act)));
        }
        return new Workbench(
                fitting.id(),
                head(),
                phases(),
                now(),
                board(),
                groups(),
                blockers(),
                changes,
                situation.lastSeq(),
                walkFirst(),
                plan.state() == FittingState.OPEN);
    }

    /** What a seat was like when it came can only be seen until somebody touches it. */
    private boolean walkFirst() {
        boolean touched = Stream.of(Fact.Acted.class, Fact.SlotsSet.class, Fact.InsertSet.class, Fact.DeviceSet.class)
                .anyMatch(kind -> !situation.history(kind).isEmpty());
        return !touched
                && plan.state() == FittingState.OPEN
                && !situation.isBedside()
                && AsFound.of(plan).looked() == 0;
    }

    private Head head() {
        String childLine =
                situation.child().map(Stamped::value).map(this::childLine).orElse(words.say("head.noChild"));
        String seat = situation.seat().map(each -> each.identity().fullName()).orElse("?");
        String seatLine = situation
                .seat()
                .map(each -> words.say("seatStatus." + each.status()))
                .orElse("");
        String car = situation.car().map(each -> each.fullName().strip()).orElse(words.say("head.noCar"));
        String carLine = situation
                .placed()
                .map(placed -> words.say("place." + placed.value().position()) + " · "
                        + words.say("method." + placed.value().method()))
                .orElse(words.say("head.noPlace"));
        boolean ready = plan.mayHandOver() || plan.state() == FittingState.HANDED_OVER;
        String state = plan.state() == FittingState.OPEN
                ? words.say(situation.isBedside() ? "head.bedside" : ready ? "head.ready" : "head.notReady")
                : words.say("state." + plan.state());
        return new Head(
                fitting.childName(),
                childLine,
                seat,
                seatLine,
                car,
                carLine,
                situation.practice().profile().name(),
                words.say(
                        "head.version",
                        Map.of(
                                "version",
                                Argument.of(situation.practice().profile().version()))),
                state,
                stateLine(),
                ready);
    }

    private String childLine(Child child) {
        String age = new ChildAsks(plan, words, Typed.NOTHING).age(child, situation.today());
        String weight = situation
                .weight()
                .map(each -> " · " + each.value().in(words.units()))
                .orElse("");
        return age + weight;
    }

    private String stateLine() {
        if (plan.state() != FittingState.OPEN) {
            return situation.ended().map(ended -> words.say(ended.on())).orElse("");
        }
        if (situation.isBedside()) {
            return words.say("head.bedsideLine");
        }
        long unknown = count(ConclusionState.State.NOT_KNOWN);
        long wrong = count(ConclusionState.State.FAILED) + count(ConclusionState.State.BROKEN);
        long toDo = count(ConclusionState.State.OPEN) + count(ConclusionState.State.STALE);
        return words.say(
                "head.counts",
                Map.of(
                        "unknown", Argument.of(unknown),
                        "wrong", Argument.of(wrong),
                        "todo", Argument.of(toDo)));
    }

    private long count(ConclusionState.State state) {
        return plan.gate().conclusions().stream()
                .filter(each -> each.state() == state)
                .count();
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
                words.say("step." + step.key()),
                note,
                step.state().name().toLowerCase(Locale.ROOT),
                words.say("stepState." + step.state()),
                here);
    }

    private Now now() {
        StepKey key = current.key();
        List<AskView> asks = current.asks().stream()
                .map(each -> each.optional() ? ask(each).offered() : ask(each))
                .toList();
        String next = current.nextAsk().map(AskForms::id).orElse("");
        String active = focus.ask().isEmpty() ? next : focus.ask();
        return new Now(
                key.name(),
                plan.run().placeOf(key),
                plan.run().steps().size(),
                words.say("phase." + key.phase()),
                words.say("step." + key),
                words.say(whatToDo(key)),
                stance(key),
                Stance.of(situation, key).map(StancePicture::of).orElse(""),
                asks,
                active,
                lines(key),
                focus.problems(),
                focus.changed().map(this::changed).orElse(List.of()),
                advised(key),
                key == StepKey.PLACE ? PlaceWhy.of(plan, words, focus.picked()) : Optional.empty(),
                coming(key),
                key == StepKey.TEACH ? RemovalWords.of(plan.method(), words) : List.of(),
                goOn());
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
                .filter(advice -> here && plan.state() == FittingState.OPEN)
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
                said.waysOut());
    }

    /** A step that is done but has a look to offer is left by a word. */
    private Optional<GoOn> goOn() {
        boolean offers = current.state() == Step.State.DONE
                && current.asks().stream().anyMatch(ask -> ask.optional() && !ask.answered());
        return plan.run()
                .current()
                .filter(next -> offers && next.key() != current.key())
                .map(next -> new GoOn(next.key().name(), words.say("step." + next.key())));
    }

    private List<String> changed(PlanDifference difference) {
        List<String> said = new ArrayList<>();
        named("changed.dropped", difference.dropped()).ifPresent(said::add);
        named("changed.added", difference.added()).ifPresent(said::add);
        difference.changes().stream()
                .filter(each -> !difference.added().contains(each.conclusion()))
                .map(each -> words.say("conclusion." + each.conclusion()) + ": " + words.say("gateState." + each.to()))
                .forEach(said::add);
        return said;
    }

    /** What another method asks for, or no longer asks for. */
    private Optional<String> named(String key, List<Conclusion> conclusions) {
        String names = conclusions.stream()
                .map(each -> words.say("conclusion." + each))
                .collect(Collectors.joining(", "));
        return conclusions.isEmpty()
                ? Optional.empty()
                : Optional.of(words.say(
                        key,
                        Map.of("names", Argument.of(names), "method", new Argument.OfKey("method." + plan.method()))));
    }

    private String stance(StepKey key) {
        String ofMethod = "stance." + key + "." + plan.method();
        String any = "stance." + key;
        String how = words.knows(ofMethod) ? words.say(ofMethod) : words.knows(any) ? words.say(any) : "";
        return Stance.of(situation, key)
                .map(each -> how + " " + said(each))
                .orElse(how)
                .strip();
    }

    private String said(Stance stance) {
        List<String> said = new ArrayList<>(List.of(words.say("stance." + stance.door())));
        stance.pull().ifPresent(pull -> said.add(words.say("pull." + pull)));
        stance.helper().ifPresent(side -> said.add(words.say("helper." + side)));
        return String.join(" ", said);
    }

    /** Some steps are done otherwise by another method. */
    private String whatToDo(StepKey key) {
        String ofMethod = "step." + key + ".do." + plan.method();
        return words.knows(ofMethod) ? ofMethod : "step." + key + ".do";
    }

    private AskView ask(Ask ask) {
        ChildAsks child = new ChildAsks(plan, words, focus.typed());
        SeatAsks seat = new SeatAsks(plan, words, focus.typed());
        CarAsks car = new CarAsks(plan, words, focus.typed(), focus.stock());
        ReclineAsks recline = new ReclineAsks(plan, words, focus.typed(), focus.stock());
        return switch (ask.kind()) {
            case QUESTION -> question(ask, seat);
            case CHILD -> child.child(ask);
            case WEIGHT -> child.weight(ask);
            case LENGTH -> child.length(ask);
            case ORDER -> child.order(ask);
            case SCREENING -> child.screening(ask);
            case LABEL -> seat.label(ask);
            case INSERT -> child.insert(ask);
            case SHOULDER -> child.shoulder(ask);
            case HEAD_ROOM -> child.headRoom(ask);
            case LAYER -> child.layer(ask);
            case SLOTS -> seat.slots(ask);
            case CROTCH -> seat.crotch(ask);
            case PLACE -> car.place(ask);
            case GROUND -> recline.ground(ask);
            case ACT -> car.act(ask);
            case DEVICE -> recline.device(ask);
            case ROLL -> recline.roll(ask);
            case LEVEL -> recline.level(ask);
            case HANDLE -> seat.handle(ask);
            case GAP -> seat.gap(ask);
            case MOVEMENT -> seat.movement(ask);
            case TEACH -> car.teach(ask);
            case COUNTERSIGN -> car.countersign(ask);
            case INITIALS -> car.initials(ask);
            case PAGE -> car.page(ask);
            case END -> car.end(ask);
            case QUICK_SEAT -> seat.quickSeat(ask);
            case NEWER_SHEET -> seat.newerSheet(ask);
        };
    }

    private AskView question(Ask ask, SeatAsks seat) {
        Question question = Question.valueOf(ask.key());
        return switch (question) {
            case SNUG -> seat.snug(ask);
            case PARTS -> seat.parts(ask);
            default -> seat.question(ask, question, List.of());
        };
    }

    private List<Line> lines(StepKey key) {
        return plan.gate().conclusions().stream()
                .filter(each -> key.serves().contains(each.conclusion()))
                .flatMap(each -> each.findings().stream().map(finding -> line(each.conclusion(), finding)))
                .toList();
    }

    private Line line(Conclusion conclusion, Finding finding) {
        List<String> values = finding.arguments().entrySet().stream()
                .map(each -> words.say("value." + each.getKey()) + ": " + words.say(each.getValue()))
                .toList();
        List<String> sources = finding.sources().stream()
                .map(source -> (source.document() + " " + source.place()).strip()
                        + (source.readOn() == null ? "" : ", " + words.say(source.readOn())))
                .distinct()
                .toList();
        return new Line(
                finding.weight().name().toLowerCase(Locale.ROOT),
                words.say("weight." + finding.weight()),
                finding.code().text(),
                words.say(finding),
                StepKey.serving(conclusion).name(),
                values,
                sources,
                finding.changes().stream().map(words::say).toList());
    }

    private List<FindingGroup> groups() {
        List<FindingGroup> groups = new ArrayList<>();
        for (Weight weight : Weight.values()) {
            List<Line> lines = plan.gate().conclusions().stream()
                    .flatMap(each -> each.findings().stream()
                            .filter(finding -> finding.weight() == weight)
                            .map(finding -> line(each.conclusion(), finding)))
                    .toList();
            boolean always = weight != Weight.STOP;
            if (always || !lines.isEmpty()) {
                groups.add(new FindingGroup(
                        weight.name().toLowerCase(Locale.ROOT),
                        words.say("group." + weight, Map.of("count", Argument.of(lines.size()))),
                        lines));
            }
        }
        return groups;
    }

    private List<Blocker> blockers() {
        return plan.gate().blocking().stream()
                .map(each -> new Blocker(
                        words.say("conclusion." + each.conclusion()),
                        words.say("gateState." + each.state()),
                        each.findings().stream()
                                .findFirst()
                                .map(words::say)
                                .or(() -> each.waitsFor().map(words::say))
                                .orElse(words.say("open.LOOK_AGAIN")),
                        StepKey.serving(each.conclusion()).name()))
                .toList();
    }

    private Board board() {
        View view = View.of(focus.view(), current.key(), plan.method());
        Drawing drawing = switch (view) {
            case SIDE -> SideView.of(situation, focus.tried());
            case CABIN -> CabinView.of(situation, CabinAnswers.of(situation));
            case HARNESS -> HarnessView.of(situation);
            case BELT -> BeltView.of(situation);
            case TIMELINE -> TimelineView.of(situation);
        };
        Optional<Ladder> ladder = view == View.SIDE ? Ladder.of(plan, words, focus.tried()) : Optional.empty();
        List<Tab> tabs = View.offered(plan.method()).stream()
                .map(each -> new Tab(each.key(), words.say("view." + each), each.shortcut(), each == view))
                .toList();
        return new Board(view.key(), SvgWriter.write(drawing, words, this::address), ladder, tabs);
    }

    /** Where a mark leads: a place in the cabin to its why, a height on the shell to the question about the shoulder. */
    private Optional<String> address(Shape.Link link) {
        if (link.target().startsWith("shoulder-")) {
            return plan.state() == FittingState.OPEN
                    ? Optional.of(
                            "/fittings/" + fitting.id() + "?step=SHOULDER&ask=shoulder&view=harness#" + link.target())
                    : Optional.empty();
        }
        return Optional.of("/fittings/" + fitting.id() + "?step=PLACE&view=cabin&pick=" + link.target());
    }
}
