/** Photographs kept with the record: made small, turned upright, and stripped of everything but the picture. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Photos")
package app.layette.web.photo;

import org.jspecify.annotations.NullMarked;
