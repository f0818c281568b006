package app.layette.core.bench.scene;

import app.layette.core.evidence.Permission;
import app.layette.core.measure.Length;
import app.layette.core.measure.UnitSystem;
import app.layette.core.practice.Practice;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.practice.PracticeProfile.AnchorLimitDefault;
import app.layette.core.practice.PracticeProfile.ChildOrder;
import app.layette.core.practice.PracticeProfile.NewbornTarget;
import app.layette.core.practice.PracticeProfile.RetractorBesides;
import app.layette.core.practice.PracticeProfile.RoutingFirst;
import app.layette.core.practice.PracticeProfile.Screening;
import app.layette.core.practice.PracticeProfile.SnugTest;
import app.layette.core.practice.PracticeProfileParts;
import java.time.ZoneId;

/** The practice by which the bench is judged: the same for everybody, so that a number can be handed to a colleague. */
public final class BenchPractice {
    private BenchPractice() {}

    public static Practice usual() {
        PracticeProfile profile = PracticeProfileParts.builder()
                .id("bench")
                .version(1)
                .name("Bench")
                .units(UnitSystem.METRIC)
                .snugTest(SnugTest.PINCH)
                .headRoom(Length.ofMillimetres(50))
                .gap(Length.ofMillimetres(30))
                .newbornTarget(NewbornTarget.MOST_RECLINED)
                .childOrder(ChildOrder.CHILD_ON_TABLE_FIRST)
                .rollsBeside(Permission.NOT_ALLOWED)
                .screening(Screening.WHERE_INDICATED)
                .recallDays(30)
                .newbornDays(28)
                .slotFarBelow(Length.ofMillimetres(40))
                .anchorLimit(AnchorLimitDefault.NORTH_AMERICA_65_LB)
                .rearFacing(new PracticeProfile.RearFacing(24))
                .breaks(new PracticeProfile.Breaks(30, 120))
                .routingFirst(RoutingFirst.EUROPEAN)
                .retractorBesides(RetractorBesides.LOCK_OFF_ALONE)
                .build();
        return new Practice(profile, "US", ZoneId.of("UTC"));
    }
}
