/** A restraint drawn from what its sheet says, each value where it is measured: the form in which a sheet is written. */
@NullMarked
package app.layette.core.drawing.sheet;

import org.jspecify.annotations.NullMarked;
