/** Hands and eyes, as they are listed: what can be done, and what finds out what. */
@NullMarked
package app.layette.core.bench.act;

import org.jspecify.annotations.NullMarked;
