/**
 * When a child reaches a limit: WHO Child Growth Standards 2006 as LMS by month, growth before term, earliest, likely and
 * latest. Handbook, section 8.
 */
@NullMarked
package app.layette.core.growth;

import org.jspecify.annotations.NullMarked;
