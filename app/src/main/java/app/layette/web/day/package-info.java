/** The day of a fitting point: opening hours, bays, appointments, and what is free. */
@NullMarked
package app.layette.web.day;

import org.jspecify.annotations.NullMarked;
