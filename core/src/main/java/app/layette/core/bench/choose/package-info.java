/** A choice of restraint and place, judged with its arguments. */
@NullMarked
package app.layette.core.bench.choose;

import org.jspecify.annotations.NullMarked;
