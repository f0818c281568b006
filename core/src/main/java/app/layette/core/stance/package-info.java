/** Where to stand beside the car and which way to pull (SEC-5). */
@NullMarked
package app.layette.core.stance;

import org.jspecify.annotations.NullMarked;
