/** Second factors beside a password: time codes, passkeys, and codes on paper. */
@org.springframework.modulith.ApplicationModule(displayName = "Second factor")
package app.layette.web.factor;
