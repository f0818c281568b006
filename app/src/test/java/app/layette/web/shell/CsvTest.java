package app.layette.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CsvTest {
    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '`',
            value = {
                "plain|\"plain\"",
                "=1+1|\"'=1+1\"",
                "+a|\"'+a\"",
                "-a|\"'-a\"",
                "@a|\"'@a\"",
                "-3|\"-3\"",
                "12.5|\"12.5\"",
                "say \"so\"|\"say \"\"so\"\"\"",
                "a,b|\"a,b\""
            },
            delimiter = '|')
    void aCellIsQuotedAndNeverAFormula(String text, String cell) {
        assertThat(Csv.cell(text)).isEqualTo(cell);
    }

    @Test
    void linesEndAsTheStandardSays() {
        assertThat(Csv.of(List.of("a", "b"), List.of(List.of("1", "")))).isEqualTo("\"a\",\"b\"\r\n\"1\",\"\"\r\n");
    }
}
