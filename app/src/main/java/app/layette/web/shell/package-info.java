/** What every page shares: the clock, the frame's model, and what is said when something goes wrong. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Shell")
package app.layette.web.shell;

import org.jspecify.annotations.NullMarked;
