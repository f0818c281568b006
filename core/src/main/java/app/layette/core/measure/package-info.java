/**
 * Quantities as value types, one internal unit for each dimension, and the only place where the two unit systems are
 * read and printed.
 *
 * <p>A {@link app.layette.core.measure.Mass} is a whole number of tenths of a gram and a
 * {@link app.layette.core.measure.Length} a whole number of hundredths of a millimetre, so that equality agrees with
 * ordering and a limit printed as 4 lb equals a child weighed as 4 lb. What somebody typed is kept beside the canonical
 * value and plays no part in comparisons.
 */
@NullMarked
package app.layette.core.measure;

import org.jspecify.annotations.NullMarked;
