package app.layette.core.seat;

/**
 * A corner of the restraint's outline in the base frame, drawn with the base level: origin at the foot-end contact.
 *
 * @param alongMm x, towards the head end, in mm
 * @param upMm z, in mm
 */
public record OutlinePoint(double alongMm, double upMm) {}
