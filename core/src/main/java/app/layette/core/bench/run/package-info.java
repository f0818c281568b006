/** Dry runs: done, replayed, taken apart against the planner's own. */
@NullMarked
package app.layette.core.bench.run;

import org.jspecify.annotations.NullMarked;
