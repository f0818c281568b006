/** Whether a vehicle belt is long enough for a carrier without its base, and in which order it is. */
@NullMarked
package app.layette.core.belt;

import org.jspecify.annotations.NullMarked;
