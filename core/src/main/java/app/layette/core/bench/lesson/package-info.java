/** A caregiver who does what they were shown, and slips. */
package app.layette.core.bench.lesson;
