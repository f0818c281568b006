/** The ledger: what was fitted, how it ended, what was found, and what else was done; no family is named in it. */
@NullMarked
package app.layette.web.ledger;

import org.jspecify.annotations.NullMarked;
