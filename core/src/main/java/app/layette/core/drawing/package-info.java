/**
 * Plain geometry of the views in millimetres, with no markup: what is drawn comes from the same numbers that decide.
 * An ink says what a shape is (a cushion, something computed, something not known); how that looks is the writer's
 * business. In a view x grows to the right and y upwards.
 */
@NullMarked
package app.layette.core.drawing;

import org.jspecify.annotations.NullMarked;
