/** The command line: what the screen can plan, the command can, without a database. */
@NullMarked
package app.layette.cli;

import org.jspecify.annotations.NullMarked;
