/** Timings of what has a budget; run with {@code ./layette bench}, never as part of the tests. */
package app.layette.benchmarks;
