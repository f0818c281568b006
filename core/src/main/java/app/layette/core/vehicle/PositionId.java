package app.layette.core.vehicle;

/**
 * One seating position.
 *
 * @param row from the front, 1 to 4
 * @param side left, middle or right
 */
public record PositionId(int row, Side side) {
    private static final int MOST_ROWS = 4;

    public PositionId {
        if (row < 1 || row > MOST_ROWS) {
            throw new IllegalArgumentException("The row (" + row + ") must be from 1 to " + MOST_ROWS);
        }
    }

    /**
     * Reads {@code 2-LEFT}.
     *
     * @throws IllegalArgumentException when it is not a row and a side
     */
    public static PositionId parse(String text) {
        String[] parts = text.split("-");
        if (parts.length != 2 || !parts[0].matches("\\d")) {
            throw new IllegalArgumentException(
                    "The position (" + text + ") must be a row and a side; allowed 1-LEFT to 4-RIGHT");
        }
        return new PositionId(Integer.parseInt(parts[0]), Side.valueOf(parts[1].toUpperCase(java.util.Locale.ROOT)));
    }

    /** The place beside it that a restraint across two takes as well: the middle, or the left one of the middle. */
    public PositionId besides() {
        return new PositionId(row, side == Side.MIDDLE ? Side.LEFT : Side.MIDDLE);
    }

    public boolean isFrontRow() {
        return row == 1;
    }

    @Override
    public String toString() {
        return row + "-" + side;
    }
}
