/**
 * The quick baseless ride: a carrier without its base in a taxi, planned in a minute from three answers. It gives a ride
 * card, which is planned and not checked, and never a hand-over.
 */
@NullMarked
package app.layette.core.ride;

import org.jspecify.annotations.NullMarked;
