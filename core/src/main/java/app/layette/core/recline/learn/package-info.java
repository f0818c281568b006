/**
 * Learning the recline of one seat at one place from looks at its indicator, by number or by zone.
 *
 * <p>The state is <b>x = (a, u_r, u_f)</b>: a = θ0 − γ for this seat at this position, since both enter every reading
 * together, and the compliance multipliers u of the cushion under foot end and head end (k = k_nominal / u). The filter is
 * linear: the compressions are computed once with nominal stiffness, and a reading at a setting and a stage is <b>m = H·x
 * + α° + σ − δ</b> with <b>H = (1, −r C_r, r C_f)</b>. Handbook, section 6, learning from readings.
 *
 * <p>Not guaranteed: the true angle is not linear in u where tension goes slack; the likelihoods are meant for level
 * ground and hold in simulation within 5 points.
 */
@NullMarked
package app.layette.core.recline.learn;

import org.jspecify.annotations.NullMarked;
