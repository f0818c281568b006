/** Follow-ups as iCalendar. */
@NullMarked
package app.layette.formats.calendar;

import org.jspecify.annotations.NullMarked;
