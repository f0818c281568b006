package app.layette.core.bench.scene;

import app.layette.core.evidence.Permission;
import app.layette.core.measure.Length;
import app.layette.core.measure.UnitSystem;
import app.layette.core.practice.Practice;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.practice.PracticeProfile.AnchorLimitDefault;
import app.layette.core.practice.PracticeProfile.ChildOrder;
import app.layette.core.practice.PracticeProfile.NewbornTarget;
import app.layette.core.practice.PracticeProfile.RoutingFirst;
import app.layette.core.practice.PracticeProfile.Screening;
import app.layette.core.practice.PracticeProfile.SnugTest;
import java.time.ZoneId;

/** The practice by which the bench is judged: the same for everybody, so that a number can be handed to a colleague. */
public final class BenchPractice {
    private BenchPractice() {}

    public static Practice usual() {
        PracticeProfile profile = new PracticeProfile(
                "bench",
                1,
                "Bench",
                UnitSystem.METRIC,
                SnugTest.PINCH,
                Length.ofMillimetres(50),
                Length.ofMillimetres(30),
                NewbornTarget.MOST_RECLINED,
                ChildOrder.CHILD_ON_TABLE_FIRST,
                Permission.NOT_ALLOWED,
                Screening.WHERE_INDICATED,
                30,
                28,
                Length.ofMillimetres(40),
                AnchorLimitDefault.NORTH_AMERICA_65_LB,
                new PracticeProfile.RearFacing(24, null),
                new PracticeProfile.Breaks(30, 120),
                RoutingFirst.EUROPEAN,
                null);
        return new Practice(profile, "US", ZoneId.of("UTC"));
    }
}
