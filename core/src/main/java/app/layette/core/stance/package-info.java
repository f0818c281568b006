/** Where to stand beside the car and which way to pull (SEC-5). */
package app.layette.core.stance;
