package app.layette.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PageTest {
    @ParameterizedTest
    @CsvSource({
        "0, 1, 1, 1, 0",
        "10, 1, 1, 1, 10",
        "11, 1, 1, 2, 10",
        "11, 2, 2, 2, 1",
        "11, 0, 1, 2, 10",
        "11, -5, 1, 2, 10",
        "11, 99, 2, 2, 1",
        "30, 2147483647, 3, 3, 10"
    })
    void aPageThatIsNotThereGivesTheNearest(int all, int wanted, int number, int last, int items) {
        List<Integer> list = IntStream.range(0, all).boxed().toList();
        Page<Integer> page = Page.of(list, wanted, 10);
        assertThat(page.number()).isEqualTo(number);
        assertThat(page.last()).isEqualTo(last);
        assertThat(page.items()).hasSize(items);
        assertThat(page.all()).isEqualTo(all);
    }
}
