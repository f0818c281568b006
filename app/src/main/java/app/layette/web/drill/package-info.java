/** The practice bench: dry runs, taken apart, and what to practise next. */
@NullMarked
package app.layette.web.drill;

import org.jspecify.annotations.NullMarked;
