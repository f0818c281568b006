/** What somebody knows, and what to practise next. */
@NullMarked
package app.layette.core.bench.progress;

import org.jspecify.annotations.NullMarked;
