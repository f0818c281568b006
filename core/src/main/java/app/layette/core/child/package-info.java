/** The child as far as it is known: dates, measures with how they are known, and corrected age. */
@NullMarked
package app.layette.core.child;

import org.jspecify.annotations.NullMarked;
