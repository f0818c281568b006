/** What a fitting point has decided where practitioners' schools differ: a versioned document, kept with each fitting. */
@NullMarked
package app.layette.core.practice;

import org.jspecify.annotations.NullMarked;
