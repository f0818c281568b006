package app.layette.benchmarks;

import app.layette.core.day.AtWork;
import app.layette.core.day.Bay;
import app.layette.core.day.FreeTimes;
import app.layette.core.day.OpenHours;
import app.layette.core.day.Span;
import app.layette.core.day.Taken;
import app.layette.core.day.Wish;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The next free time in a year of forty appointments a day, all of it full but its last days. Budget: p95 under 50 ms. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class FreeTimesBenchmark {
    private static final LocalDate FIRST = LocalDate.of(2027, 1, 1);
    private static final int DAYS = 365;
    private static final int A_DAY = 40;
    private static final int BAYS = 5;
    private static final int MINUTES = 60;

    private FreeTimes times;

    @Setup
    public void fill() {
        List<Bay> bays = new ArrayList<>();
        for (int i = 0; i < BAYS; i++) {
            bays.add(new Bay("bay" + i, false, 0));
        }
        Map<DayOfWeek, List<Span>> weekly = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            weekly.put(day, List.of(new Span(LocalTime.of(9, 0), LocalTime.of(17, 0))));
        }
        List<Taken> taken = new ArrayList<>();
        Random random = new Random(1);
        for (int day = 0; day < DAYS - 3; day++) {
            for (int i = 0; i < A_DAY; i++) {
                LocalTime from = LocalTime.of(9 + i / BAYS, 0);
                taken.add(new Taken(
                        "bay" + i % BAYS,
                        FIRST.plusDays(day),
                        new Span(from, from.plusMinutes(MINUTES - 5L * random.nextInt(2)))));
            }
        }
        times = new FreeTimes(
                new OpenHours(weekly, Map.of()), bays, AtWork.always(BAYS), ZoneId.of("America/Toronto"), taken);
    }

    @Benchmark
    public List<FreeTimes.Free> nextFreeTime() {
        return times.search(new Wish(MINUTES, false, FIRST, LocalTime.MIN, FIRST.plusDays(DAYS)), 1);
    }
}
