/** Recalls of restraints: asking a recall service, and finding whom a published one concerns. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Recall")
package app.layette.web.recall;

import org.jspecify.annotations.NullMarked;
