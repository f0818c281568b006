/** The application, a folder for each of its modules. */
@NullMarked
package app.layette.web;

import org.jspecify.annotations.NullMarked;
