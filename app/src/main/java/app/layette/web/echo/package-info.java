/** Says back what was understood of a field, on every form, while it is typed. */
@NullMarked
package app.layette.web.echo;

import org.jspecify.annotations.NullMarked;
