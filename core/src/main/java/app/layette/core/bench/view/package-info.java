/** The bench drawn as it is. */
package app.layette.core.bench.view;
