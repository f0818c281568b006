/** The fields of a seat sheet, from its published schema: what each takes, how it is read from a form, and told. */
@NullMarked
package app.layette.formats.sheet;

import org.jspecify.annotations.NullMarked;
