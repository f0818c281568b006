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
import java.util.function.Supplier;

/** The program as it is run: from unpacked libraries, which starts in half the time that the packed jar takes. */
public final class Unpacked {
    private static final Path PACKED = Path.of("target", "layette.jar");
    private static final Path HOME = Path.of("target", "run-by-tests").toAbsolutePath();
    private static final Path JAR = HOME.resolve("layette.jar");
    private static final Path CLASS_DATA = HOME.resolve("layette.jsa");

    private Unpacked() {}

    /** Unpacked once a build, by whichever of the machines that run tests comes first. */
    public static Path jar() {
        return oneAtATime("unpacking", () -> {
            try {
                FileTime made = madeAt();
                if (!Files.exists(JAR) || Files.getLastModifiedTime(JAR).compareTo(made) < 0) {
                    Files.deleteIfExists(CLASS_DATA);
                    unpack();
                    Files.setLastModifiedTime(JAR, made);
                }
                return JAR;
            } catch (IOException e) {
                throw new UncheckedIOException("The application cannot be unpacked", e);
            }
        });
    }

    /** When this build was made: what was kept of another is of no use. */
    static FileTime madeAt() {
        try {
            return Files.getLastModifiedTime(PACKED);
        } catch (IOException e) {
            throw new UncheckedIOException("The application is not built", e);
        }
    }

    /** Does it while none of the other machines that run tests does the same. */
    static <T> T oneAtATime(String what, Supplier<T> work) {
        try (FileChannel channel = FileChannel.open(
                Path.of("target", what + ".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            // Let go of with the channel.
            channel.lock();
            return work.get();
        } catch (IOException e) {
            throw new UncheckedIOException("The lock for " + what + " cannot be had", e);
        }
    }

    /** With this the program starts in half the time: its classes as the first start of this build left them. */
    public static List<String> startsQuicker() {
        return Files.exists(CLASS_DATA)
                ? List.of("-XX:SharedArchiveFile=" + CLASS_DATA)
                : List.of("-XX:+RecordDynamicDumpInfo");
    }

    /** Keeps the classes of a program that runs, for the starts that follow; without them these only take longer. */
    static void keepClasses(Process running) {
        if (!Files.exists(CLASS_DATA)) {
            try {
                new ProcessBuilder(List.of(
                                java("jcmd"),
                                String.valueOf(running.pid()),
                                "VM.cds",
                                "dynamic_dump",
                                CLASS_DATA.toString()))
                        .inheritIO()
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start()
                        .waitFor();
            } catch (IOException e) {
                System.out.println("Without kept classes each start takes longer: " + e.getMessage());
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }

    /** A program of the Java that runs this. */
    public static String java(String program) {
        return Path.of(System.getProperty("java.home"), "bin", program).toString();
    }

    private static void unpack() throws IOException {
        Process process = new ProcessBuilder(List.of(
                        java("java"),
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
        if (process.onExit().join().exitValue() != 0) {
            throw new IOException(said);
        }
    }
}
