/** What comes of a doing: a new truth, what was seen or felt with a person's error, and what an honest hand writes down. */
@NullMarked
package app.layette.core.bench.hands;

import org.jspecify.annotations.NullMarked;
