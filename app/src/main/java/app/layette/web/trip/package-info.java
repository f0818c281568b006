/** A trip of the family, with its stops. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Trip")
package app.layette.web.trip;

import org.jspecify.annotations.NullMarked;
