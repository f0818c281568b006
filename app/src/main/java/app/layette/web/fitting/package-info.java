/**
 * The fitting: its entries, the one way in for them, and the workbench that shows what follows. Everything shown is
 * computed by the core from the entries; the projection columns of a fitting only serve lists.
 */
@org.springframework.modulith.ApplicationModule(displayName = "Fitting")
package app.layette.web.fitting;
