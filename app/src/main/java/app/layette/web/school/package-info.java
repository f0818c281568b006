/** The schools side by side, and what another practice would have changed. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "School")
package app.layette.web.school;

import org.jspecify.annotations.NullMarked;
