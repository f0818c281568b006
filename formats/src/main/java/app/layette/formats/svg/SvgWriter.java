package app.layette.formats.svg;

import app.layette.core.drawing.Drawing;
import app.layette.core.drawing.Ink;
import app.layette.core.drawing.Point;
import app.layette.core.drawing.Shape;
import app.layette.formats.wording.Wording;
import java.io.StringWriter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** Writes a drawing as one SVG element, in millimetres, y turned downwards. */
public final class SvgWriter {
    private static final XMLOutputFactory FACTORY = XMLOutputFactory.newInstance();
    /** How wide a letter of a note is, in units of the view. */
    private static final double NOTE_LETTER = 11.5;

    private final Drawing drawing;
    private final Wording wording;
    private final XMLStreamWriter xml;
    private final Function<Shape.Link, Optional<String>> links;

    private SvgWriter(
            Drawing drawing, Wording wording, XMLStreamWriter xml, Function<Shape.Link, Optional<String>> links) {
        this.links = links;
        this.drawing = drawing;
        this.wording = wording;
        this.xml = xml;
    }

    /** Writes a drawing in which nothing leads anywhere. */
    public static String write(Drawing drawing, Wording wording) {
        return write(drawing, wording, link -> Optional.empty());
    }

    /**
     * Writes a drawing.
     *
     * @param links the address of what can be tapped
     */
    public static String write(Drawing drawing, Wording wording, Function<Shape.Link, Optional<String>> links) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = FACTORY.createXMLStreamWriter(text);
            new SvgWriter(drawing, wording, xml, links).write();
            xml.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("The view " + drawing.name() + " cannot be written", e);
        }
        return text.toString();
    }

    /** Writes a drawing as a small picture beside words that carry its meaning: hidden from a screen reader. */
    public static String picture(Drawing drawing, Wording wording) {
        String whole = write(drawing, wording);
        int title = whole.indexOf("<title");
        int after = whole.indexOf("</title>") + "</title>".length();
        String opening = whole.substring(0, title)
                .replaceFirst(" role=\"img\" aria-labelledby=\"[^\"]*\"", " aria-hidden=\"true\"");
        return opening + whole.substring(after);
    }

    /** Only what is drawn, without its frame: to be put into another drawing of the same view. */
    public static String inner(Drawing drawing, Wording wording) {
        String whole = write(drawing, wording);
        return whole.substring(whole.indexOf("</title>") + "</title>".length(), whole.lastIndexOf("</svg>"));
    }

    private void write() throws XMLStreamException {
        String titleId = "view-" + drawing.name() + "-title";
        xml.writeStartElement("svg");
        xml.writeAttribute("xmlns", "http://www.w3.org/2000/svg");
        xml.writeAttribute("class", "view view-" + drawing.name());
        xml.writeAttribute(
                "viewBox",
                number(drawing.left()) + " " + number(-drawing.bottom() - drawing.height()) + " "
                        + number(drawing.width()) + " " + number(drawing.height()));
        // What can be tapped must not be hidden inside an image.
        boolean leads = drawing.shapes().stream()
                .anyMatch(shape ->
                        shape instanceof Shape.Link link && links.apply(link).isPresent());
        xml.writeAttribute("role", leads ? "group" : "img");
        xml.writeAttribute("aria-labelledby", titleId);
        xml.writeStartElement("title");
        xml.writeAttribute("id", titleId);
        xml.writeCharacters(wording.say(drawing.description(), drawing.facts()));
        xml.writeEndElement();
        for (Shape shape : drawing.shapes()) {
            write(shape);
        }
        xml.writeEndElement();
    }

    private void write(Shape shape) throws XMLStreamException {
        if (shape instanceof Shape.Outline outline) {
            path(
                    outline.smooth() ? smooth(outline) : straight(outline),
                    outline.ink().name(),
                    outline.closed());
        } else if (shape instanceof Shape.Ribbon ribbon) {
            ribbon(ribbon);
        } else if (shape instanceof Shape.Disc disc) {
            disc(disc);
        } else if (shape instanceof Shape.Arc arc) {
            path(arc(arc), arc.ink().name(), true);
        } else if (shape instanceof Shape.Label label) {
            label(label);
        } else if (shape instanceof Shape.Note note) {
            note(note);
        } else if (shape instanceof Shape.Group group) {
            group(group);
        } else if (shape instanceof Shape.Link link) {
            link(link);
        }
    }

    private void link(Shape.Link link) throws XMLStreamException {
        Optional<String> address = links.apply(link);
        xml.writeStartElement(address.isPresent() ? "a" : "g");
        if (address.isPresent()) {
            xml.writeAttribute("href", address.get());
            xml.writeAttribute("aria-label", wording.say(link.key(), link.arguments()));
        }
        xml.writeAttribute("data-target", link.target());
        for (Shape shape : link.shapes()) {
            write(shape);
        }
        xml.writeEndElement();
    }

    /** Parts that a screen may move keep their name. */
    private void group(Shape.Group group) throws XMLStreamException {
        xml.writeStartElement("g");
        xml.writeAttribute(
                "data-part", group.part().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        for (Shape shape : group.shapes()) {
            write(shape);
        }
        xml.writeEndElement();
    }

    private void path(String data, String ink, boolean filled) throws XMLStreamException {
        xml.writeEmptyElement("path");
        xml.writeAttribute("class", "ink-" + ink.toLowerCase(Locale.ROOT) + (filled ? "" : " open"));
        xml.writeAttribute("d", data);
        if (!filled) {
            xml.writeAttribute("fill", "none");
        }
    }

    /** A band is drawn twice: a wide dark line, and a narrower one in its own colour on top. */
    private void ribbon(Shape.Ribbon ribbon) throws XMLStreamException {
        String data = smooth(new Shape.Outline(ribbon.points(), false, true, ribbon.ink()));
        String ink = ribbon.ink().name().toLowerCase(Locale.ROOT);
        for (boolean edge : new boolean[] {true, false}) {
            xml.writeEmptyElement("path");
            xml.writeAttribute("class", (edge ? "edge-" : "band-") + ink);
            xml.writeAttribute("d", data);
            xml.writeAttribute("fill", "none");
            xml.writeAttribute(
                    "stroke-linecap", ribbon.ink() == Ink.WEBBING || ribbon.ink() == Ink.SHOULDER ? "butt" : "round");
            xml.writeAttribute("stroke-linejoin", "round");
            xml.writeAttribute("stroke-width", number(edge ? ribbon.width() + 5 : ribbon.width()));
        }
    }

    private void disc(Shape.Disc disc) throws XMLStreamException {
        xml.writeEmptyElement("circle");
        xml.writeAttribute("class", "ink-" + disc.ink().name().toLowerCase(Locale.ROOT));
        xml.writeAttribute("cx", number(disc.centre().x()));
        xml.writeAttribute("cy", number(-disc.centre().y()));
        xml.writeAttribute("r", number(disc.radius()));
    }

    private void label(Shape.Label label) throws XMLStreamException {
        xml.writeStartElement("text");
        xml.writeAttribute(
                "class",
                "words " + label.rank().name().toLowerCase(Locale.ROOT) + " words-"
                        + label.ink().name().toLowerCase(Locale.ROOT));
        xml.writeAttribute("x", number(label.at().x()));
        xml.writeAttribute("y", number(-label.at().y()));
        xml.writeAttribute("font-size", label.rank() == Shape.Rank.MAIN ? "22" : "19");
        xml.writeAttribute("text-anchor", label.anchor().name().toLowerCase(Locale.ROOT));
        xml.writeCharacters(wording.say(label.key(), label.arguments()));
        xml.writeEndElement();
    }

    /** As wide as the letters usually are, and never cut: a word that is too long has a line of its own. */
    private void note(Shape.Note note) throws XMLStreamException {
        int most = (int) Math.max(6, note.within() / NOTE_LETTER);
        xml.writeStartElement("text");
        xml.writeAttribute("class", "words minor words-" + note.ink().name().toLowerCase(Locale.ROOT));
        xml.writeAttribute("font-size", "19");
        xml.writeAttribute("text-anchor", "middle");
        boolean first = true;
        StringBuilder line = new StringBuilder();
        for (String word : wording.say(note.key(), note.arguments()).split(" ")) {
            if (!line.isEmpty() && line.length() + 1 + word.length() > most) {
                line(note, line, first);
                line.setLength(0);
                first = false;
            }
            line.append(line.isEmpty() ? "" : " ").append(word);
        }
        line(note, line, first);
        xml.writeEndElement();
    }

    private void line(Shape.Note note, StringBuilder words, boolean first) throws XMLStreamException {
        xml.writeStartElement("tspan");
        xml.writeAttribute("x", number(note.at().x()));
        xml.writeAttribute(first ? "y" : "dy", first ? number(-note.at().y()) : "1.1em");
        xml.writeCharacters(words.toString());
        xml.writeEndElement();
    }

    private static String straight(Shape.Outline outline) {
        StringBuilder data = new StringBuilder();
        for (Point point : outline.points()) {
            data.append(data.isEmpty() ? "M" : "L").append(pair(point));
        }
        return data.append(outline.closed() ? "Z" : "").toString();
    }

    /** Through all points in curves: a Catmull-Rom spline written as cubic Béziers. */
    private static String smooth(Shape.Outline outline) {
        List<Point> points = outline.points();
        int count = points.size();
        if (count < 3) {
            return straight(outline);
        }
        int last = outline.closed() ? count : count - 1;
        StringBuilder data = new StringBuilder("M").append(pair(points.get(0)));
        for (int i = 0; i < last; i++) {
            Point p0 = at(points, i - 1, outline.closed());
            Point p1 = at(points, i, outline.closed());
            Point p2 = at(points, i + 1, outline.closed());
            Point p3 = at(points, i + 2, outline.closed());
            Point c1 = p1.plus(p2.plus(p0.times(-1)).times(1 / 6.0));
            Point c2 = p2.plus(p3.plus(p1.times(-1)).times(-1 / 6.0));
            data.append("C")
                    .append(pair(c1))
                    .append(" ")
                    .append(pair(c2))
                    .append(" ")
                    .append(pair(p2));
        }
        return data.append(outline.closed() ? "Z" : "").toString();
    }

    private static Point at(List<Point> points, int index, boolean closed) {
        int count = points.size();
        return points.get(closed ? Math.floorMod(index, count) : Math.max(0, Math.min(count - 1, index)));
    }

    private static String arc(Shape.Arc arc) {
        Point a = onArc(arc, arc.fromDegrees(), arc.inner());
        Point b = onArc(arc, arc.toDegrees(), arc.inner());
        Point c = onArc(arc, arc.toDegrees(), arc.outer());
        Point d = onArc(arc, arc.fromDegrees(), arc.outer());
        String inner = number(arc.inner());
        String outer = number(arc.outer());
        return "M" + pair(a) + "A" + inner + " " + inner + " 0 0 0 " + pair(b) + "L" + pair(c) + "A" + outer + " "
                + outer + " 0 0 1 " + pair(d) + "Z";
    }

    private static Point onArc(Shape.Arc arc, double degrees, double radius) {
        double t = Math.toRadians(degrees);
        return arc.centre().plus(new Point(-radius * Math.sin(t), radius * Math.cos(t)));
    }

    private static String pair(Point point) {
        return number(point.x()) + " " + number(-point.y());
    }

    private static String number(double value) {
        double rounded = Math.round(value * 10) / 10.0;
        return rounded == Math.rint(rounded) ? String.valueOf((long) rounded) : String.valueOf(rounded);
    }
}
