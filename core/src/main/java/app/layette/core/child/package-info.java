/** The child as far as it is known: dates, measures with how they are known, and corrected age. */
package app.layette.core.child;
