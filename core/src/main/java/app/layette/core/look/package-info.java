/**
 * What one look from one standing place shows together: the answers that a step's drawing stands for, so that only what
 * is <em>not</em> so has to be told by itself. The data is {@code looks.csv}.
 */
@NullMarked
package app.layette.core.look;

import org.jspecify.annotations.NullMarked;
