/** Reads the small data tables that the core ships as resources; a damaged table stops the start with a sentence. */
package app.layette.core.table;
