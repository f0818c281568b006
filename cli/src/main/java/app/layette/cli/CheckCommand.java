package app.layette.cli;

import app.layette.formats.document.CaseDocument;
import app.layette.formats.document.DocumentKind;
import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import app.layette.formats.document.Schemas;
import app.layette.formats.document.SheetReader;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code layette check FILE…}: exit 0 when all are in order, 1 when one has problems, 2 when one cannot be read. */
@Command(name = "check", description = "Checks sheets, profiles, cases and plans against their schemas.")
final class CheckCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", arity = "1..*", description = "Documents of any kind.")
    private List<Path> files;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() {
        int worst = Layette.FINE;
        for (Path file : files) {
            worst = Math.max(worst, check(file));
        }
        return worst;
    }

    private int check(Path file) {
        PrintWriter out = spec.commandLine().getOut();
        try {
            String json = Files.readString(file);
            Optional<DocumentKind> kind = DocumentKind.of(Schemas.parse(json));
            if (kind.isEmpty()) {
                out.println(file + ": is none of the documents that Layette knows");
                return Layette.UNUSABLE;
            }
            read(kind.get(), json, file);
            out.println(file + ": in order ("
                    + kind.get().name().toLowerCase(Locale.ROOT).replace('_', ' ') + ")");
            return Layette.FINE;
        } catch (RefusedDocumentException e) {
            for (DocumentProblem problem : e.problems()) {
                out.println(file + ": " + problem);
            }
            return Layette.FINDINGS;
        } catch (IOException | UncheckedIOException e) {
            spec.commandLine().getErr().println(file + ": cannot be read: " + e.getMessage());
            return Layette.UNUSABLE;
        }
    }

    private static void read(DocumentKind kind, String json, Path file) {
        switch (kind) {
            case SEAT_SHEET -> SheetReader.seat(json);
            case VEHICLE_SHEET -> SheetReader.vehicle(json);
            case PRACTICE_PROFILE -> SheetReader.profile(json);
            case CASE -> CaseDocument.read(json, name -> sibling(file, name));
            case PLAN -> {
                List<DocumentProblem> problems = Schemas.problems(kind, Schemas.parse(json));
                if (!problems.isEmpty()) {
                    throw new RefusedDocumentException(problems);
                }
            }
        }
    }

    private static String sibling(Path file, String name) {
        try {
            return Files.readString(file.resolveSibling(name));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
