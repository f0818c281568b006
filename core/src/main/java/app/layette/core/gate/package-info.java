/**
 * The positive gate: a hand-over opens only when each conclusion that the method requires is present, passed and fresh.
 * A rule that throws, is missing or has nothing to judge does not pass.
 */
@NullMarked
package app.layette.core.gate;

import org.jspecify.annotations.NullMarked;
