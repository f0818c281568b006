/**
 * The documents that go in and out: seat sheets, vehicle sheets, practice profiles, cases and plans. Each is checked
 * against its published schema first; every problem is reported with its place, what stands there and what is allowed.
 */
@NullMarked
package app.layette.formats.document;

import org.jspecify.annotations.NullMarked;
