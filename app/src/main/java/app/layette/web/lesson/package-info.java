/** A class of several families: a worksheet with and without answers. */
@org.springframework.modulith.ApplicationModule(displayName = "Class")
package app.layette.web.lesson;
