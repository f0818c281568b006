package app.layette.web.workbench;

import app.layette.core.child.Child;
import app.layette.core.coming.Preparation;
import app.layette.core.entry.QuickCar;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Argument;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingState;
import app.layette.core.gate.ConclusionState;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.Fittings;
import app.layette.web.workbench.AskForms.Typed;
import app.layette.web.workbench.Workbench.Head;
import java.util.Map;

/** Says who it is, in which seat and car, and how the fitting stands. */
final class HeadLine {
    private final Fittings.Planned fitting;
    private final FittingPlan plan;
    private final Situation situation;
    private final Wording words;

    HeadLine(Fittings.Planned fitting, Wording words) {
        this.fitting = fitting;
        this.plan = fitting.plan();
        this.situation = plan.situation();
        this.words = words;
    }

    Head head() {
        String childLine =
                situation.child().map(Stamped::value).map(this::childLine).orElseGet(this::unborn);
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
        String state = plan.state() == FittingState.OPEN ? words.say(open(ready)) : words.say("state." + plan.state());
        return WorkbenchHeadParts.builder()
                .child(fitting.childName())
                .childLine(childLine)
                .seat(seat)
                .seatLine(seatLine)
                .car(car)
                .carLine(carLine)
                .practice(words.named(situation.practice().profile()))
                .practiceLine(words.say(
                        "head.version",
                        Map.of(
                                "version",
                                Argument.of(situation.practice().profile().version()))))
                .state(state)
                .stateLine(stateLine())
                .ready(ready)
                .quickCar(situation
                        .car()
                        .filter(each -> each.sheet().id().equals(QuickCar.SHEET))
                        .isPresent())
                .others(fitting.others())
                .build();
    }

    private String open(boolean ready) {
        if (situation.expected().isPresent()) {
            return plan.mayBePrepared() ? "head.mayBePrepared" : "head.notPrepared";
        }
        return situation.isBedside() ? "head.bedside" : ready ? "head.ready" : "head.notReady";
    }

    private String childLine(Child child) {
        String age = new ChildAsks(plan, words, Typed.NOTHING).age(child, situation.today());
        String weight = situation
                .weight()
                .map(each -> " · " + words.figure(each.value().in(words.units())))
                .orElse("");
        return age + weight;
    }

    /** Not born yet: when it is due, and how far it is now. */
    private String unborn() {
        return situation
                .expected()
                .map(expected -> words.say(
                        "head.due",
                        Map.of(
                                "day",
                                Argument.of(expected.value().due()),
                                "weeks",
                                Argument.of(
                                        Preparation.weeksNow(expected.value().due(), situation.today())))))
                .orElse(words.say("head.noChild"));
    }

    private String stateLine() {
        if (plan.state() == FittingState.PREPARED) {
            return situation.prepared().map(signed -> words.say(signed.on())).orElse("");
        }
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
}
