/**
 * Trial and error against advice, on random seats in random cars: how many cycles of adjusting and looking each way of
 * searching takes to bring the recline into the band. For the published comparison and for the tests of the filter; no
 * fitting is planned with it.
 *
 * <p>The seats and cars are defined in the handbook, section 6, simulation benchmark. The true values are hidden from
 * whoever searches: a search sees what an indicator would show, and nothing else.
 */
@NullMarked
package app.layette.core.trial;

import org.jspecify.annotations.NullMarked;
