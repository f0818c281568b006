package app.layette.core.day;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Who is there to sign on a day. */
public record AtWork(List<Person> people) {
    public AtWork {
        people = List.copyOf(people);
    }

    /**
     * Somebody who may sign.
     *
     * @param days of the week on which they work
     * @param until the last day on which their certificate counts; empty where it has no end
     * @param away when they are not here
     */
    public record Person(Set<DayOfWeek> days, Optional<LocalDate> until, List<Away> away) {
        public Person {
            days = Set.copyOf(days);
            away = List.copyOf(away);
        }

        boolean isThere(LocalDate day) {
            return days.contains(day.getDayOfWeek())
                    && until.filter(day::isAfter).isEmpty()
                    && away.stream().noneMatch(each -> each.holds(day));
        }
    }

    /** Days off, the first and the last of them too. */
    public record Away(LocalDate from, LocalDate to) {
        public Away {
            if (to.isBefore(from)) {
                throw new IllegalArgumentException(from + " to " + to);
            }
        }

        boolean holds(LocalDate day) {
            return !day.isBefore(from) && !day.isAfter(to);
        }
    }

    /** So many who are there on every day. */
    public static AtWork always(int people) {
        Person always = new Person(Set.of(DayOfWeek.values()), Optional.empty(), List.of());
        return new AtWork(Collections.nCopies(people, always));
    }

    /** How many are there: no more families than that at once. */
    public int on(LocalDate day) {
        return (int) people.stream().filter(person -> person.isThere(day)).count();
    }
}
