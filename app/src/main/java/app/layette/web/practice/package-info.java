/** Practice profiles of a fitting point, kept in every version that a fitting used. */
@org.springframework.modulith.ApplicationModule(displayName = "Practice")
package app.layette.web.practice;
