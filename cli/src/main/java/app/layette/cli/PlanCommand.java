package app.layette.cli;

import app.layette.core.entry.UnusableEntriesException;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.FittingPlanner;
import app.layette.core.fitting.FittingState;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.PlanDocument;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.json.LayetteJson;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code layette plan FILE}: exit 0 when the fitting may be or was handed over, 1 when something blocks, 2 when unusable. */
@Command(name = "plan", description = "Plans the case in FILE and prints the plan as JSON.")
final class PlanCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", description = "A case document.")
    private Path file;

    @Option(
            names = "--text",
            paramLabel = "LANGUAGE",
            description = "Adds sentences, in a language of the program (en, es, …).")
    private @Nullable String language;

    @Option(names = "--units", defaultValue = "metric", description = "metric or customary, for the sentences.")
    private String units;

    @Option(names = "--drawings", description = "Adds the geometry of the views.")
    private boolean drawings;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        PrintWriter err = spec.commandLine().getErr();
        try {
            CaseDocument document = CaseDocument.read(read(file), name -> read(file.resolveSibling(name)));
            FittingPlan plan = new FittingPlanner()
                    .plan(document.practice(), document.sheets(), document.record(), document.date());
            spec.commandLine()
                    .getOut()
                    .println(LayetteJson.strict()
                            .writerWithDefaultPrettyPrinter()
                            .writeValueAsString(PlanDocument.of(plan, wording(), drawings)));
            boolean fine = plan.mayHandOver() || plan.state() == FittingState.HANDED_OVER;
            return fine ? Layette.FINE : Layette.FINDINGS;
        } catch (RefusedDocumentException | UnusableEntriesException e) {
            err.println(e.getMessage());
            return Layette.UNUSABLE;
        } catch (UncheckedIOException e) {
            err.println("The file cannot be read: " + e.getMessage());
            return Layette.UNUSABLE;
        }
    }

    private Optional<Wording> wording() {
        String wanted = language;
        if (wanted == null) {
            return Optional.empty();
        }
        Locale asked = Languages.all().stream()
                .filter(each -> each.getLanguage().equals(wanted))
                .findFirst()
                .orElseThrow(() -> refused(
                        "--text",
                        wanted,
                        "allowed "
                                + Languages.all().stream()
                                        .map(Locale::getLanguage)
                                        .collect(Collectors.joining(", "))));
        return Optional.of(new Wording(asked, units()));
    }

    private UnitSystem units() {
        return switch (units) {
            case "metric" -> UnitSystem.METRIC;
            case "customary" -> UnitSystem.CUSTOMARY;
            default -> throw refused("--units", units, "allowed metric, customary");
        };
    }

    private static RefusedDocumentException refused(String place, String value, String allowed) {
        return new RefusedDocumentException(List.of(new DocumentProblem(place, value, allowed)));
    }

    private static String read(Path path) {
        try {
            return Files.readString(path);
        } catch (IOException e) {
            throw new UncheckedIOException(e.getMessage(), e);
        }
    }
}
