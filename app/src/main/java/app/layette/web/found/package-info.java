/** What was found before anything was touched, chosen on the picture, and how it was left. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "As found")
package app.layette.web.found;

import org.jspecify.annotations.NullMarked;
