/** A restraint drawn from what its sheet says, each value where it is measured: the form in which a sheet is written. */
package app.layette.core.drawing.sheet;
