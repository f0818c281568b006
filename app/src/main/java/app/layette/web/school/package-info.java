/** The schools side by side, and what another practice would have changed. */
@org.springframework.modulith.ApplicationModule(displayName = "School")
package app.layette.web.school;
