/** A photograph of a label is read: codes and print propose, a hand confirms. */
package app.layette.web.label;
