package app.layette.core.drawing;

import app.layette.core.coming.Coming;
import app.layette.core.coming.WhatComesNext;
import app.layette.core.drawing.Shape.Anchor;
import app.layette.core.drawing.Shape.Rank;
import app.layette.core.entry.Fact.CrotchSet;
import app.layette.core.entry.Fact.SlotsSet;
import app.layette.core.entry.Situation;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.measure.Length;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import app.layette.core.suit.HeadRoom;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The carrier from in front of the child, heights along the shell back from the pad at the hips: slots, shoulder line,
 * clip line and head room, to scale.
 */
public final class HarnessView {
    private static final double USUAL_SHELL_TOP = 470;
    /** The head room that one school asks, and the cautious one (SUIT-3). */
    private static final double[] SCHOOLS_OF_HEAD_ROOM = {25, 50};

    private static final UnaryOperator<Point> AS_IS = p -> p;

    private final Situation situation;
    private final Sketch sketch = new Sketch();
    private final FrontFigure front = new FrontFigure(sketch);
    private final ChildFigure child;
    private final double top;
    private final Optional<Length> knownTop;
    private final List<Length> slots;

    private HarnessView(Situation situation) {
        this.situation = situation;
        this.child = ChildFigure.of(situation);
        this.knownTop = situation.seat().flatMap(seat -> seat.shell().top().value());
        this.top = knownTop.map(Length::millimetres).orElse(USUAL_SHELL_TOP);
        this.slots =
                situation.seat().flatMap(seat -> seat.shell().slots().value()).orElse(List.of());
    }

    public static Drawing of(Situation situation) {
        HarnessView view = new HarnessView(situation);
        view.drawShell();
        view.drawSlots();
        view.front.child(view.child);
        view.drawHarness();
        view.drawLines();
        view.drawBands();
        return new Drawing(
                "harness",
                -470,
                -190,
                940,
                view.top + 260,
                view.sketch.shapes(),
                "drawing.harness.description",
                Map.of(
                        "shoulder", Argument.of(view.child.shoulderLength()),
                        "slots", Argument.of(view.slots.size())));
    }

    private void drawShell() {
        front.shell(top);
        List<InsertPiece> pieces =
                situation.seat().map(SeatSheet::insert).flatMap(Evidence::value).orElse(List.of());
        boolean in = pieces.stream()
                .anyMatch(piece ->
                        situation.insert(piece).map(set -> set.value().in()).orElse(false));
        if (in) {
            double reach = Math.min(top - 60, child.crown() + 26);
            front.symmetric(
                    Ink.INSERT,
                    new Point(0, reach),
                    new Point(74, reach - 22),
                    new Point(108, reach * 0.6),
                    new Point(120, 40),
                    new Point(100, -64));
            sketch.line(Ink.FAINT, new Point(118, 60), new Point(232, 60));
            sketch.label(Ink.FAINT, new Point(238, 54), Anchor.START, Rank.MINOR, "harness.insertIn", Map.of());
        }
    }

    private void drawSlots() {
        Optional<SlotsSet> set = situation.newest(SlotsSet.class).map(stamped -> stamped.value());
        Optional<LocalDate> next = nextSlotOn();
        for (int i = 0; i < slots.size(); i++) {
            double height = slots.get(i).millimetres();
            int number = i + 1;
            for (int side : new int[] {-1, 1}) {
                boolean used = set.map(each -> (side < 0 ? each.leftShell() : each.rightShell()) == number)
                        .orElse(false);
                sketch.polygon(
                        used ? Ink.HANDS : Ink.SLOT,
                        AS_IS,
                        new Point(side * 44, height - 5),
                        new Point(side * 100, height - 5),
                        new Point(side * 100, height + 5),
                        new Point(side * 44, height + 5));
            }
            sketch.line(Ink.FAINT, new Point(104, height), new Point(232, height));
            boolean current = set.map(each -> each.leftShell() == number).orElse(false);
            boolean dated = next.isPresent()
                    && set.map(each -> each.leftShell() + 1 == number).orElse(false);
            Map<String, Argument> said = new LinkedHashMap<>();
            said.put("slot", Argument.of(number));
            said.put("height", Argument.of(slots.get(i)));
            if (dated) {
                said.put("day", Argument.of(next.get()));
            }
            sketch.label(
                    current ? Ink.MEASURED : dated ? Ink.COMPUTED : Ink.FAINT,
                    new Point(238, height - 7),
                    Anchor.START,
                    current ? Rank.MAIN : Rank.MINOR,
                    current ? "harness.slotInUse" : dated ? "harness.nextSlot" : "harness.slot",
                    said);
        }
        if (slots.isEmpty()) {
            drawCountedSlots(situation.slotCount());
        }
    }

