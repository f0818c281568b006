/** A database full of fittings, and people who work in it: how fast it answers when it has been lived in for years. */
package app.layette.benchmarks.load;
