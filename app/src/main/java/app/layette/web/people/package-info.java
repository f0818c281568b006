/** Who works at a fitting point: adding, changing and retiring people, their passwords and their open sessions. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "People")
package app.layette.web.people;

import org.jspecify.annotations.NullMarked;
