/** Keeping it: what there is, whether every seal holds, backups, and how it stands. */
package app.layette.web.keeping;
