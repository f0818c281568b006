/** A family goes on at another fitting point: its case as a document, and what comes from elsewhere. */
package app.layette.web.handon;
