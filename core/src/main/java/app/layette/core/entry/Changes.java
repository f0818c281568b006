package app.layette.core.entry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Finds the changes in a row of entries: acts, settings that differ from what was set before, another car or seat, and
 * measures that take force anew. Setting the same again is a look, not a change; a move of the straps always is one.
 *
 * <p>What was corrected keeps its place, but the correction of a measure or a label is itself a change at its own place:
 * what was checked in between was checked against something else.
 */
final class Changes {
    /** A change in its place. */
    record Placed(Change change, int seq) {}

    private static final String BY_SHEET = "sheet ";

    private static final UnitId NO_CAR = new UnitId("");

    private final Set<SheetId> seatSheets;
    private final Map<String, Object> settings = new HashMap<>();
    private final Map<String, Integer> ranks = new HashMap<>();
    private final Map<Fact.Part, Fact.LabelRead> labels = new HashMap<>();
    private final Map<Object, Fact.QuickCarSeen> quickPlaces = new HashMap<>();
    private @Nullable String car;

    private Changes(Set<SheetId> seatSheets) {
        this.seatSheets = seatSheets;
    }

    /**
     * The changes, by place.
     *
     * @param effective the entries that count, corrections in their places
     * @param all the same as they were sent
     * @param seatSheets ids of the seats' own sheets: any other sheet that is adopted is a car's
     */
    static List<Placed> in(List<Entry> effective, List<Entry> all, Set<SheetId> seatSheets) {
        Changes reader = new Changes(seatSheets);
        List<Placed> changes = new ArrayList<>();
        for (Entry entry : effective) {
            reader.of(entry).ifPresent(change -> changes.add(new Placed(change, entry.seq())));
        }
        changes.addAll(corrections(all));
        changes.sort(Comparator.comparingInt(Placed::seq));
        return List.copyOf(changes);
    }

    private Optional<Change> of(Entry entry) {
        Fact fact = entry.fact();
        if (fact instanceof Fact.Acted acted) {
            return acted.act().change();
        }
        if (fact instanceof Fact.Taught taught) {
            return taught.outcome() == Fact.TeachOutcome.DONE ? taught.item().change() : Optional.empty();
        }
        if (isMeasure(fact)) {
            return renewed(entry) ? Optional.of(Change.MEASURES_RENEWED) : Optional.empty();
        }
        if (fact instanceof Fact.LabelRead label) {
            return isOtherLabel(label) ? Optional.of(Change.OTHER_SEAT) : Optional.empty();
        }
        if (fact instanceof Fact.SheetAdopted || fact instanceof Fact.QuickCarSeen) {
            return isOtherCar(fact) ? Optional.of(Change.OTHER_CAR) : Optional.empty();
        }
        if (fact instanceof Fact.WebbingMoved) {
            return Optional.of(Change.SLOT);
        }
        if (fact instanceof Fact.Answered answered) {
            return answered.question() == Question.SUPPORT && isOtherSupport(answered)
                    ? Optional.of(Change.HARNESS_OPENED)
                    : Optional.empty();
        }
        return settingOf(fact).filter(change -> differsFromBefore(fact));
    }

    private static boolean isMeasure(Fact fact) {
        return fact instanceof Fact.Weighed
                || fact instanceof Fact.LengthMeasured length && length.what() == Fact.Dimension.BODY;
    }

    /** Whether it takes the place of an earlier measure: an estimate takes none, a word none that was measured. */
    private boolean renewed(Entry entry) {
        if (entry.how().isEstimate()) {
            return false;
        }
        int rank = entry.how().kind().rank();
        Integer best = ranks.get(entry.fact().getClass().getSimpleName());
        if (best == null || rank <= best) {
            ranks.put(entry.fact().getClass().getSimpleName(), rank);
        }
        return best != null && rank <= best;
    }

    private boolean isOtherLabel(Fact.LabelRead label) {
        Fact.LabelRead before = labels.put(label.part(), label);
        return before != null
                && (differ(normal(before.model()), normal(label.model()))
                        || differ(before.made(), label.made())
                        || differ(before.doNotUseAfter(), label.doNotUseAfter()));
    }

    private static @Nullable String normal(@Nullable String model) {
        return model == null ? null : model.replaceAll("\\s+", "").toUpperCase(Locale.ROOT);
    }

    /** Two things that are both known and not the same; what was not read before says nothing. */
    private static boolean differ(@Nullable Object before, @Nullable Object after) {
        return before != null && after != null && !before.equals(after);
    }

