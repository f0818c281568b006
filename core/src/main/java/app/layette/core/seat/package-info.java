/**
 * Seat sheets: what the manual and the label of one restraint say, each value with its evidence. A field that a sheet
 * leaves out was not looked up; the sheet never fills it with a default.
 */
@NullMarked
package app.layette.core.seat;

import org.jspecify.annotations.NullMarked;
