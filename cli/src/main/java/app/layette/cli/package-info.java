/** The command line: what the screen can plan, the command can, without a database. */
package app.layette.cli;
