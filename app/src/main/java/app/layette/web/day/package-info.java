/** The day of a fitting point: opening hours, bays, appointments, and what is free. */
package app.layette.web.day;
