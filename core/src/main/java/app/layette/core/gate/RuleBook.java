package app.layette.core.gate;

import app.layette.core.cabin.FlatRules;
import app.layette.core.cabin.FloorAndLeg;
import app.layette.core.cabin.FrontRowLast;
import app.layette.core.cabin.GapToFrontSeat;
import app.layette.core.cabin.MethodOfKind;
import app.layette.core.cabin.PlaceRules;
import app.layette.core.cabin.SetUpRules;
import app.layette.core.condition.BaseFitsCarrier;
import app.layette.core.condition.ConditionAnswers;
import app.layette.core.condition.Expiry;
import app.layette.core.condition.Registration;
import app.layette.core.condition.SheetMatchesLabel;
import app.layette.core.condition.SheetsCurrent;
import app.layette.core.entry.Question;
import app.layette.core.handover.SignedFor;
import app.layette.core.handover.TeachBack;
import app.layette.core.handover.WholeFitting;
import app.layette.core.harness.CrotchOpeningInUse;
import app.layette.core.harness.HarnessAnswers;
import app.layette.core.harness.SlotAtShoulder;
import app.layette.core.harness.ThreadedAlike;
import app.layette.core.recline.GroundLevel;
import app.layette.core.recline.LevelBeforeBirth;
import app.layette.core.recline.LevelWithChild;
import app.layette.core.recline.RollAllowed;
import app.layette.core.rule.AnsweredByEye;
import app.layette.core.rule.Conclusion;
import app.layette.core.rule.Rule;
import app.layette.core.secure.BeltRules;
import app.layette.core.secure.HandleForDriving;
import app.layette.core.secure.InchTest;
import app.layette.core.secure.PartsInUse;
import app.layette.core.secure.RoutingAllowed;
import app.layette.core.secure.SecuringAnswers;
import app.layette.core.suit.AnchorLimit;
import app.layette.core.suit.FeetPastEnd;
import app.layette.core.suit.HeadRoom;
import app.layette.core.suit.InsertAsSheet;
import app.layette.core.suit.LengthFits;
import app.layette.core.suit.Lifting;
import app.layette.core.suit.Orders;
import app.layette.core.suit.OwnConditions;
import app.layette.core.suit.ScreeningDone;
import app.layette.core.suit.SlotInReach;
import app.layette.core.suit.WeightFits;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Every rule, by the conclusion it gives. */
public final class RuleBook {
    private static final RuleBook SHIPPED = new RuleBook(shippedRules());

    private final Map<Conclusion, Rule> rules = new EnumMap<>(Conclusion.class);

    /**
     * A book of these rules.
     *
     * @throws IllegalArgumentException when two rules give one conclusion
     */
    public RuleBook(Collection<Rule> rules) {
        for (Rule rule : rules) {
            if (this.rules.put(rule.conclusion(), rule) != null) {
                throw new IllegalArgumentException("Two rules give the conclusion " + rule.conclusion());
            }
        }
    }

    public static RuleBook shipped() {
        return SHIPPED;
    }

    private static List<Rule> shippedRules() {
        Stream<Rule> single = Stream.of(
                new WholeFitting(),
                new SheetsCurrent(),
                new SheetMatchesLabel(),
                new Expiry(),
                new Registration(),
                new BaseFitsCarrier(),
                new WeightFits(),
                new LengthFits(),
                new Orders(),
                new FeetPastEnd(),
                new Lifting(),
                new ScreeningDone(),
                new OwnConditions(),
                new InsertAsSheet(),
                new SlotInReach(),
                new SlotAtShoulder(),
                new ThreadedAlike(),
                new HeadRoom(),
                new CrotchOpeningInUse(),
                new AnchorLimit(),
                new MethodOfKind(),
                new FrontRowLast(),
                new GroundLevel(),
                new RollAllowed(),
                new LevelWithChild(),
                new LevelBeforeBirth(),
                new RoutingAllowed(),
                new InchTest(),
                new FloorAndLeg(),
                new GapToFrontSeat(),
                new HandleForDriving(),
                new TeachBack(),
                new SignedFor(),
                new AnsweredByEye(Conclusion.CAUTIONS, Question.CAUTIONS));
        return Stream.of(
                        single,
                        ConditionAnswers.rules().stream(),
                        PlaceRules.rules().stream(),
                        SetUpRules.rules().stream(),
                        SecuringAnswers.rules().stream(),
                        BeltRules.rules().stream(),
                        FlatRules.rules().stream(),
                        PartsInUse.rules().stream(),
                        HarnessAnswers.rules().stream())
                .flatMap(each -> each)
                .toList();
    }

    public Optional<Rule> ruleFor(Conclusion conclusion) {
        return Optional.ofNullable(rules.get(conclusion));
    }
}
