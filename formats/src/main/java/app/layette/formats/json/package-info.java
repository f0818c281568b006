/** How the core's values look in JSON: quantities as they were typed, evidence as stated or silent, enums in camel case. */
@NullMarked
package app.layette.formats.json;

import org.jspecify.annotations.NullMarked;
