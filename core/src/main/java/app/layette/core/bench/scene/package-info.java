/** Families, restraints and cars, made up out of a number. */
package app.layette.core.bench.scene;
