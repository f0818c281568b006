/** Text, last of all: message bundles, and quantities in the reader's units and language. */
package app.layette.formats.wording;
