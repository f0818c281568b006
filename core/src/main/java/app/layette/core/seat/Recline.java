package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How the restraint reclines on a level base.
 *
 * @param theta0 recline θ0 with the base level and the device at zero, from the vertical, larger = lying back more
 * @param contact distance L of the two contact points of base and cushion
 * @param device the recline device
 * @param indicator the seat's own level indicator
 * @param beltPullFraction b, where belt or anchor strap pulls along the base, 0 foot end to 1 head end
 * @param loadFraction w, where the loaded carrier weighs on the base
 * @param rollWidth how wide a roll may be so that belt or strap stays reachable (REC-6)
 * @param arms where rigid anchors and load leg hold the base; only for such a base
 */
@Built
public record Recline(
        Evidence<Angle> theta0,
        @Written(as = "positiveLength") Evidence<Length> contact,
        Evidence<Device> device,
        Evidence<Indicator> indicator,
        @Written(from = 0, to = 1) Evidence<Double> beltPullFraction,
        @Written(from = 0, to = 1) Evidence<Double> loadFraction,
        Evidence<Length> rollWidth,
        Evidence<Arms> arms) {
    static final Recline NOT_LOOKED = ReclineParts.builder().build();

    public Recline {
        theta0 = orNotLooked(theta0);
        contact = orNotLooked(contact);
        device = orNotLooked(device);
        indicator = orNotLooked(indicator);
        beltPullFraction = orNotLooked(beltPullFraction);
        loadFraction = orNotLooked(loadFraction);
        rollWidth = orNotLooked(rollWidth);
        arms = orNotLooked(arms);
    }

    /** Kinds of recline device. */
    public enum DeviceKind {
        FOOT,
        DIAL,
        /** Moves the carrier on the fixed base. */
        SLIDE,
        STAND,
        /** The load leg of a base on rigid arms: its notches set the angle. */
        LEG,
        NONE
    }

    /**
     * The recline device.
     *
     * @param kind of device
     * @param steps from the most upright on; the marks of a dial; empty for {@link DeviceKind#NONE}
     */
    public record Device(@Written(needed = true) DeviceKind kind, List<Step> steps) {
        public Device {
            steps = steps == null ? List.of() : List.copyOf(steps);
        }

        /** Every setting one can name: the steps, and on a dial, which does not click, half-way between marks too. */
        public List<Step> settings() {
            if (kind != DeviceKind.DIAL) {
                return steps;
            }
            List<Step> settings = new ArrayList<>();
            for (int i = 0; i < steps.size(); i++) {
                settings.add(steps.get(i));
                if (i + 1 < steps.size()) {
                    settings.add(steps.get(i).halfWayTo(steps.get(i + 1)));
                }
            }
            return settings;
        }
    }

    /**
     * One setting of the device.
     *
     * @param name as printed on the seat
     * @param lift ℓ at the foot end
     * @param slide σ, the offset of a slide; {@code null} means none
     * @param leg q, length of the load leg; {@code null} for other devices
     */
    public record Step(
            @Written(needed = true) SettingId name,
            Length lift,
            Angle slide,
            @Nullable Length leg) {
        /** Of a restraint without a device: it lifts nothing and moves nothing. */
        public static final Step PLAIN = new Step(new SettingId(""), Length.ZERO, Angle.ZERO);

        public Step {
            lift = lift == null ? Length.ZERO : lift;
            slide = slide == null ? Angle.ZERO : slide;
        }

        public Step(SettingId name, Length lift, Angle slide) {
            this(name, lift, slide, null);
        }

        private Step halfWayTo(Step next) {
            double half = (lift.millimetres() + next.lift.millimetres()) / 2;
            return new Step(
                    new SettingId((name.text().equals("0") ? "" : name) + "½"), Length.ofMillimetres(half), slide);
        }
    }

    /**
     * Where a base is held by rigid lower anchors and its load leg, in the base frame (origin at the foot-end contact, x
     * towards the head end, z up).
     *
     * @param anchorAlong x_a
     * @param anchorUp z_a
     * @param legAlong x_l
     * @param legUp z_l
     */
    public record Arms(
            @Written(needed = true) Length anchorAlong,
            @Written(needed = true) Length anchorUp,
            @Written(needed = true) Length legAlong,
            @Written(needed = true) Length legUp) {}
}
