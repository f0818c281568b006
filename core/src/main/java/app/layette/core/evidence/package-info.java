/**
 * What is known about a manual value, and what may be done because of it.
 *
 * <p>A value is <em>not looked</em> for, <em>looked and silent</em>, or <em>stated</em>; a permission is <em>allowed</em>,
 * <em>not allowed</em> or <em>not known</em>. The table of {@link app.layette.core.evidence.PermissionTable} turns the
 * first into the second. Nothing in this package, and nothing that uses it, may turn <em>not known</em> into
 * <em>allowed</em>.
 */
@NullMarked
package app.layette.core.evidence;

import org.jspecify.annotations.NullMarked;
