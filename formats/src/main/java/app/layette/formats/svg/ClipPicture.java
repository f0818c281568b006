package app.layette.formats.svg;

/**
 * How a locking clip holds the belt (SEC-1): lap part and shoulder part together through both of its slots, a finger's
 * breadth from the latch plate. The words beside it carry the meaning.
 */
public final class ClipPicture {
    private static final String SVG = "<svg class=\"clip-picture\" viewBox=\"0 0 200 84\" width=\"200\" height=\"84\" "
            + "aria-hidden=\"true\">"
            // The two parts of the belt, one on the other, come from the left and part at the plate.
            + "<path class=\"webbing\" d=\"M4 46H150L196 22\"/><path class=\"webbing\" d=\"M4 58H150L196 76\"/>"
            + "<rect class=\"plate\" x=\"138\" y=\"32\" width=\"22\" height=\"40\" rx=\"4\"/>"
            + "<path class=\"tongue\" d=\"M160 44h26v16h-26z\"/>"
            // The clip: a bar before, a bar behind, both parts woven through.
            + "<path class=\"clip\" d=\"M76 28h34v48h-34zM88 34v36M98 34v36\"/>"
            + "<path class=\"finger\" d=\"M112 22v-8h24v8M124 14V6\"/></svg>";

    private ClipPicture() {}

    public static String svg() {
        return SVG;
    }
}
