/** Hands and eyes, as they are listed: what can be done, and what finds out what. */
package app.layette.core.bench.act;
