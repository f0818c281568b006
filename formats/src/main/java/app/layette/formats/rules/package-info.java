/** The rules and the misuses for people: what, why, how it is seen and put right, in each language. */
@NullMarked
package app.layette.formats.rules;

import org.jspecify.annotations.NullMarked;
