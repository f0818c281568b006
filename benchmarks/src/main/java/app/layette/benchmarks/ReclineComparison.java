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
        searches.put("advice, zones, slack 0.10", new Advised(Reads.ZONES, true, 0.10));
        Map<String, TrialBand> bands = new LinkedHashMap<>();
        bands.put("10° band", TrialBand.of(35, 45));
        bands.put("5° band", TrialBand.of(40, 45));
        for (Map.Entry<String, TrialBand> band : bands.entrySet()) {
            table(band.getKey(), band.getValue(), 1, searches);
        }
        table("10° band, twice the assumed spread", bands.get("10° band"), 2, searches);
        table("5° band, twice the assumed spread", bands.get("5° band"), 2, searches);
        Map<String, Object> object = new LinkedHashMap<>();
        object.put("seed", seed);
        object.put("n", cars);
        object.put("results", all);
        System.out.println(LayetteJson.strict().writeValueAsString(object).replace(System.lineSeparator(), ""));
        return 0;
    }

    private void table(String title, TrialBand band, double spread, Map<String, Search> searches) {
        System.out.printf(Locale.ROOT, "%n%s, %d cars, seed %d%n", title, cars, seed);
        System.out.printf(
                "%-28s %12s %12s %18s %14s %8s%n",
                "way of searching", "mean cycles", "90th perc.", "first tightening", "most reclined", "found");
        Map<String, Object> results = new LinkedHashMap<>();
        searches.forEach((name, search) -> {
            Result result = new Comparison(seed, cars).run(search, band, spread);
            System.out.printf(
                    Locale.ROOT,
                    "%-28s %12.2f %12d %17.1f%% %13.1f%% %7.1f%%%n",
                    name,
                    result.meanCycles(),
                    result.cycles90(),
                    100 * result.firstTightening(),
                    100 * result.mostReclined(),
                    100 * result.found());
            results.put(name, result);
        });
        all.put(title, results);
    }
}
