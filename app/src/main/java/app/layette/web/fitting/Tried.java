package app.layette.web.fitting;

import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.practice.PracticeProfile;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.VehicleSheet;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.shelf.Shelf;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What fittings of a point would come to by another sheet or another practice: planned, stored nowhere. */
@Service
public class Tried {
    private static final int MOST = 200;

    private final FittingRows rows;
    private final FittingPlans plans;
    private final Shelf shelf;

    Tried(FittingRows rows, FittingPlans plans, Shelf shelf) {
        this.shelf = shelf;
        this.rows = rows;
        this.plans = plans;
    }

    /**
     * A fitting that would come out otherwise.
     *
     * @param difference every conclusion that would stand otherwise
     */
    public record Otherwise(UUID id, String child, String reference, PlanDifference difference) {
        /** Each conclusion that would stand otherwise, how it stands and how it would. */
        public List<String> says(Wording words) {
            return difference.changes().stream()
                    .map(each -> words.say("conclusion." + each.conclusion()) + ": "
                            + words.say("gateState." + each.from()) + " → " + words.say("gateState." + each.to()))
                    .toList();
        }
    }

    /**
     * What came of a trial.
     *
     * @param tried how many fittings were planned both ways
     */
    public record Result(int tried, List<Otherwise> otherwise) {}

    /** The open fittings that go by a seat's sheet and would come out otherwise by this version of it. */
    @Transactional(readOnly = true)
    public List<Otherwise> bySheet(Point point, SeatSheet sheet) {
        return otherwise(
                rows.open(point.id(), sheet.sheet().id(), Limit.of(MOST)),
                row -> plans.of(row, point),
                row -> plans.asIfBySheet(row, point, sheet));
    }

    /** The open fittings in a car that would come out otherwise by this version of its sheet. */
    @Transactional(readOnly = true)
    public List<Otherwise> byCar(Point point, VehicleSheet car) {
        Set<String> names = new HashSet<>(Set.of(car.fullName()));
        shelf.sheets(point.id(), List.of(car.sheet().id())).cars().forEach(each -> names.add(each.fullName()));
        return otherwise(
                rows.openInCar(point.id(), names, Limit.of(MOST)),
                row -> plans.of(row, point),
                row -> plans.asIfByCar(row, point, car));
    }

    /** The last fittings of a point, open and ended, that would have come out otherwise by this practice. */
    @Transactional(readOnly = true)
    public Result byPractice(Point point, PracticeProfile profile, int most) {
        List<FittingRow> last = rows.last(point.id(), Limit.of(Math.min(MOST, most)));
        return new Result(
                last.size(),
                otherwise(last, row -> plans.onItsDay(row, point), row -> plans.asIfByPractice(row, point, profile)));
    }

    private static List<Otherwise> otherwise(
            List<FittingRow> fittings, Function<FittingRow, FittingPlan> now, Function<FittingRow, FittingPlan> then) {
        List<Otherwise> changed = new ArrayList<>();
        for (FittingRow row : fittings) {
            PlanDifference difference = PlanDifference.between(now.apply(row), then.apply(row));
            boolean same = difference.changes().isEmpty()
                    && difference.added().isEmpty()
                    && difference.dropped().isEmpty();
            if (!same) {
                changed.add(
                        new Otherwise(row.id(), row.childName(), row.family().reference(), difference));
            }
        }
        return changed;
    }
}
