/** Securing the restraint by lower anchors: connectors, strap, inch test, windows, click, handle (SEC). */
@NullMarked
package app.layette.core.secure;

import org.jspecify.annotations.NullMarked;
