/** The second wall between fitting points: what works for one of them sees its rows alone, in the database itself. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Wall")
package app.layette.web.wall;

import org.jspecify.annotations.NullMarked;
