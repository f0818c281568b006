/** Several fitting points under one roof: counts of all of them for whoever answers for all, and opening another one. */
@org.springframework.modulith.ApplicationModule(displayName = "Organisation")
package app.layette.web.organisation;
