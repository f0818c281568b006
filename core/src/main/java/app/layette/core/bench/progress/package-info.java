/** What somebody knows, and what to practise next. */
package app.layette.core.bench.progress;
