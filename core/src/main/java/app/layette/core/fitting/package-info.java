/**
 * The one door into the core: {@link app.layette.core.fitting.FittingPlanner}. A plan is a pure function of practice,
 * sheets, entries and the day; same input, same plan.
 */
@NullMarked
package app.layette.core.fitting;

import org.jspecify.annotations.NullMarked;
