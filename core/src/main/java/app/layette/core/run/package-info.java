/**
 * The run: the steps of a fitting in the order that the method and the profile give, each with what it asks and which
 * conclusions it serves.
 */
@NullMarked
package app.layette.core.run;

import org.jspecify.annotations.NullMarked;
