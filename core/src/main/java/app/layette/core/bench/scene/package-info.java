/** Families, restraints and cars, made up out of a number. */
@NullMarked
package app.layette.core.bench.scene;

import org.jspecify.annotations.NullMarked;
