/** What a fitting point has decided where practitioners' schools differ: a versioned document, kept with each fitting. */
package app.layette.core.practice;
