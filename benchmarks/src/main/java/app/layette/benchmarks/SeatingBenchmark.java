package app.layette.benchmarks;

import app.layette.core.cabin.Occupied;
import app.layette.core.entry.Method;
import app.layette.core.measure.Length;
import app.layette.core.placing.Demand;
import app.layette.core.placing.Seating;
import app.layette.core.vehicle.PositionId;
import app.layette.core.vehicle.Side;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
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

/** Four restraints, each by four methods, in a car of nine places (budget: median at most 50 ms). */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class SeatingBenchmark {
    private static final int RESTRAINTS = 4;
    private static final int ROWS = 3;

    private List<Demand> free;
    private List<Demand> crowded;

    @Setup
    public void demands() {
        Random random = new Random(5);
        free = new ArrayList<>();
        crowded = new ArrayList<>();
        for (int i = 0; i < RESTRAINTS; i++) {
            List<Demand.Way> ways = ways();
            Collections.shuffle(ways, random);
            free.add(new Demand("r" + i, ways, Optional.of(Length.ofMillimetres(440))));
            // All of them want the same three places: there is no arrangement, and every subset has to be tried.
            crowded.add(new Demand(
                    "c" + i,
                    ways.stream().filter(way -> way.place().row() == 1).toList(),
                    Optional.of(Length.ofMillimetres(440))));
        }
    }

    private static List<Demand.Way> ways() {
        List<Demand.Way> ways = new ArrayList<>();
        for (int row = 1; row <= ROWS; row++) {
            for (Side side : Side.values()) {
                PositionId place = new PositionId(row, side);
                for (Method method : new Method[] {
                    Method.BASE_FLEXIBLE_ANCHORS, Method.BASE_BELT, Method.BASELESS_AMERICAN, Method.BASELESS_EUROPEAN
                }) {
                    ways.add(new Demand.Way(
                            place,
                            Optional.of(method),
                            new Occupied(
                                    Set.of(place),
                                    Set.of(new Occupied.Use(
                                            place,
                                            method.isByBelt() ? Occupied.Kind.BELT : Occupied.Kind.INNER_ANCHOR)))));
                }
            }
        }
        return ways;
    }

    @Benchmark
    public Seating.Result fourRestraintsOnNinePlaces() {
        return Seating.solve(free, Map.of(1, Length.ofMillimetres(1400), 2, Length.ofMillimetres(1400)));
    }

    @Benchmark
    public Seating.Result noArrangementExplained() {
        return Seating.solve(crowded, Map.of());
    }
}
