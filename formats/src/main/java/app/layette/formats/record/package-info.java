/** A fitting as a record: its entries in words, and the seal over them. */
@NullMarked
package app.layette.formats.record;

import org.jspecify.annotations.NullMarked;
