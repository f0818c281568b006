/** A day of a fitting point: when it is open, what is taken, and what is free. */
package app.layette.core.day;
