package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Evidence;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import java.util.List;

/**
 * How the restraint reclines on a level base.
 *
 * @param theta0 recline θ0 with the base level and the device at zero, from the vertical, larger = lying back more
 * @param contact distance L of the two contact points of base and cushion
 * @param device the recline device
 * @param indicator the seat's own level indicator
 */
public record Recline(
        Evidence<Angle> theta0, Evidence<Length> contact, Evidence<Device> device, Evidence<Indicator> indicator) {
    static final Recline NOT_LOOKED = new Recline(null, null, null, null);

    public Recline {
        theta0 = orNotLooked(theta0);
        contact = orNotLooked(contact);
        device = orNotLooked(device);
        indicator = orNotLooked(indicator);
    }

    /** Kinds of recline device. */
    public enum DeviceKind {
        FOOT,
        DIAL,
        SLIDE,
        STAND,
        NONE
    }

    /**
     * The recline device.
     *
     * @param kind of device
     * @param steps from the most upright on; empty for {@link DeviceKind#NONE}
     */
    public record Device(DeviceKind kind, List<Step> steps) {
        public Device {
            steps = steps == null ? List.of() : List.copyOf(steps);
        }
    }

    /**
     * One setting of the device.
     *
     * @param name as printed on the seat
     * @param lift ℓ at the foot end
     * @param slide σ, the offset of a slide; {@code null} means none
     */
    public record Step(String name, Length lift, Angle slide) {
        public Step {
            lift = lift == null ? Length.ZERO : lift;
            slide = slide == null ? Angle.ZERO : slide;
        }
    }
}