    /** Slots that were counted and not measured: evenly spaced, dotted, since nobody knows their heights. */
    private void drawCountedSlots(int count) {
        for (int slot = 1; slot <= count; slot++) {
            double height = top * (0.35 + 0.4 * slot / (count + 1));
            for (int side : new int[] {-1, 1}) {
                sketch.line(Ink.UNKNOWN, new Point(side * 44, height), new Point(side * 100, height));
            }
        }
        sketch.label(
                Ink.UNKNOWN,
                new Point(238, top * 0.5),
                Anchor.START,
                Rank.MAIN,
                count == 0 ? "harness.slotsUnknown" : "harness.slotsCounted",
                Map.of("slots", Argument.of(count)));
    }

    private void drawHarness() {
        double shoulder = child.shoulder();
        Optional<SlotsSet> set = situation.newest(SlotsSet.class).map(stamped -> stamped.value());
        double buckle = 44;
        for (int side : new int[] {-1, 1}) {
            int slot = set.map(each -> side < 0 ? each.leftShell() : each.rightShell())
                    .orElse(0);
            double from =
                    slot >= 1 && slot <= slots.size() ? slots.get(slot - 1).millimetres() : shoulder - 10;
            sketch.ribbon(
                    Ink.WEBBING,
                    20,
                    AS_IS,
                    new Point(side * 60, from),
                    new Point(side * 48, Math.max(from, shoulder) + 2),
                    new Point(side * 42, shoulder * 0.7),
                    new Point(side * 14, buckle + 12));
            sketch.ribbon(
                    Ink.WEBBING,
                    18,
                    AS_IS,
                    new Point(side * 96, -2),
                    new Point(side * 50, 14),
                    new Point(side * 16, buckle));
        }
        sketch.ribbon(Ink.WEBBING, 22, AS_IS, new Point(0, buckle - 12), new Point(0, -56));
        sketch.polygon(
                Ink.BUCKLE,
                AS_IS,
                new Point(-24, buckle + 18),
                new Point(24, buckle + 18),
                new Point(20, buckle - 22),
                new Point(-20, buckle - 22));
        double armpit = child.armpit();
        sketch.polygon(
                Ink.BUCKLE,
                AS_IS,
                new Point(-42, armpit + 11),
                new Point(42, armpit + 11),
                new Point(42, armpit - 11),
                new Point(-42, armpit - 11));
        Optional<Integer> opening =
                situation.newest(CrotchSet.class).map(stamped -> stamped.value().opening());
        sketch.line(Ink.FAINT, new Point(12, -50), new Point(232, -50));
        sketch.label(
                Ink.FAINT,
                new Point(238, -56),
                Anchor.START,
                Rank.MINOR,
                opening.isPresent() ? "harness.crotch" : "harness.crotchUnknown",
                Map.of("opening", Argument.of(opening.orElse(0))));
    }

