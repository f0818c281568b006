/**
 * The fitting as it is kept: its entries, the one way in for them, who may enter what, and the plan that follows. The
 * projection columns of a fitting only serve lists.
 */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Fitting")
package app.layette.web.fitting;

import org.jspecify.annotations.NullMarked;
