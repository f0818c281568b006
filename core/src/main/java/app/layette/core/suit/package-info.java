/** Does the restraint suit the child, now and for how long (SUIT)? */
@NullMarked
package app.layette.core.suit;

import org.jspecify.annotations.NullMarked;
