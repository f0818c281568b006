/** What is so on the practice bench: how the restraint is held, the harness on the doll, and what an eye would see. */
@NullMarked
package app.layette.core.bench.state;

import org.jspecify.annotations.NullMarked;
