package app.layette.web.fitting;

import app.layette.core.child.Child;
import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.HarnessView;
import app.layette.core.drawing.SideView;
import app.layette.core.entry.Act;
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
import app.layette.core.rule.Conclusion;
import app.layette.core.run.Ask;
import app.layette.core.run.Phase;
import app.layette.core.run.Step;
import app.layette.core.run.StepKey;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.AskForms.Typed;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** The workbench of one fitting, ready to be shown. */
public record Workbench(
        UUID id,
        Head head,
        List<PhaseView> phases,
        Now now,
        Board board,
        List<FindingGroup> groups,
        List<Blocker> blockers,
        Map<String, String> changes,
        int lastSeq,
        boolean open) {

    /** Who, which seat, which car, and whether it may be handed over. */
    public record Head(
            String child,
            String childLine,
            String seat,
            String seatLine,
            String car,
            String carLine,
            String practice,
            String practiceLine,
            String state,
            String stateLine,
            boolean ready) {}

    /** Steps that stand together. */
    public record PhaseView(String name, List<StepView> steps) {}

    /** A step in the run. */
    public record StepView(String key, String name, String note, String state, String stateWord, boolean current) {}

    /** The step that is open. */
    public record Now(
            String key,
            int place,
            int of,
            String phase,
            String title,
            String what,
            String stance,
            List<AskView> asks,
            String activeAsk,
            List<Line> findings,
            List<String> problems,
            List<String> changed) {}

    /** A finding in words, with its why. */
    public record Line(
            String weight,
            String weightWord,
            String code,
            String text,
            String step,
            List<String> values,
            List<String> sources,
            List<String> changes) {}

    /** Findings of one weight. */
    public record FindingGroup(String weight, String title, List<Line> lines) {}

    /** A conclusion that keeps the gate shut. */
    public record Blocker(String conclusion, String state, String text, String step) {}

    /** The drawing board. */
    public record Board(String view, String svg) {}

    /** What to show: which step and ask are open, which view is up, and what was refused. */
    record Focus(
            Optional<StepKey> step,
            String ask,
            String view,
            Typed typed,
            List<String> problems,
            Optional<PlanDifference> changed) {
        Focus(Optional<StepKey> step, String ask, String view, Typed typed, List<String> problems) {
            this(step, ask, view, typed, problems, Optional.empty());
        }

        /** The same, after an entry that changed this. */
        Focus after(PlanDifference difference) {
            return new Focus(step, ask, view, typed, problems, Optional.of(difference));
        }
    }

    static Workbench of(Fittings.Planned fitting, Wording words, Focus focus) {
        return new Builder(fitting, words, focus).build();
    }

    private static final class Builder {
        private final Fittings.Planned fitting;
        private final FittingPlan plan;
        private final Situation situation;
        private final Wording words;
        private final Focus focus;
        private final Step current;

        Builder(Fittings.Planned fitting, Wording words, Focus focus) {
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
                    plan.state() == FittingState.OPEN);
        }

        private Head head() {
            String childLine =
                    situation.child().map(Stamped::value).map(this::childLine).orElse(words.say("head.noChild"));
            String seat =
                    situation.seat().map(each -> each.identity().fullName()).orElse("?");
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
                    ? words.say(ready ? "head.ready" : "head.notReady")
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
            List<AskView> asks = current.asks().stream().map(this::ask).toList();
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
                    asks,
                    active,
                    lines(key),
                    focus.problems(),
                    focus.changed().map(this::changed).orElse(List.of()));
        }

        private List<String> changed(PlanDifference difference) {
            return difference.changes().stream()
                    .map(each ->
                            words.say("conclusion." + each.conclusion()) + ": " + words.say("gateState." + each.to()))
                    .toList();
        }

        private String stance(StepKey key) {
            String ofMethod = "stance." + key + "." + plan.method();
            String any = "stance." + key;
            return words.knows(ofMethod) ? words.say(ofMethod) : words.knows(any) ? words.say(any) : "";
        }

        /** Some steps are done otherwise by another method. */
        private String whatToDo(StepKey key) {
            String ofMethod = "step." + key + ".do." + plan.method();
            return words.knows(ofMethod) ? ofMethod : "step." + key + ".do";
        }

        private AskView ask(Ask ask) {
            ChildAsks child = new ChildAsks(plan, words, focus.typed());
            SeatAsks seat = new SeatAsks(plan, words, focus.typed());
            CarAsks car = new CarAsks(plan, words, focus.typed());
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
                case SLOTS -> seat.slots(ask);
                case CROTCH -> seat.crotch(ask);
                case PLACE -> car.place(ask);
                case GROUND -> car.ground(ask);
                case ACT -> car.act(ask);
                case DEVICE -> seat.device(ask);
                case LEVEL -> seat.level(ask);
                case HANDLE -> seat.handle(ask);
                case GAP -> seat.gap(ask);
                case MOVEMENT -> seat.movement(ask);
                case TEACH -> car.teach(ask);
                case COUNTERSIGN -> car.countersign(ask);
                case PAGE -> car.page(ask);
                case END -> car.end(ask);
                case QUICK_SEAT -> seat.quickSeat(ask);
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
            boolean harness = focus.view().equals("harness");
            Drawing drawing = harness ? HarnessView.of(situation) : SideView.of(situation);
            return new Board(drawing.name(), SvgWriter.write(drawing, words));
        }
    }
}
