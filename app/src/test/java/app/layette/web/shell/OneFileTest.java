package app.layette.web.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.core.io.Resource;
import org.springframework.web.servlet.resource.ResourceResolverChain;

/** What every page asks for once: nothing is missing in it, and nothing is there twice. */
class OneFileTest {
    private static final Path STATIC = Path.of("src/main/resources/static");

    @ParameterizedTest
    @ValueSource(strings = {"css", "js"})
    void theListNamesEveryFileOnce(String folder) throws IOException {
        try (Stream<Path> files = Files.list(STATIC.resolve(folder))) {
            assertThat(OneFile.names(folder))
                    .containsExactlyInAnyOrderElementsOf(
                            files.map(each -> each.getFileName().toString())
                                    .filter(each -> each.endsWith("." + folder))
                                    .toList());
        }
    }

    @Test
    void theStylesStandInTheirOrderAndWhole() throws IOException {
        String whole = text(OneFile.ofStyles());
        int from = 0;
        for (String name : OneFile.names("css")) {
            int at = whole.indexOf(Files.readString(STATIC.resolve("css").resolve(name)), from);
            assertThat(at).as(name).isNotNegative();
            from = at;
        }
    }

    @Test
    void oneScriptThatFailsKeepsNoOtherFromItsWork() {
        assertThat(text(OneFile.ofScripts()).split("\\} catch \\(error\\) \\{ setTimeout"))
                .hasSize(OneFile.names("js").size() + 1);
    }

    private static String text(OneFile file) {
        Resource whole =
                file.resolveResource(null, "all." + file.folder(), List.of(), mock(ResourceResolverChain.class));
        try {
            return whole.getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }
}