    private void drawLines() {
        Optional<ShoulderAndSlots> look = ShoulderAndSlots.in(situation);
        boolean measured = child.shoulderMeasured();
        Ink ink = measured ? Ink.HANDS : Ink.COMPUTED;
        sketch.group(Shape.Part.SHOULDER, () -> {
            sketch.line(ink, new Point(-226, child.shoulder()), new Point(120, child.shoulder()));
            sketch.disc(ink, new Point(-226, child.shoulder()), 11);
        });
        String key =
                measured ? "harness.shoulder" : look.isPresent() ? "harness.shoulderByEye" : "harness.shoulderEstimate";
        sketch.label(
                ink,
                new Point(-242, child.shoulder() - 7),
                Anchor.END,
                Rank.MAIN,
                key,
                Map.of(
                        "shoulder",
                        Argument.of(child.shoulderLength()),
                        "slot",
                        Argument.of(look.map(ShoulderAndSlots::best).orElse(0))));
        sketch.line(Ink.COMPUTED, new Point(-226, child.armpit()), new Point(100, child.armpit()));
        sketch.label(
                Ink.COMPUTED, new Point(-242, child.armpit() - 7), Anchor.END, Rank.MINOR, "harness.clip", Map.of());
        Ink crown = child.crownMeasured() ? Ink.MEASURED : Ink.COMPUTED;
        sketch.line(crown, new Point(-226, child.crown()), new Point(60, child.crown()));
        sketch.label(
                crown,
                new Point(-242, child.crown() - 7),
                Anchor.END,
                Rank.MINOR,
                child.crownMeasured() ? "harness.crown" : "harness.crownEstimate",
                Map.of("crown", Argument.of(Length.ofMillimetres(child.crown()))));
        drawHeadRoom(crown);
    }

    /** The surfaces between the slots: tapping one says that the shoulder lies there. */
    private void drawBands() {
        if (slots.isEmpty()) {
            return;
        }
        Optional<Integer> now = ShoulderAndSlots.in(situation).map(ShoulderAndSlots::best);
        for (int slot = 0; slot <= slots.size(); slot++) {
            double low = slot == 0 ? 40 : slots.get(slot - 1).millimetres();
            double high = slot == slots.size() ? top - 40 : slots.get(slot).millimetres();
            int here = slot;
            String key = slot == 0 ? "below" : slot == slots.size() ? "above" : "between";
            sketch.link(
                    "shoulder-" + slot,
                    "harness.tap." + key,
                    Map.of("slot", Argument.of(slot), "next", Argument.of(slot + 1)),
                    () -> sketch.polygon(
                            now.filter(Integer.valueOf(here)::equals).isPresent() ? Ink.CHOSEN : Ink.TAP,
                            AS_IS,
                            new Point(-194, low + 2),
                            new Point(-172, low + 2),
                            new Point(-172, high - 2),
                            new Point(-194, high - 2)));
        }
    }

    /** When the shoulder reaches the slot above the one in use; empty where that cannot be dated. */
    private Optional<LocalDate> nextSlotOn() {
        return WhatComesNext.of(situation).stream()
                .filter(each -> each.what() == Coming.What.NEXT_SLOT)
                .map(Coming::outlook)
                .filter(outlook -> !outlook.reached())
                .flatMap(outlook -> outlook.likely().stream())
                .findFirst();
    }

    private void drawHeadRoom(Ink ink) {
        sketch.line(Ink.FAINT, new Point(-226, top), new Point(-40, top));
        sketch.line(ink, new Point(-212, child.crown()), new Point(-212, top));
        for (double school : SCHOOLS_OF_HEAD_ROOM) {
            sketch.line(Ink.FAINT, new Point(-40, top - school), new Point(40, top - school));
            sketch.label(
                    Ink.FAINT,
                    new Point(48, top - school - 6),
                    Anchor.START,
                    Rank.MINOR,
                    "harness.school",
                    Map.of("room", Argument.of(Length.ofMillimetres(school))));
        }
        Optional<Length> asked = HeadRoom.asked(situation);
        sketch.label(
                ink,
                new Point(-242, (top + child.crown()) / 2 + 8),
                Anchor.END,
                Rank.MAIN,
                child.crownMeasured() ? "harness.room" : "harness.roomEstimate",
                Map.of("room", Argument.of(Length.ofMillimetres(Math.max(0, top - child.crown())))));
        sketch.label(
                asked.isPresent() ? Ink.FAINT : Ink.UNKNOWN,
                new Point(-242, (top + child.crown()) / 2 - 18),
                Anchor.END,
                Rank.MINOR,
                asked.isPresent() ? "harness.roomAsked" : "harness.roomAskedUnknown",
                Map.of("asked", Argument.of(asked.orElse(Length.ZERO))));
    }
}
