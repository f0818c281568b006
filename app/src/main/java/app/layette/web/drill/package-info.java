/** The practice bench: dry runs, taken apart, and what to practise next. */
package app.layette.web.drill;
