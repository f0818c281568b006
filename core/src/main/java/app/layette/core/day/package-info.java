/** A day of a fitting point: when it is open, what is taken, and what is free. */
@NullMarked
package app.layette.core.day;

import org.jspecify.annotations.NullMarked;
