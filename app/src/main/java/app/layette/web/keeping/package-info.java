/** Keeping it: what there is, whether every seal holds, backups, and how it stands. */
@NullMarked
package app.layette.web.keeping;

import org.jspecify.annotations.NullMarked;
