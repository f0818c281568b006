/**
 * Verdicts as data: a rule code, a weight, a message key with typed arguments, the sources used and what would change
 * it. Text comes last and elsewhere, so that one finding speaks pounds or kilograms, English or Spanish.
 */
@NullMarked
package app.layette.core.finding;

import org.jspecify.annotations.NullMarked;
