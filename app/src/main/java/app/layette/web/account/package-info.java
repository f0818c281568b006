/** Who works here: fitting points, users and their roles, signing in, and the units each one sees first. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Account")
package app.layette.web.account;

import org.jspecify.annotations.NullMarked;
