/** Before the family drives: teach-back, cautions, and who signs (OUT). */
@NullMarked
package app.layette.core.handover;

import org.jspecify.annotations.NullMarked;
