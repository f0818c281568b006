/** Where in the car, and by what method (CAB). */
@NullMarked
package app.layette.core.cabin;

import org.jspecify.annotations.NullMarked;
