/** The quick run: a baseless ride planned in under a minute. It gives a ride card and keeps nothing. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Quick run")
package app.layette.web.quick;

import org.jspecify.annotations.NullMarked;
