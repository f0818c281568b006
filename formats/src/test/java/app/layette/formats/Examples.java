package app.layette.formats;

import app.layette.core.entry.Entry;
import app.layette.core.entry.Fact;
import app.layette.core.entry.FittingRecord;
import app.layette.core.entry.How;
import app.layette.core.entry.Sheets;
import app.layette.core.entry.Situation;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.gate.Gate;
import app.layette.core.gate.RuleBook;
import app.layette.formats.document.CaseDocument;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** The example documents of the project, as tests use them. */
public final class Examples {
    private static final Path ROOT = Path.of("..", "examples");

    private Examples() {}

    public static List<Path> files(String folder) {
        try (Stream<Path> files = Files.list(ROOT.resolve(folder))) {
            return files.sorted().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The names of the fittings that may be handed over, one of every method. */
    public static Stream<String> ready() {
        return files("cases").stream()
                .map(file -> file.getFileName().toString())
                .filter(name -> name.startsWith("ready"))
                .map(name -> name.replace(".json", ""));
    }

    public static String text(String name) {
        return text(ROOT.resolve(name));
    }

    public static String text(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static CaseDocument read(String name) {
        Path file = ROOT.resolve("cases").resolve(name + ".json");
        return CaseDocument.read(text(file), sibling -> text(file.resolveSibling(sibling)));
    }

    public static FittingPlan plan(String name) {
        return plan(read(name));
    }

    public static FittingPlan plan(CaseDocument document) {
        return new FittingPlanner().plan(document.practice(), document.sheets(), document.record(), document.date());
    }

    /** The same entry saying something else, known in another way. */
    static Entry saying(Entry entry, Fact fact, How how) {
        return new Entry(entry.id(), entry.seq(), entry.seen(), entry.at(), entry.by(), how, null, fact);
    }

    /** Whether the gate is open over a case with these sheets and entries instead of its own. */
    static boolean isOpen(CaseDocument fitting, Sheets sheets, List<Entry> entries) {
        FittingRecord record =
                new FittingRecord(fitting.record().riders(), fitting.record().units(), entries);
        Situation situation = Situation.of(fitting.practice(), sheets, record, fitting.date());
        return situation
                .method()
                .filter(method ->
                        Gate.judge(RuleBook.shipped(), situation, method).isOpen())
                .isPresent();
    }
}
