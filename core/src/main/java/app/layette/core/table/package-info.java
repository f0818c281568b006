/** Reads the small data tables that the core ships as resources; a damaged table stops the start with a sentence. */
@NullMarked
package app.layette.core.table;

import org.jspecify.annotations.NullMarked;
