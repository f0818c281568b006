/**
 * The steps of the work, the looks that are taken from one standing place, and the form in which a step asks for
 * something. Names only: what belongs to which step is said by the rules.
 */
@NullMarked
package app.layette.core.step;

import org.jspecify.annotations.NullMarked;
