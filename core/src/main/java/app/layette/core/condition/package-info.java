/** Clearing the seat: may this very restraint be used at all (CND)? */
package app.layette.core.condition;
