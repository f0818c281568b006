/** The car from above: the plan in millimetres, and how it is drawn. */
@NullMarked
package app.layette.core.drawing.cabin;

import org.jspecify.annotations.NullMarked;
