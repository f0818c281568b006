/** The fitting as a record: its story, corrections and additions, and the seal. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Record")
package app.layette.web.record;

import org.jspecify.annotations.NullMarked;
