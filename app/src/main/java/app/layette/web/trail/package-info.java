/** What was done with accounts, sheets, practice and families, one line after the other: none can be taken out unseen. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Trail")
package app.layette.web.trail;

import org.jspecify.annotations.NullMarked;
