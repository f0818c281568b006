/** Every rule has its page: what, why, how it is seen, how it is put right, and where schools differ; open to anybody. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Rules")
package app.layette.web.rules;

import org.jspecify.annotations.NullMarked;
