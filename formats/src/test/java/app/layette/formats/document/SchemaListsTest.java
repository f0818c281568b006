package app.layette.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Act;
import app.layette.core.entry.Method;
import app.layette.core.entry.Misuse;
import app.layette.core.entry.Question;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the program can say must be what the published schemas take. */
class SchemaListsTest {
    @ParameterizedTest
    @ValueSource(classes = {Question.class, Method.class, Act.class, Misuse.class})
    void everyConstantIsInTheSchemaOfFacts(Class<? extends Enum<?>> kind) throws IOException {
        String schema;
        try (InputStream in = Objects.requireNonNull(
                Schemas.class.getResourceAsStream("/app/layette/formats/schemas/fact.schema.json"))) {
            schema = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
        List<String> names = Arrays.stream(kind.getEnumConstants())
                .map(SchemaListsTest::asWritten)
                .toList();
        assertThat(names).allSatisfy(name -> assertThat(schema).contains("\"" + name + "\""));
    }

    private static String asWritten(Enum<?> constant) {
        StringBuilder name = new StringBuilder();
        for (String word : constant.name().toLowerCase(Locale.ROOT).split("_")) {
            name.append(name.isEmpty() ? word : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1));
        }
        return name.toString();
    }
}
