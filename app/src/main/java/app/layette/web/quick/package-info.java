/** The quick run: a baseless ride planned in under a minute. It gives a ride card and keeps nothing. */
@org.springframework.modulith.ApplicationModule(displayName = "Quick run")
package app.layette.web.quick;
