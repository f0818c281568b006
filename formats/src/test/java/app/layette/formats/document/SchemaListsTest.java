package app.layette.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Act;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import app.layette.formats.text.CamelCase;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the program can say must be what the published schemas take. */
class SchemaListsTest {
    @ParameterizedTest
    @ValueSource(classes = {Act.class, Misuse.class})
    void everyConstantIsInTheSchemaOfFacts(Class<? extends Enum<?>> kind) throws IOException {
        String schema;
        try (InputStream in = Objects.requireNonNull(
                Schemas.class.getResourceAsStream("/app/layette/formats/schemas/fact.schema.json"))) {
            schema = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        List<String> names =
                Arrays.stream(kind.getEnumConstants()).map(CamelCase::of).toList();
        assertThat(names).allSatisfy(name -> assertThat(schema).contains("\"" + name + "\""));
    }

    /** A schema that is written by the program names each, and a document that names another is told so. */
    @Test
    void questionsAndMethodsAreWrittenFromWhatThereIs() {
        String questions = SchemaTexts.of("question.schema.json").orElseThrow();
        assertThat(Question.values())
                .allSatisfy(each -> assertThat(questions).contains("\"" + CamelCase.of(each.name()) + "\""));
        String methods = SchemaTexts.of("method.schema.json").orElseThrow();
        assertThat(Method.values()).allSatisfy(each -> assertThat(methods).contains("\"" + CamelCase.of(each) + "\""));
        assertThat(SchemaTexts.of("nothing.schema.json")).isEmpty();
    }
}
