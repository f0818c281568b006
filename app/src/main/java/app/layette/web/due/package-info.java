/** What comes due for all families of a fitting point: the list, what was done about it, calendars, letters. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Due")
package app.layette.web.due;

import org.jspecify.annotations.NullMarked;
