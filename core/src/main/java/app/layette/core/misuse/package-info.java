/** The catalogue of what is found wrong, and what put it right. */
package app.layette.core.misuse;
