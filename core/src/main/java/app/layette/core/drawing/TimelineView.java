package app.layette.core.drawing;

import app.layette.core.coming.Coming;
import app.layette.core.coming.WhatComesNext;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.finding.Argument;
import app.layette.core.growth.ChildHeights;
import app.layette.core.growth.Growth;
import app.layette.core.growth.Outlook;
import app.layette.core.measure.Mass;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * What comes next, along the days: above the child's own weight curve with what it will cross, below a row for each thing
 * to come, from its earliest day to its latest. Everything in it is computed but the latest weight.
 */
public final class TimelineView {
    private static final UnaryOperator<Point> AS_IS = p -> p;
    private static final double LEFT = 0;
    private static final double RIGHT = 900;
    private static final double CURVE_LOW = 20;
    private static final double CURVE_HIGH = 420;
    private static final double ROW = 54;
    private static final double BAR = 15;
    private static final int CURVE_POINTS = 40;
    private static final int LEAST_DAYS = 180;
    private static final int DAYS_AFTER = 30;

    private final Situation situation;
    private final Sketch sketch = new Sketch();
    private final List<Coming> coming;
    private final LocalDate first;
    private final LocalDate last;
    private final Optional<Stamped<Mass>> weight;

    private TimelineView(Situation situation) {
        this.situation = situation;
        this.coming = WhatComesNext.of(situation).stream()
                .filter(each -> each.outlook().likely().isPresent())
                .sorted(Comparator.comparing(each -> each.outlook().likely().orElseThrow()))
                // Two pieces of an insert that must be out at one weight are one thing to come.
                .distinct()
                .toList();
        this.weight = situation.weight();
        this.first = weight.map(Stamped::on)
                .filter(on -> on.isBefore(situation.today()))
                .orElse(situation.today());
        LocalDate end = coming.stream()
                .filter(each -> each.what().isOutgrown())
                .map(each -> each.outlook().likely().orElseThrow())
                .min(Comparator.naturalOrder())
                .orElse(first.plusDays(LEAST_DAYS))
                .plusDays(DAYS_AFTER);
        this.last = end.isBefore(first.plusDays(LEAST_DAYS)) ? first.plusDays(LEAST_DAYS) : end;
    }

    public static Drawing of(Situation situation) {
        TimelineView view = new TimelineView(situation);
        List<Coming> shown = view.coming.stream()
                .filter(each -> !each.outlook().earliest().orElseThrow().isAfter(view.last))
                .toList();
        double bottom = -ROW * shown.size() - 36;
        view.months(bottom);
        view.curve();
        view.today(bottom);
        for (int i = 0; i < shown.size(); i++) {
            view.row(shown.get(i), -ROW * (i + 1));
        }
        if (shown.isEmpty()) {
            view.sketch.label(Ink.UNKNOWN, new Point(450, 150), Anchor.MIDDLE, Rank.MAIN, "timeline.nothing", Map.of());
        }
        return new Drawing(
                "timeline",
                -330,
                bottom - 24,
                1400,
                CURVE_HIGH + 60 - bottom,
                view.sketch.shapes(),
                "drawing.timeline.description",
                Map.of("things", Argument.of(shown.size())));
    }

    private double x(LocalDate day) {
        double share = ChronoUnit.DAYS.between(first, day) / (double) ChronoUnit.DAYS.between(first, last);
        return LEFT + Math.max(0, Math.min(1, share)) * (RIGHT - LEFT);
    }

    /** A line at each first of a month, named where there is room. */
    private void months(double bottom) {
        long months = ChronoUnit.MONTHS.between(first, last);
        long every = Math.max(1, (months + 5) / 6);
        LocalDate day = first.withDayOfMonth(1).plusMonths(1);
        for (int i = 0; !day.isAfter(last); i++, day = day.plusMonths(1)) {
            sketch.line(Ink.FAINT, new Point(x(day), bottom), new Point(x(day), CURVE_HIGH));
            if (i % every == 0) {
                sketch.label(
                        Ink.FAINT,
                        new Point(x(day), CURVE_HIGH + 12),
                        Anchor.MIDDLE,
                        Rank.MINOR,
                        "timeline.month",
                        Map.of("day", Argument.of(day)));
            }
        }
    }

