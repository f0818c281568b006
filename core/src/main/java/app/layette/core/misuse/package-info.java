/** The catalogue of what is found wrong, and what put it right. */
@NullMarked
package app.layette.core.misuse;

import org.jspecify.annotations.NullMarked;
