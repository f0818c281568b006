package app.layette.benchmarks;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.fault.Staging;
import app.layette.core.bench.hands.Hands;
import app.layette.core.bench.run.BenchCar;
import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.run.PlannersHands;
import app.layette.core.bench.run.Task;
import app.layette.core.bench.scene.BenchPractice;
import app.layette.core.bench.scene.Scene;
import app.layette.core.bench.state.Truth;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.practice.Practice;
import app.layette.core.recline.learn.SettingChoice;
import app.layette.core.trial.Advised;
import app.layette.core.trial.Advised.Reads;
import app.layette.core.trial.Comparison;
import app.layette.core.trial.Comparison.Result;
import app.layette.core.trial.Search;
import app.layette.core.trial.TrialAndError;
import app.layette.core.trial.TrialBand;
import app.layette.formats.json.LayetteJson;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/**
 * Whether the practice bench and the planner agree: the planner's run done by hand leaves nothing to find, every fault
 * that can be staged shows and is named, and whoever searches for the setting on the bench needs as many goes and looks as
 * the recline comparison says. The last line is one JSON object.
 */
@Command(
        name = "practice",
        description = "Compares the practice bench with the planner.",
        mixinStandardHelpOptions = true)
public final class PracticeComparison implements Callable<Integer> {
    /** Cycles on the bench may differ from the comparison's by three standard errors. */
    private static final double STANDARD_ERRORS = 3;

    private static final int RUNS_AT_ONCE = 200;
    private static final long BYTES_A_MB = 1024 * 1024;

    @Option(names = "--seed", description = "Seed of the scenes; default ${DEFAULT-VALUE}.")
    private long seed = 1;

    @Option(names = "--n", description = "How many scenes, 1 to 1000000; default ${DEFAULT-VALUE}.")
    private int runs = 1000;

    private final Practice practice = BenchPractice.usual();
    private final LocalDate today = LocalDate.of(2026, 3, 10);
    private final Set<Misuse> everStaged = EnumSet.noneOf(Misuse.class);
    private int withSomethingLeft;
    private int staged;
    private int perceptible;
    private int named;

    private PracticeComparison() {}

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new PracticeComparison()).execute(arguments));
    }

    @Override
    public Integer call() {
        if (runs < 1 || runs > 1_000_000) {
            System.err.println("The number of scenes (" + runs + ") must be allowed; allowed 1 to 1000000");
            return 2;
        }
        Method[] methods = Method.values();
        for (int i = 0; i < runs; i++) {
            one(Scene.of(seed * 1_000_003 + i, methods[i % methods.length], today));
        }
        List<String> never = new ArrayList<>();
        for (Misuse misuse : Misuse.values()) {
            if (!everStaged.contains(misuse)) {
                never.add(misuse + " (" + Staging.of(misuse).what() + ")");
            }
        }
        System.out.println("never staged: " + String.join(", ", never));
        Map<String, Object> object = new LinkedHashMap<>();
        object.put("runs", runs);
        object.put("withSomethingLeft", withSomethingLeft);
        object.put("faultsStaged", staged);
        object.put("faultsPerceptible", perceptible);
        object.put("faultsNamed", named);
        object.put("faultsNever", never);
        boolean same = cycles(object);
        object.put("heapMbOf200Runs", heapOf(RUNS_AT_ONCE));
        System.out.println(LayetteJson.strict().writeValueAsString(object));
        return withSomethingLeft == 0 && perceptible == staged && named == staged && same ? 0 : 1;
    }

    private void one(Scene scene) {
        DryRun run = new DryRun(scene, practice);
        boolean over = PlannersHands.finish(run);
        List<Misuse> left = new Staging(scene).there(run.now());
        if (!over || !left.isEmpty()) {
            withSomethingLeft++;
            System.out.printf(
                    Locale.ROOT,
                    "%s %d: %s %s%n",
                    scene.method(),
                    scene.seed(),
                    left,
                    over ? "" : run.plan().gate().blocking());
            return;
        }
        Scene done = scene.beginning(run.now());
        Staging staging = new Staging(done);
        for (Misuse misuse : staging.possible()) {
            stage(done, staging, misuse, run.moments().size());
        }
    }

    /** One fault at a time: does a look or a test show it, and is it named when it is left in? */
    private void stage(Scene done, Staging staging, Misuse misuse, int number) {
        staged++;
        everStaged.add(misuse);
        Hands hands = new Hands(done);
        Truth spoiled = staging.stage(done.truth(), misuse);
        boolean shows = false;
        for (Doing look : staging.shownBy(misuse)) {
            var before = hands.does(done.truth(), look, number + 1);
            var after = hands.does(spoiled, look, number + 1);
            shows |= !before.sensed().equals(after.sensed()) || !before.facts().equals(after.facts());
        }
        perceptible += shows ? 1 : 0;
        boolean isNamed = staging.isThere(spoiled, misuse);
        named += isNamed ? 1 : 0;
        if (!shows || !isNamed) {
            System.out.printf(
                    Locale.ROOT,
                    "%s %d: %s %s %s%n",
                    done.method(),
                    done.seed(),
                    misuse,
                    shows ? "" : "does not show",
                    isNamed ? "" : "is not named");
        }
    }

    /** The same searches in the same cars, there and on the bench. */
    private boolean cycles(Map<String, Object> object) {
        Map<String, Search> searches = new LinkedHashMap<>();
        searches.put("trialAndError", new TrialAndError());
        searches.put("advice", new Advised(Reads.ZONES, true, SettingChoice.NEWBORN_SLACK));
        boolean same = true;
        for (Map.Entry<String, Search> search : searches.entrySet()) {
            for (TrialBand band : List.of(TrialBand.of(35, 45), TrialBand.of(40, 45))) {
                Comparison comparison = new Comparison(seed, runs);
                Result there = comparison.run(search.getValue(), band, 1);
                Random random = new Random(seed + 17);
                Result here = comparison.run(search.getValue(), band, 1, car -> new BenchCar(car, random));
                double error = Math.sqrt(2.0 / runs) * Math.max(there.cycles90() - there.meanCycles(), 1);
                same &= Math.abs(there.meanCycles() - here.meanCycles()) <= STANDARD_ERRORS * error;
                String key = search.getKey()
                        + (int) (band.to().degrees() - band.from().degrees());
                object.put(key + "Cycles", round(there.meanCycles()));
                object.put(key + "CyclesOnBench", round(here.meanCycles()));
                object.put(key + "StandardError", round(error));
            }
        }
        return same;
    }

    /** What so many runs at once hold, each done to its end, in MB. */
    private long heapOf(int many) {
        Runtime runtime = Runtime.getRuntime();
        System.gc();
        long before = runtime.totalMemory() - runtime.freeMemory();
        List<DryRun> held = new ArrayList<>();
        for (int i = 1; i <= many; i++) {
            DryRun run = new Task(Task.Kind.FIT, i).begin();
            PlannersHands.finish(run);
            held.add(run);
        }
        System.gc();
        long after = runtime.totalMemory() - runtime.freeMemory();
        return held.size() == many ? Math.max(0, after - before) / BYTES_A_MB : -1;
    }

    private static double round(double value) {
        return Math.round(value * 1000) / 1000.0;
    }
}
