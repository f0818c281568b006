/** The bench drawn as it is. */
@NullMarked
package app.layette.core.bench.view;

import org.jspecify.annotations.NullMarked;
