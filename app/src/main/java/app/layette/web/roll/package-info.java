/** Cloths and noodles that a fitting point keeps for rolls under the foot end (REC-6). */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Rolls")
package app.layette.web.roll;

import org.jspecify.annotations.NullMarked;
