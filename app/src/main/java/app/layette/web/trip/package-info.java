/** A trip of the family, with its stops. */
@org.springframework.modulith.ApplicationModule(displayName = "Trip")
package app.layette.web.trip;
