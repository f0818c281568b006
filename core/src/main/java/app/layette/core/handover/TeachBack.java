package app.layette.core.handover;

import app.layette.core.entry.Asking;
import app.layette.core.entry.Fact.Taught;
import app.layette.core.entry.Fact.TeachOutcome;
import app.layette.core.entry.Method;
import app.layette.core.entry.PlaceNow;
import app.layette.core.entry.Stamped;
import app.layette.core.entry.TeachItem;
import app.layette.core.evidence.Permission;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.finding.Argument;
import app.layette.core.finding.Finding;
import app.layette.core.finding.RuleCode;
import app.layette.core.finding.Weight;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Looks;
import app.layette.core.rule.Missing;
import app.layette.core.rule.Rule;
import app.layette.core.rule.RuleCard;
import app.layette.core.rule.Verdict;
import app.layette.core.step.Ask;
import app.layette.core.step.Ask.Kind;
import app.layette.core.step.StepKey;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** OUT-2: each part of the teach-back was done by the caregiver, or declined with a reason. */
@AutoService(Asking.class)
public final class TeachBack implements Rule.OfPlace {
    private static final RuleCard CARD =
            RuleCard.of(Conclusion.TEACH_BACK, RuleCode.OUT_2).at(StepKey.TEACH, 100);

    @Override
    public RuleCard card() {
        return CARD;
    }

    @Override
    public List<Ask> asks(Looks looks) {
        PlaceNow situation = looks.situation();
        List<Ask> asks = new ArrayList<>();
        for (TeachItem item : TeachItem.values()) {
            boolean here = situation.isBedside() ? item.isAtBedside() : item.isPartOf(situation.usualMethod());
            if (here) {
                asks.add(new Ask(Kind.TEACH, item.name(), isTaught(situation, item)));
            }
        }
        boolean maybeBaseless = situation.usualMethod().isOnBase()
                && situation.permission(PermissionKey.CARRIER_WITHOUT_BASE) == Permission.ALLOWED;
        if (maybeBaseless && !situation.isBedside()) {
            asks.add(Ask.offered(
                    Kind.TEACH, TeachItem.BASELESS_ONCE.name(), isTaught(situation, TeachItem.BASELESS_ONCE)));
        }
        return asks;
    }

    private static boolean isTaught(PlaceNow situation, TeachItem item) {
        return situation.seen(Taught.class, fact -> fact.item() == item).isPresent();
    }

    @Override
    public Verdict judge(PlaceNow situation) {
        TeachItem declined = null;
        Method method = situation.usualMethod();
        for (TeachItem item : TeachItem.values()) {
            boolean asked = situation.isBedside() ? item.isAtBedside() : item.isPartOf(method);
            if (!asked) {
                continue;
            }
            Optional<Stamped<Taught>> taught = situation.seen(Taught.class, fact -> fact.item() == item);
            if (taught.isEmpty() || isDeclinedWithoutReason(taught.get().value())) {
                return Verdict.open(Missing.Entry.TEACH_BACK);
            }
            declined = taught.get().value().outcome() == TeachOutcome.DECLINED ? item : declined;
        }
        return Verdict.judged(
                declined == null
                        ? Finding.of(Weight.HOLDS, "finding.OUT-2.allDone")
                        : Finding.of(Weight.ADVISE, "finding.OUT-2.declined")
                                .with("item", Argument.key("teach", declined)));
    }

    private static boolean isDeclinedWithoutReason(Taught taught) {
        return taught.outcome() == TeachOutcome.DECLINED
                && (taught.reason() == null || taught.reason().isBlank());
    }
}
