/** A caregiver who does what they were shown, and slips. */
@NullMarked
package app.layette.core.bench.lesson;

import org.jspecify.annotations.NullMarked;
