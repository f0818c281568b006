/** What is printed: pages as PDF, with fonts of our own and nothing fetched. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Paper")
package app.layette.web.paper;

import org.jspecify.annotations.NullMarked;
