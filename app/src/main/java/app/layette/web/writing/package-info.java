/** Seat sheets that are written here, on the drawing of the restraint, and what becomes of a draft. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Writing")
package app.layette.web.writing;

import org.jspecify.annotations.NullMarked;
