/**
 * A fitting is its entries. An entry is one typed fact with who, when and how it was known; entries are only ever added.
 * {@link app.layette.core.entry.Replay} puts corrections in their places and
 * {@link app.layette.core.entry.Situation} answers what is so now.
 */
@NullMarked
package app.layette.core.entry;

import org.jspecify.annotations.NullMarked;
