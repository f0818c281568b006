package app.layette.benchmarks;

import app.layette.core.drawing.side.SideView;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.svg.SvgWriter;
import app.layette.formats.wording.Wording;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
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

/** A plan from scratch (budget: median at most 1 ms, 99th percentile at most 5 ms), and a view drawn and written. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class PlanBenchmark {
    private final FittingPlanner planner = new FittingPlanner();
    private final Wording words = new Wording(Locale.ENGLISH, UnitSystem.CUSTOMARY);
    private CaseDocument document;
    private CaseDocument learned;
    private FittingPlan plan;

    @Setup
    public void readTheLongestExample() {
        document = read("loosened-after-the-check.json");
        learned = read("learned-by-looks.json");
        plan = planFromScratch();
    }

    @Benchmark
    public FittingPlan planFromScratch() {
        return planner.plan(document.practice(), document.sheets(), document.record(), document.date());
    }

    /** The same work with five looks at the recline to learn from. */
    @Benchmark
    public FittingPlan planWithLearning() {
        return planner.plan(learned.practice(), learned.sheets(), learned.record(), learned.date());
    }

    @Benchmark
    public String drawAndWriteTheSideView() {
        return SvgWriter.write(SideView.of(plan.situation()), words);
    }

    private static CaseDocument read(String name) {
        Path file = Path.of(System.getProperty("layette.examples"), "cases", name);
        return CaseDocument.read(text(file), sibling -> text(file.resolveSibling(sibling)));
    }

    private static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
