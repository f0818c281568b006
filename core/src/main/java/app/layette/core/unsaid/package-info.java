/** What a sheet leaves unknown: planned over standard children and cars, in how many fittings each gap would block. */
@NullMarked
package app.layette.core.unsaid;

import org.jspecify.annotations.NullMarked;
