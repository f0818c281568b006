/** How the misuses of the catalogue are brought about and recognised by what is so. */
@NullMarked
package app.layette.core.bench.fault;

import org.jspecify.annotations.NullMarked;
