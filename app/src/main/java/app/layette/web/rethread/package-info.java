/** Moving the harness to other slots, one webbing at a time. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Rethread")
package app.layette.web.rethread;

import org.jspecify.annotations.NullMarked;
