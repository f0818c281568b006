/** Does the restraint suit the child, now and for how long (SUIT)? */
package app.layette.core.suit;
