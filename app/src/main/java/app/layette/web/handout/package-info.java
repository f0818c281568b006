/** The page that a family takes home: their settings, what to do each ride, and what comes next. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Handout")
package app.layette.web.handout;

import org.jspecify.annotations.NullMarked;
