/** Where in the car, and by what method (CAB). */
package app.layette.core.cabin;
