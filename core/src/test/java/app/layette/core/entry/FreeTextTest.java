package app.layette.core.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Set;
import org.junit.jupiter.api.Test;

class FreeTextTest {
    /** Texts that name a thing of a seat, a car or a paper, never a person. */
    private static final Set<String> NAMES_OF_THINGS = Set.of(
            "of",
            "model",
            "answer",
            "says",
            "piece",
            "loop",
            "step",
            "about",
            "sha256",
            "restraint",
            "name",
            "page",
            "key",
            "id",
            "maker",
            "part",
            "source",
            "rider",
            "sheet",
            "unit",
            "seatOf");

    /** A new kind of entry with words in it has to say whether a hand writes them freely. */
    @Test
    void everyTextOfAnEntryIsEitherFreeOrTheNameOfAThing() {
        for (Class<?> kind : Fact.class.getPermittedSubclasses()) {
            for (RecordComponent component : kind.getRecordComponents()) {
                boolean free = FreeText.fields(kind.asSubclass(Fact.class)).contains(component.getName());
                boolean named = NAMES_OF_THINGS.contains(component.getName());
                assertThat(component.getType() != String.class || free || named)
                        .as("%s.%s", kind.getSimpleName(), component.getName())
                        .isTrue();
            }
        }
    }

    @Test
    void whatIsWrittenIsFoundByItsField() {
        assertThat(FreeText.of(new Fact.Ended(UnitId.FIRST, Fact.Ending.NOT_FITTED, "said", " ", "told")))
                .containsExactly(java.util.Map.entry("said", "said"), java.util.Map.entry("told", "told"));
        assertThat(FreeText.of(new Fact.Countersigned(UnitId.FIRST))).isEmpty();
        assertThat(Arrays.asList(Fact.class.getPermittedSubclasses()))
                .as("free words are where somebody can write")
                .contains(Fact.Noted.class, Fact.Ordered.class);
    }
}
