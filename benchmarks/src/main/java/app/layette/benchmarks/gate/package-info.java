/**
 * The gate against a second, deliberately plain checker. The checker reads the same records, sheets and entries, and uses
 * no rule, no table and no replay of the product: where the two disagree, one of them is wrong.
 */
package app.layette.benchmarks.gate;
