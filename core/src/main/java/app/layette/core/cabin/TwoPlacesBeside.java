package app.layette.core.cabin;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Method;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.Lack;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Rules;
import app.layette.core.rule.Verdict;
import app.layette.core.step.StepKey;
import app.layette.core.vehicle.PositionId;
import com.google.auto.service.AutoService;
import java.util.List;

/** CAB-11: a lay-flat carrier takes two adjacent places of one row. */
@AutoService(Asking.class)
public final class TwoPlacesBeside implements Rule {
    private static final RuleCard CARD = RuleCard.of(Conclusion.named("LAY_FLAT_PLACES"), RuleCode.CAB_11)
            .requiredOf(Method::takesTwoPlaces)
            .saidBeforehand()
            .decidedBy(PermissionKey.LAY_FLAT_POSITION)
            .at(StepKey.PLACE, 900);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public Verdict judge(Situation situation) {
        if (situation.placed().isEmpty() || situation.car().isEmpty()) {
            return Verdict.open(Missing.Entry.PLACE);
        }
        Permission lies = situation.permission(PermissionKey.LAY_FLAT_POSITION);
        if (lies != Permission.ALLOWED) {
            return Verdict.judged(
                    lies == Permission.NOT_ALLOWED
                            ? Finding.of(Weight.STOP, "finding.CAB-11.layFlatNotAllowed")
                                    .changedBy("OTHER_PLACE")
                            : Finding.of(Weight.NOT_KNOWN, "finding.CAB-11.layFlatNotKnown")
                                    .changedBy("SEAT_MANUAL")
                                    .toldBy(PermissionKey.LAY_FLAT_POSITION));
        }
        PositionId second = situation.placed().get().value().position().besides();
        boolean isThere = situation.car().get().position(second).isPresent();
        return Verdict.judged((isThere
                        ? usable(situation.asIfPlaced(second, situation.usualMethod()), second)
                        : Finding.of(Weight.STOP, "finding.CAB-11.noPlaceBeside"))
                .with("second", new Argument.OfKey("place." + second))
                .changedBy("OTHER_PLACE"));
    }

    private static List<Lack> lacks(List<Verdict> verdicts, PositionId place) {
        return verdicts.stream()
                .filter(Verdict.Judged.class::isInstance)
                .flatMap(verdict -> ((Verdict.Judged) verdict).findings().stream())
                .flatMap(finding -> finding.lacks().stream())
                .filter(lack -> lack.value().isOfPlace())
                .map(lack -> new Lack(lack.value(), place.toString()))
                .distinct()
                .toList();
    }

    /** What would be asked of the second place alone: airbag, vehicle seat, and a belt that can be locked. */
    private static Finding.Builder usable(Situation beside, PositionId second) {
        List<Verdict> verdicts = Rules.all().stream()
                .filter(rule -> rule.card().isOfPlaceAlone())
                .map(rule -> rule.judge(beside))
                .toList();
        boolean forbidden = verdicts.stream().anyMatch(verdict -> isOf(verdict, Weight.STOP));
        boolean unknown = verdicts.stream()
                .anyMatch(verdict -> verdict instanceof Verdict.Open || isOf(verdict, Weight.NOT_KNOWN));
        if (forbidden) {
            return Finding.of(Weight.STOP, "finding.CAB-11.placeBesideUnusable");
        }
        return unknown
                ? Finding.of(Weight.NOT_KNOWN, "finding.CAB-11.placeBesideNotKnown")
                        .lacks(lacks(verdicts, second))
                : Finding.of(Weight.HOLDS, "finding.CAB-11.twoPlaces");
    }

    private static boolean isOf(Verdict verdict, Weight weight) {
        return verdict instanceof Verdict.Judged judged && judged.deciding().weight() == weight;
    }
}
