package app.layette.benchmarks;

import app.layette.core.choice.SeatAnswer;
import app.layette.core.choice.WhichRestraint;
import app.layette.core.entry.Situation;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.SheetReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
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

/** Five hundred seat sheets ranked for one child in one car (budget: median at most 150 ms). */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class ChoiceBenchmark {
    private static final int SHEETS = 500;

    private List<SeatSheet> shelf;
    private Situation situation;

    @Setup
    public void shelf() throws IOException {
        Path examples = Path.of(System.getProperty("layette.examples", "examples"));
        List<SeatSheet> known = new ArrayList<>();
        try (Stream<Path> files = Files.list(examples.resolve("sheets")).sorted()) {
            for (Path file : files.toList()) {
                String json = Files.readString(file);
                if (!json.contains("\"rows\"") && json.contains("\"limits\"")) {
                    known.add(SheetReader.seat(json));
                }
            }
        }
        shelf = new ArrayList<>();
        for (int i = 0; i < SHEETS; i++) {
            shelf.add(known.get(i % known.size()));
        }
        Path ready = examples.resolve("cases").resolve("ready.json");
        CaseDocument fitting = CaseDocument.read(text(ready), sibling -> text(ready.resolveSibling(sibling)));
        situation = new FittingPlanner()
                .plan(fitting.practice(), fitting.sheets(), fitting.record(), fitting.date())
                .situation();
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Benchmark
    public List<SeatAnswer> ranked() {
        return WhichRestraint.among(shelf, situation);
    }
}
