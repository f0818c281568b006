/** For programs of others: addresses under {@code /api/v1}, tokens with scopes, problems as RFC 9457 says them. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "API")
package app.layette.web.api;

import org.jspecify.annotations.NullMarked;
