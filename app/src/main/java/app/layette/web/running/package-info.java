/** How it runs: the settings checked at the start, what is measured while it runs, and a stop that finishes its work. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Running")
package app.layette.web.running;

import org.jspecify.annotations.NullMarked;
