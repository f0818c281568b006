/** Says back what was understood of a field, on every form, while it is typed. */
package app.layette.web.echo;
