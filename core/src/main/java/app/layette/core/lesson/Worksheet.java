package app.layette.core.lesson;

import app.layette.core.coming.Coming;
import app.layette.core.coming.DueKind;
import app.layette.core.coming.WhatComesNext;
import app.layette.core.entry.Fact.Dimension;
import app.layette.core.entry.Situation;
import app.layette.core.entry.Stamped;
import app.layette.core.evidence.Evidence;
import app.layette.core.finding.Argument;
import app.layette.core.harness.HarnessSnug;
import app.layette.core.harness.ShoulderAndSlots;
import app.layette.core.journey.Trip;
import app.layette.core.measure.Mass;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.SeatSheet;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Questions that a family answers about its own child and seat. Only what can be answered from what is known is asked.
 *
 * @param items in the order of the work
 */
public record Worksheet(List<Item> items) {
    /**
     * A question and its answer; the messages are {@code worksheet.KEY.q} and {@code worksheet.KEY.ANSWER}.
     *
     * @param key what it is about
     * @param answer which answer
     * @param arguments values of both sentences
     */
    public record Item(String key, String answer, Map<String, Argument> arguments) {
        public Item {
            arguments = Collections.unmodifiableMap(new LinkedHashMap<>(arguments));
        }
    }

    public Worksheet {
        items = List.copyOf(items);
    }

    public static Worksheet of(Situation situation) {
        List<Item> items = new ArrayList<>();
        Optional<Mass> weight = situation.weight().map(Stamped::value);
        weight.ifPresent(mass -> limits(situation, mass, items));
        weight.ifPresent(mass -> inserts(situation, mass, items));
        ShoulderAndSlots.in(situation).filter(look -> look.count() > 0).ifPresent(look -> items.add(slot(look)));
        HarnessSnug.test(situation).ifPresent(test -> items.add(new Item("SNUG", test.name(), Map.of())));
        boolean hasClip =
                situation.seat().flatMap(seat -> seat.harness().clip().value()).orElse(false);
        if (hasClip) {
            items.add(new Item("CLIP", "a", Map.of()));
        }
        items.add(new Item("COAT", "a", Map.of()));
        situation.child().map(Stamped::value).ifPresent(child -> {
            long minutes = Trip.atMost(
                            child, situation.today(), situation.practice().profile())
                    .toMinutes();
            items.add(new Item("BREAK", "a", Map.of("minutes", Argument.of(minutes))));
        });
        next(situation).ifPresent(items::add);
        return new Worksheet(items);
    }

    private static void limits(Situation situation, Mass mass, List<Item> items) {
        situation
                .seat()
                .flatMap(seat -> seat.limits().weightMax().value())
                .filter(max -> !max.isLessThan(mass))
                .ifPresent(max -> items.add(new Item(
                        "LIMIT",
                        "a",
                        Map.of(
                                "weight", Argument.of(mass),
                                "max", Argument.of(max),
                                "room", Argument.of(max.minus(mass))))));
    }

    private static void inserts(Situation situation, Mass mass, List<Item> items) {
        List<InsertPiece> pieces =
                situation.seat().map(SeatSheet::insert).flatMap(Evidence::value).orElse(List.of());
        for (InsertPiece piece : pieces) {
            situation
                    .useOf(piece)
                    .ifPresent(use -> items.add(new Item(
                            "INSERT",
                            use.name(),
                            Map.of("piece", Argument.of(piece.name()), "weight", Argument.of(mass)))));
        }
    }

    private static Item slot(ShoulderAndSlots look) {
        Map<String, Argument> arguments = new LinkedHashMap<>();
        arguments.put("slot", Argument.of(look.best()));
        arguments.put("slots", Argument.of(look.count()));
        return new Item("SLOT", look.best() == 0 ? "none" : "a", arguments);
    }

    /** The first thing that growing brings. */
    private static Optional<Item> next(Situation situation) {
        if (situation.measured(Dimension.BODY).isEmpty()) {
            return Optional.empty();
        }
        return WhatComesNext.of(situation).stream()
                .filter(coming -> !coming.outlook().reached())
                .filter(coming -> coming.outlook().likely().isPresent())
                .min(Comparator.comparing(coming -> coming.outlook().likely().orElseThrow()))
                .map(Worksheet::next);
    }

    private static Item next(Coming coming) {
        return new Item(
                "NEXT",
                "a",
                Map.of(
                        "what",
                        new Argument.OfKey(DueKind.of(coming.what()).key()),
                        "day",
                        Argument.of(coming.outlook().likely().orElseThrow())));
    }
}
