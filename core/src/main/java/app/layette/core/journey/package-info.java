/** On the road (JRN): how long at a time, and where the stops fall. */
@NullMarked
package app.layette.core.journey;

import org.jspecify.annotations.NullMarked;
