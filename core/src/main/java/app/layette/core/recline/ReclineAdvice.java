package app.layette.core.recline;

import app.layette.core.child.Child;
import app.layette.core.entry.Fact.CushionMeasured;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.practice.PracticeProfile.NewbornTarget;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import app.layette.core.vehicle.SeatingPosition;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Which setting of the recline device to try first, by geometry alone (REC-1, REC-4). Advice: the indicator on the seat
 * overrules it.
 *
 * @param geometry of the seat on this cushion
 * @param settings every setting of the device with its computed recline on level ground
 * @param band the allowed band for the child's weight, when its borders are known in degrees
 * @param recommended name of the setting to try; empty when the band is not known or no setting reaches it
 */
public record ReclineAdvice(
        ReclineGeometry geometry, List<Setting> settings, Optional<Indicator.Band> band, Optional<String> recommended) {

    /**
     * One setting of the device.
     *
     * @param name as printed on the seat
     * @param lift ℓ at the foot end
     * @param recline computed θ on level ground
     * @param inside whether θ lies inside the band, borders included
     */
    public record Setting(String name, Length lift, Angle recline, boolean inside) {}

    /** Computes the advice; empty when the sheet lacks θ0, L or the device, or nobody knows the cushion's slope. */
    public static Optional<ReclineAdvice> of(Situation situation) {
        Optional<Recline> recline = situation.seat().map(SeatSheet::recline);
        Optional<Angle> theta0 = recline.flatMap(each -> each.theta0().value());
        Optional<Length> contact = recline.flatMap(each -> each.contact().value());
        Optional<Recline.Device> device = recline.flatMap(each -> each.device().value());
        Optional<Angle> slope = cushionSlope(situation);
        if (theta0.isEmpty() || contact.isEmpty() || device.isEmpty() || slope.isEmpty()) {
            return Optional.empty();
        }
        ReclineGeometry geometry = new ReclineGeometry(theta0.get(), slope.get(), contact.get());
        Optional<Indicator.Band> band = band(situation).filter(Indicator.Band::isInDegrees);
        List<Setting> settings = device.get().steps().stream()
                .map(step -> setting(step, geometry, band))
                .toList();
        return Optional.of(new ReclineAdvice(geometry, settings, band, recommend(settings, band, situation)));
    }

    /** γ: measured here, or from the vehicle sheet. */
    public static Optional<Angle> cushionSlope(Situation situation) {
        return situation
                .newest(CushionMeasured.class)
                .map(measured -> measured.value().slope())
                .or(() ->
                        situation.position().map(SeatingPosition::cushionSlope).flatMap(Evidence::value));
    }

    /** The band of the seat's indicator for the child's weight. */
    public static Optional<Indicator.Band> band(Situation situation) {
        return situation
                .seat()
                .map(SeatSheet::recline)
                .map(Recline::indicator)
                .flatMap(Evidence::value)
                .flatMap(indicator -> situation.weight().flatMap(weight -> indicator.bandFor(weight.value())));
    }

    private static Setting setting(Recline.Step step, ReclineGeometry geometry, Optional<Indicator.Band> band) {
        Angle angle = geometry.recline(step.lift(), step.slide(), Angle.ZERO);
        boolean inside = band.map(each -> angle.compareTo(each.from()) >= 0 && angle.compareTo(each.to()) <= 0)
                .orElse(false);
        return new Setting(step.name(), step.lift(), angle, inside);
    }

    private static Optional<String> recommend(
            List<Setting> settings, Optional<Indicator.Band> band, Situation situation) {
        Comparator<Setting> better = wantsMostReclined(situation)
                ? Comparator.comparing(Setting::recline)
                : Comparator.comparing((Setting setting) -> band.map(each -> fromMiddle(setting.recline(), each))
                                .orElse(0.0))
                        .reversed();
        return settings.stream().filter(Setting::inside).max(better).map(Setting::name);
    }

    private static double fromMiddle(Angle angle, Indicator.Band band) {
        return Math.abs(angle.degrees() - (band.from().degrees() + band.to().degrees()) / 2);
    }

    private static boolean wantsMostReclined(Situation situation) {
        Optional<Child> child = situation.child().map(Stamped::value);
        boolean newborn = child.map(each -> each.correctedAgeDays(situation.today())
                        < situation.practice().profile().newbornDays())
                .orElse(true);
        return newborn && situation.practice().profile().newbornTarget() == NewbornTarget.MOST_RECLINED;
    }

    /** The setting with this name. */
    public Optional<Setting> setting(String name) {
        return settings.stream().filter(each -> each.name().equals(name)).findFirst();
    }
}
