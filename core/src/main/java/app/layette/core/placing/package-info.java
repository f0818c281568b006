/** Every seating position by every method: allowed, not allowed or not known, with reasons, and in which order (CAB-13). */
@NullMarked
package app.layette.core.placing;

import org.jspecify.annotations.NullMarked;
