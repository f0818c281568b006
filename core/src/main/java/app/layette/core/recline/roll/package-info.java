/**
 * Rolled towels and foam noodles under the foot end (REC-6): how high they hold it, and which cloth, folded how, makes a
 * wanted lift. Whether one may be used at all is a permission of the seat manual, kind by kind; nothing here grants it.
 */
@NullMarked
package app.layette.core.recline.roll;

import org.jspecify.annotations.NullMarked;
