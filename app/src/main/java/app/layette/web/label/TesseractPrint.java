package app.layette.web.label;

import app.layette.formats.label.LabelPhoto;
import app.layette.formats.label.PrintedWord;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Print read by Tesseract, a program of the machine, each time with another way of telling ink from paper. Where it is
 * not installed no print is read, and everything is typed.
 */
@Component
class TesseractPrint implements LabelPhoto.Print {
    private static final Logger LOG = LoggerFactory.getLogger(TesseractPrint.class);
    /** By the whole picture, by small pieces of it, and by each letter's surroundings. */
    private static final List<String> WAYS = List.of("0", "1", "2");

    private static final int LONGEST_S = 20;
    private static final int COLUMNS = 12;
    private static final String WORD = "5";

    private final Path program;

    TesseractPrint(@Value("${layette.tesseract:/usr/bin/tesseract}") Path program) {
        this.program = program;
    }

    boolean isThere() {
        return Files.isExecutable(program);
    }

    @Override
    public List<List<PrintedWord>> read(byte[] png) {
        if (!isThere()) {
            return List.of();
        }
        Path picture = null;
        try {
            picture = Files.createTempFile("layette-label", ".png");
            Files.write(picture, png);
            List<List<PrintedWord>> readings = new ArrayList<>();
            for (String way : WAYS) {
                readings.add(words(output(picture, way)));
            }
            return readings;
        } catch (IOException e) {
            LOG.warn("A label's print could not be read: {}", e.getMessage());
            return List.of();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return List.of();
        } finally {
            delete(picture);
        }
    }

    private String output(Path picture, String way) throws IOException, InterruptedException {
        Path said = Files.createTempFile("layette-label", ".tsv");
        try {
            ProcessBuilder builder = new ProcessBuilder(
                            program.toString(),
                            picture.toString(),
                            "-",
                            "--psm",
                            "11",
                            "-c",
                            "thresholding_method=" + way,
                            "tsv")
                    .redirectOutput(said.toFile())
                    .redirectError(ProcessBuilder.Redirect.DISCARD);
            // One thread for each: two photographs at once are enough for a small machine.
            builder.environment().put("OMP_THREAD_LIMIT", "1");
            Process process = builder.start();
            if (!process.waitFor(LONGEST_S, TimeUnit.SECONDS)) {
                process.destroyForcibly();
                throw new IOException("it took longer than " + LONGEST_S + " s");
            }
            return process.exitValue() == 0 ? Files.readString(said, StandardCharsets.UTF_8) : "";
        } finally {
            delete(said);
        }
    }

    /** The words of its table: one row each, with where it stands and how sure it is. */
    static List<PrintedWord> words(String table) {
        List<PrintedWord> words = new ArrayList<>();
        for (String row : table.split("\n")) {
            String[] cells = row.split("\t", COLUMNS);
            if (cells.length == COLUMNS && cells[0].equals(WORD) && !cells[11].isBlank()) {
                words.add(new PrintedWord(
                        cells[11].strip(),
                        Integer.parseInt(cells[2]) * 10_000
                                + Integer.parseInt(cells[3]) * 100
                                + Integer.parseInt(cells[4]),
                        Double.parseDouble(cells[10]),
                        new PrintedWord.Box(
                                Integer.parseInt(cells[6]),
                                Integer.parseInt(cells[7]),
                                Integer.parseInt(cells[8]),
                                Integer.parseInt(cells[9]))));
            }
        }
        return words;
    }

    private static void delete(@Nullable Path file) {
        try {
            if (file != null) {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            LOG.warn("A file that a label was read from stays: {}", e.getMessage());
        }
    }
}
