/** Teaching several families at once: questions about their own set-ups, with the answers. */
@NullMarked
package app.layette.core.lesson;

import org.jspecify.annotations.NullMarked;
