package app.layette.formats.svg;

import app.layette.core.finding.Argument;
import app.layette.core.journey.Trip;
import app.layette.formats.wording.Wording;
import java.time.Duration;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;

/**
 * A drive as a line of time: legs and stops to the same scale, the clock at each end, how long the child may sit under
 * it. A stop can be taken hold of: it says which one it is, and in words where it stands.
 */
public final class TripLine {
    private static final double WIDTH = 1160;
    private static final double LEFT = 20;
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm");

    private TripLine() {}

    public static String of(Trip trip, LocalTime start, Wording words) {
        double perMinute = WIDTH / Math.max(1, trip.total().toMinutes());
        StringBuilder svg = new StringBuilder(
                        "<svg class=\"trip-line\" viewBox=\"0 0 1200 170\" role=\"group\" aria-label=\"")
                .append(safe(words.say("trip.line")))
                .append("\" data-per-minute=\"")
                .append(number(perMinute))
                .append("\">");
        for (int i = 0; i < trip.legs().size(); i++) {
            Trip.Leg leg = trip.legs().get(i);
            double from = x(leg.from(), perMinute);
            double to = x(leg.to(), perMinute);
            svg.append("<rect class=\"leg")
                    .append(trip.isTooLong(leg) ? " too-long" : "")
                    .append("\" x=\"" + number(from) + "\" y=\"58\" width=\"" + number(to - from)
                            + "\" height=\"40\"/>");
            // How long the child may sit, from where this leg begins.
            double allowed = Math.min(1180, from + trip.atMost().toMinutes() * perMinute);
            svg.append("<path class=\"allowed\" d=\"M" + number(from) + " 112H" + number(allowed) + "m0 -7v14\"/>");
            text(svg, "minutes", (from + to) / 2, 84, leg.driving().toMinutes() + " min");
            text(svg, "clock", from + (i == 0 ? 18 : 0), 44, CLOCK.format(start.plus(leg.from())));
            if (i == trip.legs().size() - 1) {
                text(svg, "clock", to - 18, 44, CLOCK.format(start.plus(leg.to())));
            } else {
                stop(svg, trip, i, start, perMinute, words);
            }
        }
        return svg.append("</svg>").toString();
    }

    private static void stop(
            StringBuilder svg, Trip trip, int after, LocalTime start, double perMinute, Wording words) {
        Duration from = trip.legs().get(after).to();
        double left = x(from, perMinute);
        double right = x(trip.legs().get(after + 1).from(), perMinute);
        String where = words.say(
                "trip.stopAt",
                Map.of(
                        "number", Argument.of(after + 1),
                        "time", Argument.of(CLOCK.format(start.plus(from)))));
        svg.append("<g class=\"stop\" tabindex=\"0\" role=\"slider\" data-stop=\"" + after + "\" aria-label=\""
                + safe(where)
                + "\" aria-valuenow=\"" + from.toMinutes() + "\" aria-valuemin=\"0\" aria-valuemax=\""
                + trip.total().toMinutes() + "\" aria-valuetext=\"" + CLOCK.format(start.plus(from)) + "\">");
        svg.append("<rect class=\"hold\" x=\"" + number(left - 6) + "\" y=\"30\" width=\""
                + number(Math.max(24, right - left + 12)) + "\" height=\"96\"/>");
        svg.append("<path class=\"pause\" d=\"M" + number(left) + " 78H" + number(right) + "\"/>");
        svg.append("<circle class=\"grip\" cx=\"" + number((left + right) / 2) + "\" cy=\"78\" r=\"13\"/></g>");
    }

    private static void text(StringBuilder svg, String style, double x, double y, String words) {
        svg.append("<text class=\"" + style + "\" x=\"" + number(x) + "\" y=\"" + number(y)
                        + "\" text-anchor=\"middle\">")
                .append(safe(words))
                .append("</text>");
    }

    private static double x(Duration at, double perMinute) {
        return LEFT + at.toMinutes() * perMinute;
    }

    private static String safe(String words) {
        return words.replace("&", "&amp;").replace("<", "&lt;").replace("\"", "&quot;");
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
