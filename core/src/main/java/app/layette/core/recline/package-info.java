/**
 * The recline angle (REC): geometry in the side view, the ground under the car, and what the seat's own indicator says.
 *
 * <p>Convention: the recline angle θ is the angle of the shell's back from the vertical in degrees; larger is lying back
 * more. Raising the foot end reclines; a cushion that drops towards the bight makes upright.
 */
@NullMarked
package app.layette.core.recline;

import org.jspecify.annotations.NullMarked;
