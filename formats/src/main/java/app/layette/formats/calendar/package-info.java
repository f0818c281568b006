/** Follow-ups as iCalendar. */
package app.layette.formats.calendar;
