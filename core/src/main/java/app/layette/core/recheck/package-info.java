/** A family that comes back: what its earlier fitting says of the same seat, once nothing was done to it since. */
@NullMarked
package app.layette.core.recheck;

import org.jspecify.annotations.NullMarked;
