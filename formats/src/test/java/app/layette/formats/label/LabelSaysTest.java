package app.layette.formats.label;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.formats.label.PrintedWord.Box;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LabelSaysTest {
    private static List<PrintedWord> line(String text) {
        List<PrintedWord> words = new ArrayList<>();
        for (String word : text.split(" ")) {
            words.add(new PrintedWord(word, 1, 95, new Box(0, 0, 10, 10)));
        }
        return words;
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Model No. WT-210                          | MODEL_NUMBER | WT-210
            Model: abc                                | MODEL_NUMBER |
            Serial No. 00412-7                        | SERIAL       | 00412-7
            Manufactured 2025-03-14                   | MADE         | 2025-03-14
            Date of manufacture: 14 MAR 2024          | MADE         | 2024-03-14
            Manufactured 2026-01                      | MADE         | 2026-01
            Mfd 03/2025                               | MADE         | 2025-03
            Manufactured 25/03/2024                   | MADE         | 2024-03-25
            Manufactured 03/25/2024                   | MADE         | 2024-03-25
            Manufactured 05/05/2024                   | MADE         | 2024-05-05
            Manufactured 04/05/2024                   | MADE         |
            Manufactured 2025-13-14                   | MADE         |
            Manufactured 2025-02-30                   | MADE         |
            4 - 35 lb (1.8 - 15.9 kg)                 | WEIGHT_MAX   | 35 lb
            4 - 35 Ib (1,8 - 15,9 kg)                 | WEIGHT_MIN   | 4 lb
            4 - 35 lb (1.8 - 12.9 kg)                 | WEIGHT_MAX   |
            4 - 85 lb (1.8 - 15.9 kg)                 | WEIGHT_MAX   |
            up to 9 lb (4.1 kg)                       | WEIGHT_MAX   | 9 lb
            40 - 87 cm, up to 13 kg                   | LENGTH_MAX   | 87 cm
            40 - 87 cm, up to 13 kg                   | WEIGHT_MAX   | 13 kg
            Meets CMVSS 213.1                         | STANDARDS    | CMVSS 213.1
            Meets CMVSS 21371                         | STANDARDS    |
            """)
    void aLineSaysThisOrCannotBeRead(String text, LabelValue.Of of, String value) {
        LabelSays.Said said = LabelSays.of(line(text)).get(of);
        String got = said == null ? null : said.value().orElse(null);
        assertThat(got).as(text).isEqualTo(value);
    }

    @Test
    void whatTwoLinesSayDifferentlyCannotBeRead() {
        List<PrintedWord> words = new ArrayList<>(line("Model No. WT-210"));
        line("Model No. WT-270").forEach(word -> words.add(new PrintedWord(word.text(), 2, 95, word.box())));
        assertThat(LabelSays.of(words).get(LabelValue.Of.MODEL_NUMBER).value()).isEmpty();
    }

    @Test
    void aCodeSaysItsParts() {
        assertThat(LabelSays.ofCode("OH-88B 2024-03-14 H24-09117"))
                .containsEntry(LabelValue.Of.MODEL_NUMBER, "OH-88B")
                .containsEntry(LabelValue.Of.MADE, "2024-03-14")
                .containsEntry(LabelValue.Of.SERIAL, "H24-09117");
        assertThat(LabelSays.ofCode("00412-7")).containsOnly(java.util.Map.entry(LabelValue.Of.SERIAL, "00412-7"));
        assertThat(LabelSays.ofCode("https a b c d")).isEmpty();
    }
}
