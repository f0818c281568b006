/** Whether a vehicle belt is long enough for a carrier without its base, and in which order it is. */
package app.layette.core.belt;
