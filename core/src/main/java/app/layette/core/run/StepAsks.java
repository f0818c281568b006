package app.layette.core.run;

import app.layette.core.entry.Act;
import app.layette.core.entry.Fact;
import app.layette.core.entry.Question;
import app.layette.core.entry.Situation;
import app.layette.core.gate.Gate;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import app.layette.core.suit.LengthFits;
import app.layette.core.suit.WeightFits;
import java.util.ArrayList;
import java.util.List;

/**
 * What each step asks in this situation: what its rules ask, and what belongs to no rule, such as what hands do. Nothing
 * is asked that cannot change a finding.
 */
final class StepAsks {
    private final Situation situation;
    private final GateLooks looks;

    StepAsks(Situation situation, Gate gate) {
        this.situation = situation;
        this.looks = new GateLooks(situation, gate);
    }

    List<Ask> of(StepKey step) {
        List<Ask> asks = new ArrayList<>(before(step));
        Rules.of(step).stream()
                .filter(rule -> looks.isRequired(rule.conclusion()))
                .forEach(rule -> asks.addAll(rule.asks(looks)));
        asks.addAll(after(step));
        List<Ask> pages = PageAsks.of(step, situation, looks.gate());
        asks.addAll(pages);
        asks.addAll(PageAsks.read(step, situation, pages));
        return asks;
    }

    /** What a step asks before its rules do. */
    private List<Ask> before(StepKey step) {
        return switch (step) {
            case CHILD -> child();
            case LABEL -> label();
            case PLACE -> place();
            case PREPARE -> List.of(looks.act(Act.PREPARED));
            case DEVICE -> new DeviceAsks(looks).asks();
            // A rough look before the belt: a rounded shell is trimmed by rocking, and later it means starting over.
            case ROUTE_BELT -> situation.usualMethod().isBaseless() ? List.of(looks.look(Fact.Stage.LOOSE)) : List.of();
            case TIGHTEN -> List.of(looks.act(isRigid() ? Act.ARMS_WALKED_IN : Act.TIGHTENED));
            case CARRIER_ON -> List.of(looks.act(Act.CARRIER_ON));
            default -> List.of();
        };
    }

    /** What a step asks after its rules did. */
    private List<Ask> after(StepKey step) {
        return switch (step) {
            case TIGHTEN -> tight();
            case HAND_OVER -> handOver();
            default -> List.of();
        };
    }

    private boolean isRigid() {
        return situation.method().filter(method -> method.isByRigidArms()).isPresent();
    }

    private List<Ask> child() {
        List<Ask> asks = new ArrayList<>();
        if (situation.expected().isPresent()) {
            // Its birth is told here; until then nothing about it is asked.
            return List.of(Ask.offered(Kind.CHILD, "", false));
        }
        if (situation.cameBack().isPresent()) {
            // Measured first: what an earlier fitting says of insert and straps is then judged for today's child.
            asks.addAll(new WeightFits().asks(looks));
            asks.addAll(new LengthFits().asks(looks));
            asks.add(new Ask(
                    Kind.QUESTION,
                    Question.SINCE.name(),
                    situation.answer(Question.SINCE).isPresent()));
        }
        asks.add(new Ask(Kind.CHILD, "", situation.child().isPresent()));
        return asks;
    }

    private List<Ask> label() {
        List<Ask> asks = new ArrayList<>();
        if (situation.isQuickSeat()) {
            asks.add(new Ask(Kind.QUICK_SEAT, "", situation.seat().isPresent()));
        }
        situation
                .pendingVersions()
                .forEach(newer -> asks.add(new Ask(Kind.NEWER_SHEET, newer.id() + ":" + newer.version(), false)));
        for (Fact.Part part : Fact.Part.values()) {
            if (part == Fact.Part.BASE && !situation.usualMethod().isOnBase()) {
                continue;
            }
            boolean read = situation.label(part).isPresent();
            // Whether there will be a base is known once a method is chosen.
            boolean later = part == Fact.Part.BASE && situation.method().isEmpty();
            asks.add(later ? Ask.offered(Kind.LABEL, part.name(), read) : new Ask(Kind.LABEL, part.name(), read));
        }
        return asks;
    }

    /** What somebody must see before a place can be judged comes after it, by its rules; whom it suits is asked before. */
    private List<Ask> place() {
        return List.of(
                looks.offered(Question.REACH),
                new Ask(Kind.PLACE, "", situation.placed().isPresent() && isPlaceSettled()));
    }

    private boolean isPlaceSettled() {
        return Rules.conclusions(RuleCard::isSaidBeforehand).stream().allMatch(looks::isSettled);
    }

    private List<Ask> tight() {
        boolean level = looks.isRequired(Conclusion.LEVEL) || looks.isRequired(Conclusion.LEVEL_TIGHT);
        return level && !situation.usualMethod().isBaseless() ? List.of(looks.look(Fact.Stage.TIGHT)) : List.of();
    }

    private List<Ask> handOver() {
        List<Ask> asks = new ArrayList<>();
        boolean expecting = situation.expected().isPresent();
        boolean traineeWorked =
                situation.everything().stream().anyMatch(entry -> entry.by().isTrainee());
        if (traineeWorked) {
            asks.add(new Ask(Kind.COUNTERSIGN, "", looks.isGood(Conclusion.SIGNED_FOR)));
        }
        if (expecting) {
            asks.add(new Ask(Kind.END, "", situation.prepared().isPresent()));
            return asks;
        }
        asks.add(Ask.offered(
                Kind.INITIALS, "", situation.newest(Fact.CaregiverSigned.class).isPresent()));
        asks.add(new Ask(Kind.END, "", situation.ended().isPresent()));
        return asks;
    }
}
