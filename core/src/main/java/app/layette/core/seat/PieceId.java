package app.layette.core.seat;

import app.layette.core.evidence.Id;

/**
 * A piece of the infant insert, by its key in the seat's sheet.
 *
 * @param text as documents and forms write it
 */
public record PieceId(String text) implements Id {
    @Override
    public String toString() {
        return text;
    }
}
