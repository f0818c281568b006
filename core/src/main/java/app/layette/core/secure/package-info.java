/** Securing the restraint by lower anchors: connectors, strap, inch test, windows, click, handle (SEC). */
package app.layette.core.secure;
