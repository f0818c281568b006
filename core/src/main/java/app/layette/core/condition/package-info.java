/** Clearing the seat: may this very restraint be used at all (CND)? */
@NullMarked
package app.layette.core.condition;

import org.jspecify.annotations.NullMarked;
