/**
 * Which restraint? Every sheet of the shelf is asked what the gate would ask once it is fitted, as far as that can be
 * said beforehand for this child and this car, and ranked (SUIT).
 */
@NullMarked
package app.layette.core.choice;

import org.jspecify.annotations.NullMarked;
