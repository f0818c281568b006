/** Setting the harness to the child and harnessing it (HAR). */
@NullMarked
package app.layette.core.harness;

import org.jspecify.annotations.NullMarked;