    private void today(double bottom) {
        double at = x(situation.today());
        sketch.line(Ink.MEASURED, new Point(at, bottom), new Point(at, CURVE_HIGH));
        sketch.label(Ink.MEASURED, new Point(at, bottom - 14), Anchor.MIDDLE, Rank.MINOR, "timeline.today", Map.of());
    }

    private void curve() {
        Optional<Growth> growth = ChildHeights.growth(situation);
        if (growth.isEmpty() || weight.isEmpty()) {
            return;
        }
        int every = (int) Math.max(1, ChronoUnit.DAYS.between(weight.get().on(), last) / CURVE_POINTS);
        List<Growth.Expected> path =
                growth.get().weights(weight.get().value(), weight.get().on(), last, every);
        double least = weight.get().value().grams() * 0.9;
        double most = path.get(path.size() - 1).fast().grams();
        Function<Mass, Double> y =
                mass -> CURVE_LOW + (mass.grams() - least) / (most - least) * (CURVE_HIGH - CURVE_LOW);
        List<Point> round = new ArrayList<>();
        path.forEach(each -> round.add(new Point(x(each.on()), y.apply(each.fast()))));
        for (int i = path.size() - 1; i >= 0; i--) {
            round.add(new Point(x(path.get(i).on()), y.apply(path.get(i).slow())));
        }
        sketch.polygon(Ink.FAN, AS_IS, round.toArray(Point[]::new));
        sketch.curve(
                Ink.COMPUTED,
                AS_IS,
                path.stream()
                        .map(each -> new Point(x(each.on()), y.apply(each.likely())))
                        .toArray(Point[]::new));
        Growth.Expected end = path.get(path.size() - 1);
        sketch.label(
                Ink.COMPUTED,
                new Point(RIGHT + 10, y.apply(end.likely()) - 8),
                Anchor.START,
                Rank.MINOR,
                "timeline.weight",
                Map.of("weight", Argument.of(end.likely())));
        sketch.disc(
                Ink.MEASURED,
                new Point(x(weight.get().on()), y.apply(weight.get().value())),
                7);
        sketch.label(
                Ink.MEASURED,
                new Point(-14, y.apply(weight.get().value()) - 8),
                Anchor.END,
                Rank.MAIN,
                "timeline.weighed",
                Map.of(
                        "weight",
                        Argument.of(weight.get().value()),
                        "day",
                        Argument.of(weight.get().on())));
        crossings(path, y);
    }

    /** Where the likely path crosses what comes by weight. */
    private void crossings(List<Growth.Expected> path, Function<Mass, Double> y) {
        for (Coming each : coming) {
            LocalDate day = each.outlook().likely().orElseThrow();
            if (!each.what().isByWeight() || each.outlook().reached() || day.isAfter(last)) {
                continue;
            }
            path.stream()
                    .filter(expected -> !expected.on().isBefore(day))
                    .findFirst()
                    .ifPresent(expected -> sketch.disc(Ink.HANDS, new Point(x(day), y.apply(expected.likely())), 6));
        }
    }

    private void row(Coming each, double y) {
        Outlook outlook = each.outlook();
        double from = x(outlook.earliest().orElseThrow());
        double to = x(outlook.latest().orElse(last));
        sketch.label(Ink.FAINT, new Point(-14, y - 7), Anchor.END, Rank.MAIN, "timeline." + each.what(), Map.of());
        sketch.polygon(
                Ink.FAN,
                AS_IS,
                new Point(from, y - BAR),
                new Point(Math.max(to, from + 4), y - BAR),
                new Point(Math.max(to, from + 4), y + BAR),
                new Point(from, y + BAR));
        double likely = x(outlook.likely().orElseThrow());
        sketch.line(
                outlook.reached() ? Ink.HANDS : Ink.COMPUTED,
                new Point(likely, y - BAR - 4),
                new Point(likely, y + BAR + 4));
        boolean roomRight = to < RIGHT - 160;
        sketch.line(Ink.FAINT, new Point(LEFT, y), new Point(roomRight ? from : Math.max(LEFT, from - 190), y));
        sketch.label(
                outlook.reached() ? Ink.HANDS : Ink.COMPUTED,
                new Point(roomRight ? to + 12 : from - 12, y - 7),
                roomRight ? Anchor.START : Anchor.END,
                Rank.MINOR,
                outlook.reached() ? "timeline.reached" : "timeline.likely",
                Map.of("day", Argument.of(outlook.likely().orElseThrow())));
    }
}
