/** One writer from drawing geometry to SVG: presentation attributes and classes, no style attributes, no scripts. */
@NullMarked
package app.layette.formats.svg;

import org.jspecify.annotations.NullMarked;
