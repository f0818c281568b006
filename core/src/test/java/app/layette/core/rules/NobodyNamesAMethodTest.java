package app.layette.core.rules;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Method;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * The program asks what a method is, and never which: so that another method is its constant and its words. The practice
 * bench's made-up scenes and the made-up families are of single methods, and say so.
 */
class NobodyNamesAMethodTest {
    private static final List<String> OF_SINGLE_METHODS = List.of("/bench/", "/demo/", "/Method.java");

    @Test
    void noSourceNamesOne() throws IOException {
        String names = Arrays.stream(Method.values()).map(Enum::name).collect(Collectors.joining("|"));
        Pattern named = Pattern.compile("\\bMethod\\.(?:" + names + ")\\b|\\bcase (?:[A-Z_, ]*\\b)?(?:"
                + names.replace("CAR_BED|LAY_FLAT", "BASE_BELT") + ")\\b");
        List<String> found = new ArrayList<>();
        for (String module : List.of("core", "formats", "app", "cli")) {
            for (Path source : sources(Path.of("..", module, "src", "main", "java"))) {
                String path = source.toString().replace('\\', '/');
                if (OF_SINGLE_METHODS.stream().noneMatch(path::contains)
                        && named.matcher(Files.readString(source)).find()) {
                    found.add(path);
                }
            }
        }
        assertThat(found).isEmpty();
    }

    private static List<Path> sources(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.filter(file -> file.toString().endsWith(".java")).toList();
        }
    }
}
