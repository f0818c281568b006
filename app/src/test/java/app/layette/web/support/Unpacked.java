package app.layette.web.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.FileTime;
import java.util.List;

/** The program as it is run: from unpacked libraries, which starts in half the time that the packed jar takes. */
public final class Unpacked {
    private static final Path PACKED = Path.of("target", "layette.jar");
    private static final Path HOME = Path.of("target", "run-by-tests");
    private static final Path JAR = HOME.resolve("layette.jar");

    private Unpacked() {}

    /** Unpacked once a build, by whichever of the machines that run tests comes first. */
    public static Path jar() {
        try (FileChannel channel = FileChannel.open(
                Path.of("target", "run-by-tests.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            // Let go of with the channel.
            channel.lock();
            FileTime made = Files.getLastModifiedTime(PACKED);
            if (!Files.exists(JAR) || Files.getLastModifiedTime(JAR).compareTo(made) < 0) {
                unpack();
                Files.setLastModifiedTime(JAR, made);
            }
            return JAR;
        } catch (IOException e) {
            throw new UncheckedIOException("The application cannot be unpacked", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static void unpack() throws IOException, InterruptedException {
        Process process = new ProcessBuilder(List.of(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Djarmode=tools",
                        "-jar",
                        PACKED.toString(),
                        "extract",
                        "--force",
                        "--destination",
                        HOME.toString()))
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) {
            throw new IOException(said);
        }
    }
}
