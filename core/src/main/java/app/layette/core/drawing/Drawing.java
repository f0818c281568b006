package app.layette.core.drawing;

import app.layette.core.finding.Argument;
import java.util.List;
import java.util.Map;

/**
 * A view, ready to be written.
 *
 * @param name of the view
 * @param left smallest x shown
 * @param bottom smallest y shown
 * @param width shown, in millimetres
 * @param height shown, in millimetres
 * @param shapes from the back to the front
 * @param description message key of what it shows, for those who cannot see it
 * @param facts arguments of the description
 */
public record Drawing(
        String name,
        double left,
        double bottom,
        double width,
        double height,
        List<Shape> shapes,
        String description,
        Map<String, Argument> facts) {
    public Drawing {
        shapes = List.copyOf(shapes);
        facts = Map.copyOf(facts);
    }
}
