package app.layette.formats.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PlainTextTest {
    static Object[][] writings() {
        return new Object[][] {
            {"7 lb 3 oz", "7 lb 3 oz"},
            {"two\r\nlines\rthree", "two\nlines\nthree"},
            {"3\u00002", "3 2"},
            {"3\u202e2", "3 2"},
            {"\u202a+555 0142\u202c", "+555 0142"},
            {"so\u00adft", "soft"},
            {"e\u0301", "é"},
            {"a\ud800b", "a\ufffdb"},
            {"\udfff", "\ufffd"},
            {"\ud83d\udc76\ud83c\udffd", "\ud83d\udc76\ud83c\udffd"},
            {"नमस्ते\u200dक", "नमस्ते\u200dक"},
            {"\u0007bell", " bell"},
            {"", ""},
        };
    }

    @ParameterizedTest
    @MethodSource("writings")
    void keepsTheWritingAndNothingElse(String typed, String plain) {
        assertThat(PlainText.of(typed)).isEqualTo(plain);
    }

    @Test
    void whatIsPlainStaysAsItIsAndNoControlIsEverLeft() {
        Random random = new Random(5);
        for (int i = 0; i < 3000; i++) {
            StringBuilder any = new StringBuilder();
            random.ints(12, 0, 0x10000).forEach(each -> any.append((char) each));
            String once = PlainText.of(any.toString());
            assertThat(PlainText.of(once)).isEqualTo(once);
            assertThat(once.chars()).noneMatch(each -> Character.isISOControl(each) && each != '\n' && each != '\t');
        }
    }
}
