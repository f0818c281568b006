/** Several fitting points under one roof: counts of all of them for whoever answers for all, and opening another one. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Organisation")
package app.layette.web.organisation;

import org.jspecify.annotations.NullMarked;
