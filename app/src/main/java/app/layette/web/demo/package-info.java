/** The made-up fitting point that the demo shows: people, sheets, families. Only loaded in demo mode. */
@org.springframework.modulith.ApplicationModule(displayName = "Demo")
package app.layette.web.demo;
