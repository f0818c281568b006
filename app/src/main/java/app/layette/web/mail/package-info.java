/** Letters by SMTP, where a mail server is set up. */
@org.springframework.modulith.ApplicationModule(displayName = "Mail")
package app.layette.web.mail;
