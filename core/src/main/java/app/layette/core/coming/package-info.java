/** What growing will bring to a child in its restraint, and when: the next slot, another band, outgrown. */
@NullMarked
package app.layette.core.coming;

import org.jspecify.annotations.NullMarked;
