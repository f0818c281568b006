/** What the label of a restraint says, as far as its print and its codes can be read from a photograph. */
@NullMarked
package app.layette.formats.label;

import org.jspecify.annotations.NullMarked;
