/** Setting the harness to the child and harnessing it (HAR). */
package app.layette.core.harness;
