/** Recalls of restraints: asking a recall service, and finding whom a published one concerns. */
@org.springframework.modulith.ApplicationModule(displayName = "Recall")
package app.layette.web.recall;
