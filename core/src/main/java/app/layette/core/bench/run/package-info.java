/** Dry runs: done, replayed, taken apart against the planner's own. */
package app.layette.core.bench.run;
