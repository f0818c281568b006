/** Practice profiles of a fitting point, kept in every version that a fitting used. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Practice")
package app.layette.web.practice;

import org.jspecify.annotations.NullMarked;
