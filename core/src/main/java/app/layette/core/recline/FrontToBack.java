package app.layette.core.recline;

import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.seat.OutlinePoint;
import app.layette.core.vehicle.SeatingPosition.Clearance;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How far a restraint reaches towards the front seat (CAB-10), in the car without the ground's slope.
 *
 * <pre>
 * φ = γ − asin(…);  R = (−(ℓ − c_r) sin γ, (ℓ − c_r) cos γ)
 * X = R_x + x cos φ − z sin φ;  Z = R_z + x sin φ + z cos φ
 * shift forward until X ≥ −Z tan β everywhere; then the foremost point at each height
 * </pre>
 *
 * <p>Handbook, section 6, front-to-back length. About 10 mm per degree of recline.
 */
public final class FrontToBack {
    /** Height above the base's contact points about which a slide turns the carrier. */
    public static final double PIVOT_UP_MM = 92;

    private final List<OutlinePoint> placed;
    private final double shift;

    /**
     * Places an outline.
     *
     * @param outline in the base frame, carrier points already turned by a slide; 1 point or more
     * @param baseSlope φ
     * @param slope γ
     * @param heldUpMm ℓ − c_r, how high the foot-end contact stands above the unloaded cushion
     * @param backAngle β, how far the vehicle seat back leans back
     */
    public FrontToBack(List<OutlinePoint> outline, Angle baseSlope, Angle slope, double heldUpMm, Angle backAngle) {
        List<OutlinePoint> standing = outline.stream()
                .map(point -> stand(point, baseSlope, slope, heldUpMm))
                .toList();
        double lean = Math.tan(backAngle.radians());
        this.shift = standing.stream().mapToDouble(point -> -point.upMm() * lean - point.alongMm()).max().stream()
                .map(crossing -> Math.max(0, crossing))
                .findFirst()
                .orElseThrow();
        this.placed = standing.stream()
                .map(point -> new OutlinePoint(point.alongMm() + shift, point.upMm()))
                .toList();
    }

    /** A point of the base frame, standing on the cushion: x forward from the bight, z up. */
    public static OutlinePoint stand(OutlinePoint point, Angle baseSlope, Angle slope, double heldUpMm) {
        double x = -heldUpMm * slope.sin() + point.alongMm() * baseSlope.cos() - point.upMm() * baseSlope.sin();
        double z = heldUpMm * slope.cos() + point.alongMm() * baseSlope.sin() + point.upMm() * baseSlope.cos();
        return new OutlinePoint(x, z);
    }

    /**
     * An outline with everything above the base's top turned by a slide, about the middle of the base.
     *
     * @param contactMm L
     */
    public static List<OutlinePoint> slidden(List<OutlinePoint> outline, Angle slide, double contactMm) {
        if (slide.equals(Angle.ZERO)) {
            return outline;
        }
        double turn = -slide.radians();
        return outline.stream()
                .map(point -> point.upMm() <= PIVOT_UP_MM ? point : turned(point, contactMm / 2, turn))
                .toList();
    }

    private static OutlinePoint turned(OutlinePoint point, double aboutMm, double radians) {
        double x = point.alongMm() - aboutMm;
        double z = point.upMm() - PIVOT_UP_MM;
        return new OutlinePoint(
                aboutMm + x * Math.cos(radians) - z * Math.sin(radians),
                PIVOT_UP_MM + x * Math.sin(radians) + z * Math.cos(radians));
    }

    /** How far it stands forward so that nothing crosses the vehicle seat back, in mm. */
    public double shiftMm() {
        return shift;
    }

    /** The outline as it stands. */
    public List<OutlinePoint> placed() {
        return placed;
    }

    /** The point that reaches furthest forward. */
    public OutlinePoint foremost() {
        return placed.stream()
                .max(Comparator.comparingDouble(OutlinePoint::alongMm))
                .orElseThrow();
    }

    /** The point that reaches least far forward: the end at the vehicle seat back. */
    public OutlinePoint hindmost() {
        return placed.stream()
                .min(Comparator.comparingDouble(OutlinePoint::alongMm))
                .orElseThrow();
    }

    /**
     * Where the room to the front seat is smallest.
     *
     * @param reachMm how far from the bight the restraint reaches there
     * @param seatMm how far from the bight the front seat stands there
     */
    public record Tightest(double reachMm, double seatMm) {
        /** The room, 0 when it touches. */
        public Length room() {
            return Length.ofMillimetres(Math.max(0, seatMm - reachMm));
        }
    }

    /**
     * The smallest room to the front seat over all heights, 0 when it touches.
     *
     * @param clearances of the car, lowest first
     * @return empty when the car's distances are not known
     */
    public Optional<Length> gap(List<Clearance> clearances) {
        return tightest(clearances).map(Tightest::room);
    }

    /** Where that smallest room is; empty when the car's distances are not known. */
    public Optional<Tightest> tightest(List<Clearance> clearances) {
        return clearances.isEmpty()
                ? Optional.empty()
                : withHeightsOf(clearances).stream()
                        .map(point -> new Tightest(point.alongMm(), distanceAt(clearances, point.upMm())))
                        .min(Comparator.comparingDouble(each -> each.seatMm() - each.reachMm()));
    }

    /** Corners, and where an edge passes a height at which the car's distance bends. */
    private List<OutlinePoint> withHeightsOf(List<Clearance> clearances) {
        List<OutlinePoint> points = new ArrayList<>(placed);
        for (int i = 0; i < placed.size(); i++) {
            OutlinePoint a = placed.get(i);
            OutlinePoint b = placed.get((i + 1) % placed.size());
            for (Clearance clearance : clearances) {
                double height = clearance.height().millimetres();
                if ((a.upMm() - height) * (b.upMm() - height) < 0) {
                    double share = (height - a.upMm()) / (b.upMm() - a.upMm());
                    points.add(new OutlinePoint(a.alongMm() + share * (b.alongMm() - a.alongMm()), height));
                }
            }
        }
        return points;
    }

    /** The car's distance at a height, straight between the heights that the sheet gives, and level beyond them. */
    public static double distanceAt(List<Clearance> clearances, double heightMm) {
        Clearance below = clearances.get(0);
        for (Clearance next : clearances) {
            double low = below.height().millimetres();
            double high = next.height().millimetres();
            if (high >= heightMm && high > low) {
                double share = Math.max(0, (heightMm - low) / (high - low));
                double from = below.distance().millimetres();
                return from + share * (next.distance().millimetres() - from);
            }
            below = next;
        }
        return below.distance().millimetres();
    }
}
