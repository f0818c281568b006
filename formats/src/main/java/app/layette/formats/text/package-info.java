/** The one way in for text, whoever typed, pasted or sent it. */
package app.layette.formats.text;
