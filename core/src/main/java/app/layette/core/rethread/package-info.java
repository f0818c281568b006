/**
 * Moving the harness to other slots (HAR-4): what the back of the shell looks like after each move, which move comes next,
 * and which moves are refused because they lose the way back.
 */
@NullMarked
package app.layette.core.rethread;

import org.jspecify.annotations.NullMarked;
