/** The one way in for text, whoever typed, pasted or sent it. */
@NullMarked
package app.layette.formats.text;

import org.jspecify.annotations.NullMarked;
