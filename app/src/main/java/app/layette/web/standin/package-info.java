/** Simulated stand-ins for outside devices, each behind the port of the package that uses it. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Stand-ins")
package app.layette.web.standin;

import org.jspecify.annotations.NullMarked;
