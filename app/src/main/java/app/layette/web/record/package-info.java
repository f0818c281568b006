/** The fitting as a record: its story, corrections and additions, and the seal. */
@org.springframework.modulith.ApplicationModule(displayName = "Record")
package app.layette.web.record;
