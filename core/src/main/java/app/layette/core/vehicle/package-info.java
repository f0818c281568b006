/**
 * Vehicle sheets: a car is a small table of seating positions, because anchors, belts and rules differ at each. Every
 * value from the manual carries its evidence; what a technician saw at the car enters the same way.
 */
@NullMarked
package app.layette.core.vehicle;

import org.jspecify.annotations.NullMarked;
