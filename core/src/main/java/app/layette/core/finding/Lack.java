package app.layette.core.finding;

import app.layette.core.evidence.SheetValue;

/**
 * A value that a rule could not find on any sheet, and that a page or a look would tell.
 *
 * @param value which
 * @param place the seating position it is about; empty for the chosen one, and for a value of the seat
 */
public record Lack(SheetValue value, String place) {}
