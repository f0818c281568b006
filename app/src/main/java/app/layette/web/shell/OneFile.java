package app.layette.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.web.servlet.resource.ResourceResolver;
import org.springframework.web.servlet.resource.ResourceResolverChain;

/**
 * All styles, or all scripts, as one file, in the order of the list that stands beside them ({@code all.txt}): a page asks
 * once for what would be twenty files, which is much where the signal is weak (decision 88).
 */
final class OneFile implements ResourceResolver {
    private static final String LIST = "all.txt";

    private final String folder;
    private final String name;
    private final Resource whole;

    private OneFile(String folder, UnaryOperator<String> each) {
        this.folder = folder;
        this.name = "all." + folder;
        byte[] text = names(folder).stream()
                .map(file -> each.apply(read(folder, file)))
                .collect(Collectors.joining("\n"))
                .getBytes(StandardCharsets.UTF_8);
        this.whole = new Whole(name, text);
    }

    /** Every style sheet, one after the other. */
    static OneFile ofStyles() {
        return new OneFile("css", UnaryOperator.identity());
    }

    /** Every script, one after the other; what one of them fails at keeps none of the others from its work. */
    static OneFile ofScripts() {
        return new OneFile(
                "js", script -> "try {\n" + script + "\n} catch (error) { setTimeout(() => { throw error; }); }");
    }

    /** The files of a folder in their order. */
    static List<String> names(String folder) {
        return read(folder, LIST).lines().filter(line -> !line.isBlank()).toList();
    }

    /** Where its files are, and it among them. */
    String folder() {
        return folder;
    }

    private static String read(String folder, String file) {
        String path = "static/" + folder + "/" + file;
        try {
            return new ClassPathResource(path).getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(path + " cannot be read", e);
        }
    }

    @Override
    public @Nullable Resource resolveResource(
            @Nullable HttpServletRequest request,
            String path,
            List<? extends Resource> locations,
            ResourceResolverChain chain) {
        return path.equals(name) ? whole : chain.resolveResource(request, path, locations);
    }

    @Override
    public @Nullable String resolveUrlPath(
            String path, List<? extends Resource> locations, ResourceResolverChain chain) {
        return path.equals(name) ? name : chain.resolveUrlPath(path, locations);
    }

    /** It is as old as this process: what tells one from another is the print in its address. */
    private static final class Whole extends ByteArrayResource {
        private final String name;
        private final long made = Instant.now().toEpochMilli();

        Whole(String name, byte[] text) {
            super(text);
            this.name = name;
        }

        @Override
        public String getFilename() {
            return name;
        }

        @Override
        public long lastModified() {
            return made;
        }
    }
}
