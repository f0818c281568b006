/** Letters by SMTP, where a mail server is set up. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Mail")
package app.layette.web.mail;

import org.jspecify.annotations.NullMarked;
