/** What was done with accounts, sheets, practice and families, one line after the other: none can be taken out unseen. */
@org.springframework.modulith.ApplicationModule(displayName = "Trail")
package app.layette.web.trail;
