/** A fitting as a record: its entries in words, and the seal over them. */
package app.layette.formats.record;
