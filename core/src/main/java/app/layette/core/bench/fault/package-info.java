/** How the misuses of the catalogue are brought about and recognised by what is so. */
package app.layette.core.bench.fault;
