/** A class of several families: a worksheet with and without answers. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Class")
package app.layette.web.lesson;

import org.jspecify.annotations.NullMarked;
