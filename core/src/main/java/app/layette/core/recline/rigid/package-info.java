/** A base on rigid lower anchors with a load leg: no cushion decides its angle, the leg's length does. */
@NullMarked
package app.layette.core.recline.rigid;

import org.jspecify.annotations.NullMarked;
