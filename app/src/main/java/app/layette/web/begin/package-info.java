/** Beginning with a family: child, seat and car asked as a conversation, and who was here before. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "A new family")
package app.layette.web.begin;

import org.jspecify.annotations.NullMarked;
