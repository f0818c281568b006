package app.layette.web.label;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.formats.label.LabelPhoto;
import app.layette.formats.label.LabelValue;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The ten made-up labels, straight, tilted, worn and badly lit: what is proposed is right, and the rest is not guessed. */
class LabelPicturesTest {
    private static final Path LABELS = Path.of("../examples/labels");

    static Stream<String> rows() throws IOException {
        return Files.readAllLines(LABELS.resolve("labels.csv")).stream()
                .filter(line -> !line.startsWith("#"))
                .skip(1);
    }

    @ParameterizedTest
    @MethodSource("rows")
    void whatIsProposedIsWhatTheLabelSays(String row) throws IOException {
        String[] cells = row.split(",", -1);
        TesseractPrint print = new TesseractPrint(Path.of("/usr/bin/tesseract"));
        assertThat(print.isThere()).as("tesseract-ocr is installed").isTrue();
        List<LabelValue> values =
                LabelPhoto.read(ImageIO.read(LABELS.resolve(cells[0] + ".jpg").toFile()), print);
        Map<LabelValue.Of, String> read = new EnumMap<>(LabelValue.Of.class);
        values.forEach(value -> read.put(
                value.of(), value.value().map(each -> each.replace('\n', ';')).orElse("-")));
        for (LabelValue.Of of : LabelValue.Of.values()) {
            String wanted = cells[of.ordinal() + 1];
            String got = read.getOrDefault(of, "");
            if (wanted.equals("-")) {
                assertThat(got).as("%s of %s is not guessed", of, cells[0]).isIn("", "-");
            } else {
                assertThat(got).as("%s of %s", of, cells[0]).isEqualTo(wanted);
            }
        }
        assertThat(values).allSatisfy(value -> assertThat(value.cutOut()).isNotEmpty());
    }

    @ParameterizedTest
    @MethodSource("rows")
    void withoutTheProgramThereAreOnlyCodes(String row) throws IOException {
        TesseractPrint none = new TesseractPrint(Path.of("/nowhere/tesseract"));
        assertThat(LabelPhoto.read(
                        ImageIO.read(LABELS.resolve(row.split(",")[0] + ".jpg").toFile()), none))
                .allSatisfy(value -> assertThat(value.byCode()).isTrue());
    }
}
