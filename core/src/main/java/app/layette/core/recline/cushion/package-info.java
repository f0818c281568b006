/**
 * A vehicle cushion under a base, in the side view: two springs, one under each end of the base (handbook, section 6,
 * compression and tightening).
 *
 * <p>{@link app.layette.core.recline.cushion.Tightening} goes through the stages of a fitting in their order: set down
 * loose (rest), pressed by hand, foam set, belt locked at a depth, held tight, child in. Index r is the foot end, at the
 * bight; index f the head end. Fractions along the base run from 0 at the foot end to 1 at the head end. Forces are in
 * newtons, stiffness in N/mm, depths in mm.
 *
 * <p>What is not modelled: the cushion's own shape, creep over weeks, the vehicle seat back, an end of the base that
 * lifts off.
 */
@NullMarked
package app.layette.core.recline.cushion;

import org.jspecify.annotations.NullMarked;
