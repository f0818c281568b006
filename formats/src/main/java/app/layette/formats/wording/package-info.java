/** Text, last of all: message bundles, and quantities in the reader's units and language. */
@NullMarked
package app.layette.formats.wording;

import org.jspecify.annotations.NullMarked;
