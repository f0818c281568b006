package app.layette.formats.label;

/**
 * A word that was found in a photograph.
 *
 * @param line the words of one line share it
 * @param confidence how sure its reader is, 0 to 100
 * @param box where it stands in the photograph
 */
public record PrintedWord(String text, int line, double confidence, Box box) {
    /** A rectangle of a photograph, in pixels. */
    public record Box(int x, int y, int width, int height) {
        /** The smallest one round both. */
        public Box with(Box other) {
            int left = Math.min(x, other.x);
            int top = Math.min(y, other.y);
            return new Box(
                    left,
                    top,
                    Math.max(x + width, other.x + other.width) - left,
                    Math.max(y + height, other.y + other.height) - top);
        }
    }
}
