package app.layette.core.bench.progress;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How well somebody knows an area of the rules, and when it is worth practising again. What was right is asked for later
 * each time, what was wrong comes back the next day.
 *
 * @param area the part of the rules' codes before the number, such as {@code HAR}
 * @param right how often it was right in a row, 0 to {@link #KNOWN}
 * @param due the day from which on it is worth practising
 */
public record Skill(String area, int right, LocalDate due) {
    /** Right so often in a row it is known. */
    public static final int KNOWN = 5;

    private static final int[] DAYS = {1, 2, 5, 12, 30, 75};

    public Skill {
        if (right < 0 || right > KNOWN) {
            throw new IllegalArgumentException("Right in a row (" + right + ") must lie in 0 to " + KNOWN);
        }
    }

    /** An area that nobody has practised. */
    public static Skill fresh(String area, LocalDate today) {
        return new Skill(area, 0, today);
    }

    /** After a run in which it came up. */
    public Skill after(boolean wasRight, LocalDate today) {
        int now = wasRight ? Math.min(KNOWN, right + 1) : 0;
        return new Skill(area, now, today.plusDays(wasRight ? DAYS[now] : 1));
    }

    public boolean isDue(LocalDate today) {
        return !due.isAfter(today);
    }

    /** What to practise next: of what is due the weakest, else what comes due first. */
    public static Optional<Skill> next(List<Skill> all, LocalDate today) {
        return all.stream()
                .min(Comparator.comparing((Skill skill) -> !skill.isDue(today))
                        .thenComparing(skill -> skill.isDue(today) ? LocalDate.MIN : skill.due())
                        .thenComparing(Skill::right)
                        .thenComparing(Skill::area));
    }

    /** How hard the next run should be, 1 to 6, by what is known on average. */
    public static int level(List<Skill> all) {
        double mean = all.stream().mapToInt(Skill::right).average().orElse(0);
        return 1 + (int) Math.min(KNOWN, Math.floor(mean));
    }
}
