/** A choice of restraint and place, judged with its arguments. */
package app.layette.core.bench.choose;
