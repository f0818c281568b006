package app.layette.core.recheck;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Method;
import app.layette.core.entry.QuickCar;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.seat.SettingId;
import app.layette.core.vehicle.PositionId;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What a restraint of this sheet needed in this very car the last time that it was handed over here, in whichever family:
 * where to begin, never a check.
 *
 * @param place where it stood
 * @param method how it was fixed
 * @param setting of the recline device; empty where none was set
 * @param goes how often a setting was set until it held; 0 where none was set
 * @param on the day on which it was handed over
 */
public record LastSetUp(PositionId place, Method method, Optional<SettingId> setting, int goes, LocalDate on) {
    /**
     * Reads an earlier fitting.
     *
     * @param earlier handed over
     * @param now the fitting that is being worked on
     * @return empty where it was another seat or another car, or where a car was only described: two cars of one name are
     *     not the same car
     */
    public static Optional<LastSetUp> of(Situation earlier, Situation now) {
        boolean sameSeat =
                !now.isQuickSeat() && earlier.unit().sheet().equals(now.unit().sheet());
        Optional<String> car = carOf(now);
        if (!sameSeat || car.isEmpty() || !car.equals(carOf(earlier))) {
            return Optional.empty();
        }
        return earlier.ended()
                .filter(ended -> ended.value().ending() == Fact.Ending.HANDED_OVER)
                .flatMap(ended -> earlier.placed().map(Stamped::value).map(placed -> {
                    int since = earlier.placeSince();
                    int goes = (int) earlier.history(Fact.DeviceSet.class).stream()
                            .filter(set -> set.seq() > since)
                            .count();
                    return new LastSetUp(
                            placed.position(),
                            placed.method(),
                            earlier.newest(Fact.DeviceSet.class)
                                    .map(set -> set.value().step()),
                            goes,
                            ended.on());
                }));
    }

    private static Optional<String> carOf(Situation situation) {
        return situation.car().map(car -> car.sheet().id()).filter(id -> !id.equals(QuickCar.SHEET));
    }
}
