package app.layette.core.placing;

import app.layette.core.cabin.Occupied;
import app.layette.core.cabin.Occupied.Use;
import app.layette.core.measure.Length;
import app.layette.core.vehicle.PositionId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Seats several riders in one car (CAB-13 d): exact, by trying every arrangement and leaving out what cannot become one
 * of the best three. Nobody loses a belt, no anchor is shared, and a row holds no more width than it has.
 */
public final class Seating {
    private static final int BEST = 3;

    private final List<Demand> demands;
    private final Map<Integer, Length> rowWidths;
    private final List<Arrangement> best = new ArrayList<>();

    /**
     * One arrangement.
     *
     * @param ways of each demand, in the order of the demands
     * @param cost how far down their own lists everybody is, together
     */
    public record Arrangement(List<Demand.Way> ways, int cost) {
        public Arrangement {
            ways = List.copyOf(ways);
        }

        /** How far down its own list a demand is: 0 for its first choice. */
        public int givesUp(List<Demand> demands, int which) {
            return demands.get(which).ways().indexOf(ways.get(which));
        }
    }

    /**
     * What came out.
     *
     * @param arrangements the best three, best first; empty when there is none
     * @param conflict when there is none, the fewest demands that cannot be met together
     * @param clashes where that fails: what their ways would share, the most frequent first
     */
    public record Result(List<Arrangement> arrangements, List<Demand> conflict, List<Clash> clashes) {
        public Result {
            arrangements = List.copyOf(arrangements);
            conflict = List.copyOf(conflict);
            clashes = List.copyOf(clashes);
        }
    }

    private Seating(List<Demand> demands, Map<Integer, Length> rowWidths) {
        this.demands = demands;
        this.rowWidths = rowWidths;
    }

    /**
     * Seats everybody.
     *
     * @param rowWidths width of a row, where every place of it has one
     */
    public static Result solve(List<Demand> demands, Map<Integer, Length> rowWidths) {
        List<Arrangement> found = new Seating(demands, rowWidths).search();
        List<Demand> conflict = found.isEmpty() ? conflict(demands, rowWidths) : List.of();
        return new Result(found, conflict, clashes(conflict, rowWidths));
    }

    /** What each pair of ways of two of them would share; the same place is said only where nothing else is. */
    private static List<Clash> clashes(List<Demand> conflict, Map<Integer, Length> rowWidths) {
        Map<Clash, Integer> counted = new LinkedHashMap<>();
        for (int i = 0; i < conflict.size(); i++) {
            Demand one = conflict.get(i);
            one.held()
                    .filter(place -> one.ways().isEmpty())
                    .ifPresent(place -> counted.put(Clash.at(Clash.Kind.REFUSED, place), 1));
            for (Demand other : conflict.subList(i + 1, conflict.size())) {
                for (Demand.Way here : one.ways()) {
                    for (Demand.Way there : other.ways()) {
                        clash(one, here, other, there, rowWidths)
                                .ifPresent(clash -> counted.merge(clash, 1, Integer::sum));
                    }
                }
            }
        }
        boolean onlyPlaces = counted.keySet().stream().allMatch(clash -> clash.kind() == Clash.Kind.PLACE);
        return counted.entrySet().stream()
                .filter(each -> onlyPlaces || each.getKey().kind() != Clash.Kind.PLACE)
                .sorted(Map.Entry.<Clash, Integer>comparingByValue().reversed())
                .limit(BEST)
                .map(Map.Entry::getKey)
                .toList();
    }

    private static Optional<Clash> clash(
            Demand a, Demand.Way one, Demand b, Demand.Way two, Map<Integer, Length> rowWidths) {
        Optional<PositionId> place = one.occupied().placeOf(two.occupied());
        if (place.isPresent()) {
            return place.map(each -> Clash.at(Clash.Kind.PLACE, each));
        }
        Optional<Use> shared = one.occupied().useOf(two.occupied());
        if (shared.isPresent()) {
            Clash.Kind kind = shared.get().kind() == Occupied.Kind.BELT ? Clash.Kind.BELT : Clash.Kind.ANCHOR;
            return shared.map(use -> Clash.at(kind, use.place()));
        }
        boolean sameRow = one.place().row() == two.place().row();
        return Optional.ofNullable(rowWidths.get(one.place().row()))
                .filter(width -> sameRow && widthOf(a) + widthOf(b) > width.millimetres())
                .map(width -> new Clash(Clash.Kind.WIDTH, one.place().row(), Optional.empty()));
    }

    /** The fewest demands that have no arrangement among themselves. */
    private static List<Demand> conflict(List<Demand> demands, Map<Integer, Length> rowWidths) {
        int subsets = 1 << demands.size();
        return IntStream.range(1, subsets)
                .boxed()
                .sorted(Comparator.<Integer>comparingInt(Integer::bitCount).thenComparing(Comparator.naturalOrder()))
                .map(bits -> subset(demands, bits))
                .filter(some -> new Seating(some, rowWidths).search().isEmpty())
                .findFirst()
                .orElse(List.of());
    }

    private static List<Demand> subset(List<Demand> demands, int bits) {
        List<Demand> some = new ArrayList<>();
        for (int i = 0; i < demands.size(); i++) {
            if ((bits & 1 << i) != 0) {
                some.add(demands.get(i));
            }
        }
        return some;
    }

    private List<Arrangement> search() {
        place(new ArrayList<>(), new HashSet<>(), new HashSet<>(), new HashMap<>(), 0);
        return List.copyOf(best);
    }

    private void place(
            List<Demand.Way> chosen, Set<PositionId> taken, Set<Use> used, Map<Integer, Double> widths, int cost) {
        boolean cannotLead = best.size() == BEST && cost >= best.get(BEST - 1).cost();
        if (cannotLead) {
            return;
        }
        if (chosen.size() == demands.size()) {
            keep(new Arrangement(chosen, cost));
            return;
        }
        Demand demand = demands.get(chosen.size());
        for (int i = 0; i < demand.ways().size(); i++) {
            Demand.Way way = demand.ways().get(i);
            if (way.occupied().takes().stream().noneMatch(taken::contains)
                    && way.occupied().uses().stream().noneMatch(used::contains)
                    && fits(demand, way, widths)) {
                chosen.add(way);
                taken.addAll(way.occupied().takes());
                used.addAll(way.occupied().uses());
                double before = widths.getOrDefault(way.place().row(), 0.0);
                widths.put(way.place().row(), before + widthOf(demand));
                place(chosen, taken, used, widths, cost + i);
                widths.put(way.place().row(), before);
                used.removeAll(way.occupied().uses());
                taken.removeAll(way.occupied().takes());
                chosen.remove(chosen.size() - 1);
            }
        }
    }

    private boolean fits(Demand demand, Demand.Way way, Map<Integer, Double> widths) {
        return Optional.ofNullable(rowWidths.get(way.place().row()))
                .map(width -> widths.getOrDefault(way.place().row(), 0.0) + widthOf(demand) <= width.millimetres())
                .orElse(true);
    }

    private static double widthOf(Demand demand) {
        return demand.width().map(Length::millimetres).orElse(0.0);
    }

    private void keep(Arrangement arrangement) {
        best.add(arrangement);
        best.sort(Comparator.comparingInt(Arrangement::cost));
        if (best.size() > BEST) {
            best.remove(BEST);
        }
    }
}
