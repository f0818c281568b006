/** The made-up fitting point that the demo shows: people, sheets, families. Only loaded in demo mode. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Demo")
package app.layette.web.demo;

import org.jspecify.annotations.NullMarked;
