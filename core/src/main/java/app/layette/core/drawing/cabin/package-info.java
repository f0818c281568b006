/** The car from above: the plan in millimetres, and how it is drawn. */
package app.layette.core.drawing.cabin;
