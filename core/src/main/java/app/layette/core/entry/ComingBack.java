package app.layette.core.entry;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** A family that comes back: what its earlier fitting says counts while nothing was done to the seat since. */
final class ComingBack {
    private ComingBack() {}

    /**
     * The entries that count: those of the earlier fitting too while nothing was done to the seat since, else without them.
     *
     * @param about what is about this unit, corrections in their places
     * @param record everything as it was sent
     */
    static List<Entry> counting(List<Entry> about, List<Entry> record) {
        if (isAsBefore(about)) {
            return about;
        }
        Set<UUID> brought = broughtWith(record);
        return about.stream()
                .filter(entry -> !isOfEarlierFitting(entry, brought))
                .toList();
    }

    /** Whether the family came back, and nothing was done to the seat since; the last word counts. */
    static boolean isAsBefore(List<Entry> entries) {
        Facts all = new Facts(entries);
        return all.last(Fact.CameBack.class, fact -> true).isPresent()
                && all.last(Fact.Answered.class, fact -> fact.question() == Question.SINCE)
                        .filter(since ->
                                Answers.holds(Question.SINCE, since.value().answer())
                                        && !since.how().isCarried())
                        .isPresent();
    }

    /** What an earlier fitting says of seat, papers, place and settings; measures are carried with or without it. */
    private static boolean isOfEarlierFitting(Entry entry, Set<UUID> brought) {
        Fact fact = entry.fact();
        boolean measure = fact instanceof Fact.ChildDescribed
                || fact instanceof Fact.Weighed
                || fact instanceof Fact.LengthMeasured
                || fact instanceof Fact.ShoulderSeen;
        boolean came = entry.look() != null && brought.contains(entry.look()) && !isSince(fact);
        return came || entry.how().isCarried() && !measure;
    }

    /** What came with the answer that nothing was done since goes with it: pages and a car's sheet among it. */
    private static Set<UUID> broughtWith(List<Entry> entries) {
        return entries.stream()
                .filter(entry -> isSince(entry.fact()) && entry.look() != null)
                .map(Entry::look)
                .collect(Collectors.toSet());
    }

    private static boolean isSince(Fact fact) {
        return fact instanceof Fact.Answered answered && answered.question() == Question.SINCE;
    }
}
