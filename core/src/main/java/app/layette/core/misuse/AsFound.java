package app.layette.core.misuse;

import app.layette.core.entry.Area;
import app.layette.core.entry.Fact.AreaLooked;
import app.layette.core.entry.Fact.FoundSo;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.PapersNow;
import app.layette.core.entry.Stamped;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.gate.ConclusionState;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What was found before anything was touched, and how that stands now: put right where its conclusion passed on a look
 * made after it was found, or never required by the method that was chosen since. Where nobody looked, nothing is said:
 * a walk that found nothing and no walk at all stay apart.
 *
 * @param found in the order in which it was found
 * @param looks what is known of every area as it was found
 * @param now how every area stands now; what was fine when it came says nothing about now
 */
public record AsFound(List<Found> found, Map<Area, Look> looks, Map<Area, Stands> now) {
    /** What is known of an area as it was found. */
    public enum Look {
        NOT_LOOKED,
        NOTHING_WRONG,
        FOUND
    }

    /** How something found stands now. */
    public enum Now {
        PUT_RIGHT,
        STILL_SO,
        /** The method chosen since has no such part. */
        FALLS_AWAY
    }

    /**
     * One thing found.
     *
     * @param seq its entry
     * @param since the place of the look that it was put right by; 0 otherwise
     */
    public record Found(Misuse misuse, int seq, Now now, int since) {}

    /** How an area stands now, by the conclusions that its looks are for. */
    public enum Standing {
        /** Everything that is required there has passed, and is fresh. */
        IN_ORDER,
        /** Something found is still so, or a look since has failed. */
        WRONG,
        /** Not everything has been looked at, or not since something changed. */
        NOT_LOOKED,
        /** The chosen method requires nothing there. */
        NOT_THERE
    }

    /**
     * An area as it stands now.
     *
     * @param wrong how many things are wrong there; 0 or more
     */
    public record Stands(Standing standing, int wrong) {}

    public AsFound {
        found = List.copyOf(found);
        looks = Map.copyOf(looks);
        now = Map.copyOf(now);
    }

    /** What is known of an area as it was found. */
    public Look look(Area area) {
        return looks.getOrDefault(area, Look.NOT_LOOKED);
    }

    public static AsFound of(FittingPlan plan) {
        PapersNow situation = plan.situation();
        // The newest word on each: said and taken back again, nothing was found; said anew, it was found then.
        List<Found> found = Arrays.stream(Misuse.values())
                .flatMap(misuse -> situation.newest(FoundSo.class, fact -> fact.misuse() == misuse).stream())
                .filter(each -> each.value().there())
                .map(each -> found(each, plan))
                .sorted(Comparator.comparingInt(Found::seq))
                .toList();
        return new AsFound(found, looks(situation, found), now(plan, found));
    }

    private static Map<Area, Stands> now(FittingPlan plan, List<Found> found) {
        Map<Area, Stands> now = new EnumMap<>(Area.class);
        for (Area area : Area.values()) {
            now.put(area, stands(area, plan, found));
        }
        return now;
    }

    private static Stands stands(Area area, FittingPlan plan, List<Found> found) {
        List<ConclusionState> required = Misuses.lookedForAt(area).stream()
                .flatMap(conclusion -> plan.gate().state(conclusion).stream())
                .toList();
        long failed = required.stream()
                .filter(each -> each.state() == ConclusionState.State.FAILED)
                .count();
        long stillSo = found.stream()
                .filter(each ->
                        each.now() == Now.STILL_SO && Misuses.of(each.misuse()).area() == area)
                .count();
        if (failed > 0 || stillSo > 0) {
            return new Stands(Standing.WRONG, (int) Math.max(failed, stillSo));
        }
        if (required.isEmpty()) {
            boolean chosen = plan.situation().method().isPresent();
            return new Stands(chosen ? Standing.NOT_THERE : Standing.NOT_LOOKED, 0);
        }
        boolean allPassed = required.stream().allMatch(ConclusionState::passed);
        return new Stands(allPassed ? Standing.IN_ORDER : Standing.NOT_LOOKED, 0);
    }

    private static Map<Area, Look> looks(PapersNow situation, List<Found> found) {
        Map<Area, Look> looks = new EnumMap<>(Area.class);
        for (Area area : Area.values()) {
            boolean clear = situation
                    .newest(AreaLooked.class, fact -> fact.area() == area)
                    .filter(looked -> looked.value().clear())
                    .isPresent();
            looks.put(area, clear ? Look.NOTHING_WRONG : Look.NOT_LOOKED);
        }
        found.forEach(each -> looks.put(Misuses.of(each.misuse()).area(), Look.FOUND));
        return looks;
    }

    /** The next area of the walk that nobody has looked at, beginning after one; empty when the walk is done. */
    public Optional<Area> nextAfter(Area area) {
        Area[] walk = Area.values();
        return Arrays.stream(walk)
                .map(each -> walk[(area.ordinal() + 1 + each.ordinal()) % walk.length])
                .filter(each -> looks.get(each) == Look.NOT_LOOKED)
                .findFirst();
    }

    /** How many areas have been looked at. */
    public int looked() {
        return (int)
                looks.values().stream().filter(look -> look != Look.NOT_LOOKED).count();
    }

    private static Found found(Stamped<FoundSo> each, FittingPlan plan) {
        Optional<ConclusionState> state =
                plan.gate().state(Misuses.of(each.value().misuse()).putRightBy());
        boolean chosen = plan.situation().method().isPresent();
        if (state.isEmpty()) {
            return new Found(each.value().misuse(), each.seq(), chosen ? Now.FALLS_AWAY : Now.STILL_SO, 0);
        }
        // Conclusions from sheets and measures alone rest on no look: passing is enough for them.
        boolean putRight =
                state.get().passed() && (state.get().since() == 0 || state.get().since() > each.seq());
        return new Found(
                each.value().misuse(),
                each.seq(),
                putRight ? Now.PUT_RIGHT : Now.STILL_SO,
                putRight ? state.get().since() : 0);
    }
}
