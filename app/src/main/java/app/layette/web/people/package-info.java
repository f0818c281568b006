/** Who works at a fitting point: adding, changing and retiring people, their passwords and their open sessions. */
@org.springframework.modulith.ApplicationModule(displayName = "People")
package app.layette.web.people;
