/** A photograph of a label is read: codes and print propose, a hand confirms. */
@NullMarked
package app.layette.web.label;

import org.jspecify.annotations.NullMarked;
