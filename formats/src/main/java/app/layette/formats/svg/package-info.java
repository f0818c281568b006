/** One writer from drawing geometry to SVG: presentation attributes and classes, no style attributes, no scripts. */
package app.layette.formats.svg;
