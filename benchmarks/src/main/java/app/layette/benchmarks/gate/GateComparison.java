package app.layette.benchmarks.gate;

import app.layette.core.entry.Situation;
import app.layette.core.entry.UnusableEntriesException;
import app.layette.core.gate.Gate;
import app.layette.core.gate.Required;
import app.layette.core.gate.RuleBook;
import app.layette.formats.json.LayetteJson;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.LongAdder;
import java.util.stream.LongStream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/**
 * The gate against a plain second checker over random fittings of every method: a few lines, and one JSON object as the
 * last. Of each method the first fittings that open are judged again after every single mutation.
 */
@Command(
        name = "gate",
        description = "Judges random fittings by the gate and by a plain second checker.",
        mixinStandardHelpOptions = true)
public final class GateComparison implements Callable<Integer> {
    private static final int MOST_SHOWN = 25;

    @Option(names = "--seed", description = "Seed of the fittings; default ${DEFAULT-VALUE}.")
    private long seed = 1;

    @Option(names = "--n", description = "How many fittings, 1 to 10000000; default ${DEFAULT-VALUE}.")
    private int count = 50_000;

    @Option(
            names = "--mutate",
            description = "How many opened fittings of each method are mutated; default ${DEFAULT-VALUE}.")
    private int mutate = 300;

    private final LongAdder mutants = new LongAdder();
    private final LongAdder leftOut = new LongAdder();
    private final LongAdder wronglyOpened = new LongAdder();
    private final LongAdder wronglyShut = new LongAdder();
    private final Map<String, AtomicInteger> opened = new ConcurrentHashMap<>();
    private final ConcurrentLinkedQueue<String> disagreements = new ConcurrentLinkedQueue<>();

    private GateComparison() {}

    public static void main(String[] arguments) {
        System.exit(new CommandLine(new GateComparison()).execute(arguments));
    }

    @Override
    public Integer call() {
        if (count < 1 || count > 10_000_000) {
            System.err.println("The number of fittings (" + count + ") cannot be taken; allowed 1 to 10000000");
            return 2;
        }
        Bases bases = new Bases(Path.of(System.getProperty("layette.examples", "examples")));
        bases.all().forEach(base -> opened.put(base.name(), new AtomicInteger()));
        LongStream.range(0, count).parallel().forEach(i -> draw(bases, i));
        disagreements.stream().limit(MOST_SHOWN).forEach(System.out::println);
        System.out.printf(
                "%d fittings and %d mutants of %d opened each at most; %d left out: only a growth curve could tell%n",
                count, mutants.sum(), mutate, leftOut.sum());
        Map<String, Object> object = new LinkedHashMap<>();
        object.put("seed", seed);
        object.put("fittings", count);
        object.put(
                "opened", opened.values().stream().mapToInt(AtomicInteger::get).sum());
        object.put("openedByMethod", new TreeMap<>(opened));
        object.put("mutants", mutants.sum());
        object.put("leftOut", leftOut.sum());
        object.put("wronglyOpened", wronglyOpened.sum());
        object.put("wronglyShut", wronglyShut.sum());
        System.out.println(LayetteJson.strict().writeValueAsString(object).replace(System.lineSeparator(), ""));
        return wronglyOpened.sum() + wronglyShut.sum() == 0 ? 0 : 1;
    }

    private void draw(Bases bases, long number) {
        Generator.Drawn drawn = new Generator(bases, seed * 1_000_003 + number).next();
        boolean open = judge(drawn.fitting(), drawn.base().name() + " drawn " + number);
        if (!open) {
            return;
        }
        int before = opened.get(drawn.base().name()).getAndIncrement();
        if (before < mutate) {
            for (Changed.Mutation mutation : Changed.of(drawn.base(), drawn.fitting())) {
                mutants.increment();
                judge(
                        mutation.apply().apply(drawn.fitting()),
                        drawn.base().name() + " drawn " + number + ", " + mutation.name());
            }
        }
    }

    /** Judges it both ways; true where both let it through. */
    private boolean judge(Fitting fitting, String name) {
        boolean opens;
        try {
            opens = opens(fitting);
        } catch (UnusableEntriesException e) {
            // Corrects what is not there, or was withdrawn: no server takes it.
            return false;
        }
        PlainChecker checker =
                new PlainChecker(fitting.practice(), fitting.sheets(), fitting.record(), fitting.today());
        PlainChecker.Answer plain = checker.answer();
        if (plain == PlainChecker.Answer.CANNOT_SAY) {
            leftOut.increment();
            return false;
        }
        if (opens && plain == PlainChecker.Answer.SHUT) {
            wronglyOpened.increment();
            disagreements.add("wrongly opened: " + name + "; against it: " + checker.against());
        }
        if (!opens && plain == PlainChecker.Answer.OPEN) {
            wronglyShut.increment();
            disagreements.add("wrongly shut: " + name + "; " + blocking(fitting));
        }
        return opens && plain == PlainChecker.Answer.OPEN;
    }

    private static Situation situation(Fitting fitting) {
        return Situation.of(fitting.practice(), fitting.sheets(), fitting.record(), fitting.today());
    }

    /** Whether the gate is open; the first conclusion that does not stand settles it. */
    private static boolean opens(Fitting fitting) {
        Situation situation = situation(fitting);
        return situation
                .method()
                .filter(method -> Required.by(method).stream()
                        .allMatch(each ->
                                Gate.judge(each, RuleBook.shipped(), situation).passed()))
                .isPresent();
    }

    private static List<String> blocking(Fitting fitting) {
        Situation situation = situation(fitting);
        return situation
                .method()
                .map(method -> Gate.judge(RuleBook.shipped(), situation, method).blocking().stream()
                        .map(each -> each.conclusion() + " " + each.state())
                        .toList())
                .orElse(List.of("no method"));
    }
}
