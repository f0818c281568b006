package app.layette.benchmarks;

import app.layette.core.recline.learn.SettingChoice;
import app.layette.core.trial.Advised;
import app.layette.core.trial.Advised.Reads;
import app.layette.core.trial.Comparison;
import app.layette.core.trial.Comparison.Result;
import app.layette.core.trial.Search;
import app.layette.core.trial.TrialAndError;
import app.layette.core.trial.TrialBand;
import app.layette.formats.json.LayetteJson;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/**
 * Trial and error against advice over random seats and cars: a table, and one JSON object as the last line. See {@code
 * docs/recline.md} for what the columns mean.
 */
@Command(
        name = "recline",
        description = "Compares ways of finding the recline setting.",
        mixinStandardHelpOptions = true)
public final class ReclineComparison implements Callable<Integer> {
    private static final int BINS = 10;
    private static final double OFFERED_TAKEN_FROM = 0.6;

    @Option(names = "--seed", description = "Seed of the cars; default ${DEFAULT-VALUE}.")
    private long seed = 1;

    @Option(names = "--n", description = "How many cars, 1 to 1000000; default ${DEFAULT-VALUE}.")
    private int cars = 10_000;

    private final Map<String, Object> all = new LinkedHashMap<>();

    private ReclineComparison() {}

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new ReclineComparison()).execute(arguments));
    }

    @Override
    public Integer call() {
        if (cars < 1 || cars > 1_000_000) {
            System.err.println("The number of cars (" + cars + ") must be allowed; allowed 1 to 1000000");
            return 2;
        }
        Map<String, Search> searches = new LinkedHashMap<>();
        searches.put("trial and error", new TrialAndError());
        searches.put("advice, numbers", new Advised(Reads.NUMBERS, true, SettingChoice.NEWBORN_SLACK));
        searches.put("advice, zones", new Advised(Reads.ZONES, true, SettingChoice.NEWBORN_SLACK));
        searches.put("advice, no first look", new Advised(Reads.NUMBERS, false, SettingChoice.NEWBORN_SLACK));
        searches.put(
                "numbers, offered step taken",
                new Advised(Reads.NUMBERS, true, SettingChoice.NEWBORN_SLACK).takingOfferedFrom(OFFERED_TAKEN_FROM));
        searches.put(
                "zones, offered step taken",
                new Advised(Reads.ZONES, true, SettingChoice.NEWBORN_SLACK).takingOfferedFrom(OFFERED_TAKEN_FROM));
        searches.put("advice, zones, slack 0.10", new Advised(Reads.ZONES, true, 0.10));
        Map<String, TrialBand> bands = new LinkedHashMap<>();
        bands.put("10° band", TrialBand.of(35, 45));
        bands.put("5° band", TrialBand.of(40, 45));
        for (Map.Entry<String, TrialBand> band : bands.entrySet()) {
            table(band.getKey(), band.getValue(), 1, searches);
        }
        table("10° band, twice the assumed spread", bands.get("10° band"), 2, searches);
        table("5° band, twice the assumed spread", bands.get("5° band"), 2, searches);
        Map<String, Object> calibrated = new LinkedHashMap<>();
        for (Map.Entry<String, TrialBand> band : bands.entrySet()) {
            for (Reads reads : Reads.values()) {
                calibrated.put(
                        band.getKey() + ", " + reads.name().toLowerCase(Locale.ROOT),
                        calibration(band.getKey(), band.getValue(), reads));
            }
        }
        Map<String, Object> object = new LinkedHashMap<>();
        object.put("calibration", calibrated);
        object.put("seed", seed);
        object.put("n", cars);
        object.put("results", all);
        System.out.println(LayetteJson.strict().writeValueAsString(object).replace(System.lineSeparator(), ""));
        return 0;
    }

    /** How often a likelihood came true, in ten bins; ruled-out settings are left out, which it does not know of. */
    private Map<String, Object> calibration(String title, TrialBand band, Reads reads) {
        double[] stated = new double[BINS];
        int[] came = new int[BINS];
        int[] told = new int[BINS];
        Advised search = new Advised(reads, true, SettingChoice.NEWBORN_SLACK, (likelihood, isTrue, narrowed) -> {
            if (!narrowed) {
                int bin = Math.min(BINS - 1, (int) (likelihood * BINS));
                stated[bin] += likelihood;
                came[bin] += isTrue ? 1 : 0;
                told[bin]++;
            }
        });
        new Comparison(seed, cars).run(search, band, 1);
        System.out.printf(Locale.ROOT, "%nHow often a likelihood came true, %s, %s%n", title, reads);
        Map<String, Object> bins = new LinkedHashMap<>();
        for (int bin = 0; bin < BINS; bin++) {
            if (told[bin] == 0) {
                continue;
            }
            String name = bin / (double) BINS + " to " + (bin + 1) / (double) BINS;
            double said = stated[bin] / told[bin];
            double was = came[bin] / (double) told[bin];
            System.out.printf(Locale.ROOT, "%-12s stated %.3f came true %.3f of %d%n", name, said, was, told[bin]);
            bins.put(name, Map.of("stated", said, "came", was, "of", told[bin]));
        }
        return bins;
    }

    private void table(String title, TrialBand band, double spread, Map<String, Search> searches) {
        System.out.printf(Locale.ROOT, "%n%s, %d cars, seed %d%n", title, cars, seed);
        System.out.printf(
                "%-28s %12s %12s %18s %14s %8s %14s %10s%n",
                "way of searching",
                "mean cycles",
                "90th perc.",
                "first tightening",
                "most reclined",
                "found",
                "below the edge",
                "wrong way");
        Map<String, Object> results = new LinkedHashMap<>();
        searches.forEach((name, search) -> {
            Result result = new Comparison(seed, cars).run(search, band, spread);
            System.out.printf(
                    Locale.ROOT,
                    "%-28s %12.2f %12d %17.1f%% %13.1f%% %7.1f%% %13.2f° %10d%n",
                    name,
                    result.meanCycles(),
                    result.cycles90(),
                    100 * result.firstTightening(),
                    100 * result.mostReclined(),
                    100 * result.found(),
                    result.belowUpperEdge(),
                    result.wrongWay());
            results.put(name, result);
        });
        all.put(title, results);
    }
}
