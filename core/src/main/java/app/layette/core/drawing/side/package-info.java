/**
 * The side view: vehicle seat, base, shell and child to scale, the recline dial and the seat's own indicator.
 *
 * <p>{@link app.layette.core.drawing.side.Setup} knows where everything stands at one setting of the recline device; the
 * figures draw from it; {@link app.layette.core.drawing.side.PoseTable} gives the same for every setting, so that a
 * screen can move the drawing between them without computing anything itself.
 */
@NullMarked
package app.layette.core.drawing.side;

import org.jspecify.annotations.NullMarked;
