/** Newborns as a ward describes them (FHIR R4): by file, by a program, or asked of the ward's server; behind a port. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Ward")
package app.layette.web.ward;

import org.jspecify.annotations.NullMarked;
