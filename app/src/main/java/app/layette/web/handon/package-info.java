/** A family goes on at another fitting point: its case as a document, and what comes from elsewhere. */
@NullMarked
package app.layette.web.handon;

import org.jspecify.annotations.NullMarked;
