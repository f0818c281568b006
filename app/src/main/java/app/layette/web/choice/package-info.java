/** Which restraint? The seats of the shelf, ranked for the child and the car of a fitting. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Which restraint")
package app.layette.web.choice;

import org.jspecify.annotations.NullMarked;
