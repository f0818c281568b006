/**
 * The screens beside the car: today's list, a new fitting, and the workbench that shows what follows from a fitting's
 * entries and takes the next one. Everything shown is computed by the core.
 */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Workbench")
package app.layette.web.workbench;

import org.jspecify.annotations.NullMarked;
