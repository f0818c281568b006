/** Second factors beside a password: time codes, passkeys, and codes on paper. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Second factor")
package app.layette.web.factor;

import org.jspecify.annotations.NullMarked;
