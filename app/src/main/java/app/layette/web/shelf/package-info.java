/** Seat sheets and vehicle sheets: versioned documents, checked on the way in, never changed afterwards. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Shelf")
package app.layette.web.shelf;

import org.jspecify.annotations.NullMarked;