    private boolean isOtherCar(Fact fact) {
        if (fact instanceof Fact.SheetAdopted choice) {
            boolean ofCar = !seatSheets.contains(choice.of()) && choice.adoption() == Fact.Adoption.ADOPTED;
            return ofCar && movesTo(BY_SHEET + choice.of());
        }
        Fact.QuickCarSeen seen = (Fact.QuickCarSeen) fact;
        boolean other = movesTo("seen " + seen.name());
        if (other) {
            quickPlaces.clear();
        }
        Fact.QuickCarSeen before = quickPlaces.put(seen.position(), seen);
        return other || before != null && contradicts(before, seen);
    }

    private boolean movesTo(String next) {
        boolean other = car != null && !car.equals(next);
        car = next;
        return other;
    }

    private static boolean contradicts(Fact.QuickCarSeen before, Fact.QuickCarSeen now) {
        return differ(before.facing(), now.facing())
                || differ(before.airbag(), now.airbag())
                || differ(before.anchors(), now.anchors())
                || differ(before.floor(), now.floor())
                || differ(before.retractor(), now.retractor())
                || differ(before.latchPlate(), now.latchPlate())
                || differ(before.belt(), now.belt())
                || differ(before.beltKind(), now.beltKind());
    }

    /** Something put beside the child or taken away again; nothing there from the first is no change. */
    private boolean isOtherSupport(Fact.Answered answered) {
        Object before = settings.put("support", answered.answer());
        return before == null
                ? !Answers.holds(answered.question(), answered.answer())
                : !before.equals(answered.answer());
    }

    private static Optional<Change> settingOf(Fact fact) {
        if (fact instanceof Fact.SlotsSet || fact instanceof Fact.CrotchSet) {
            return Optional.of(Change.SLOT);
        }
        if (fact instanceof Fact.InsertSet) {
            return Optional.of(Change.INSERT);
        }
        if (fact instanceof Fact.DeviceSet || fact instanceof Fact.RollPlaced) {
            return Optional.of(Change.TIGHTENED);
        }
        if (fact instanceof Fact.HandleSet) {
            return Optional.of(Change.HANDLE_MOVED);
        }
        return fact instanceof Fact.Placed ? Optional.of(Change.PLACE_OR_METHOD) : Optional.empty();
    }

    private boolean differsFromBefore(Fact fact) {
        String piece = fact instanceof Fact.InsertSet insert ? insert.piece().text() : "";
        Fact set = inWhateverCar(fact);
        Object before = settings.put(fact.getClass().getSimpleName() + set.of() + piece, set);
        // The opening of the crotch strap as it was found is a look: nothing was moved.
        boolean found = before == null && fact instanceof Fact.CrotchSet;
        return !found && !set.equals(before);
    }

    /** What is set at the seat is the same in whatever car it is told: setting it so again is a look there, too. */
    private static Fact inWhateverCar(Fact fact) {
        if (fact instanceof Fact.SlotsSet set) {
            return new Fact.SlotsSet(
                    NO_CAR, set.leftShell(), set.rightShell(), set.leftPad(), set.rightPad(), set.loop());
        }
        if (fact instanceof Fact.InsertSet set) {
            return new Fact.InsertSet(NO_CAR, set.piece(), set.in());
        }
        return fact instanceof Fact.CrotchSet set ? new Fact.CrotchSet(NO_CAR, set.opening()) : fact;
    }

    /** Corrections and withdrawals of measures and labels, each at its own place. */
    private static List<Placed> corrections(List<Entry> all) {
        Map<UUID, Fact> said = new HashMap<>();
        List<Placed> changes = new ArrayList<>();
        for (Entry entry : all) {
            Fact before = entry.corrects() == null ? null : said.get(entry.corrects());
            said.put(entry.id(), entry.fact());
            if (before == null) {
                continue;
            }
            said.put(entry.corrects(), entry.fact());
            boolean otherwise = !entry.how().isEstimate() && !Objects.equals(before, entry.fact());
            if (otherwise && isMeasure(before)) {
                changes.add(new Placed(Change.MEASURES_RENEWED, entry.seq()));
            }
            if (otherwise && before instanceof Fact.LabelRead) {
                changes.add(new Placed(Change.LABEL_CORRECTED, entry.seq()));
            }
        }
        return changes;
    }
}
