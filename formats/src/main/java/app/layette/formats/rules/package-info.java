/** The rules and the misuses for people: what, why, how it is seen and put right, in each language. */
package app.layette.formats.rules;
