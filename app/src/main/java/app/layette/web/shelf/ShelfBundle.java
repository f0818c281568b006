package app.layette.web.shelf;

import app.layette.formats.document.DocumentProblem;
import app.layette.formats.document.RefusedDocumentException;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** Many sheets in one file: a ZIP of their documents, the same bytes each time for the same sheets. */
final class ShelfBundle {
    private static final int MOST_DOCUMENTS = 1000;
    private static final int MOST_BYTES = 40_000_000;
    private static final int LONGEST_DOCUMENT = 2_000_000;
    /** The earliest day that a ZIP can hold: when it was made says nothing about a sheet. */
    private static final LocalDateTime NO_TIME = LocalDateTime.of(1980, 1, 1, 0, 0);

    private ShelfBundle() {}

    /** A document with the name of the file in which it came. */
    record Named(String file, String json) {}

    /** Writes documents by their names. */
    static byte[] write(SortedMap<String, String> documents) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> each : documents.entrySet()) {
                ZipEntry entry = new ZipEntry(each.getKey());
                entry.setTimeLocal(NO_TIME);
                zip.putNextEntry(entry);
                zip.write(each.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /**
     * Reads a file that somebody brought: one document, or a ZIP of them.
     *
     * @throws RefusedDocumentException when it is a ZIP that cannot be read, or holds more than is taken in at once
     */
    static List<Named> read(String file, byte[] content) {
        boolean isZip = content.length > 1 && content[0] == 'P' && content[1] == 'K';
        if (!isZip) {
            return List.of(new Named(file, new String(content, StandardCharsets.UTF_8)));
        }
        List<Named> documents = new ArrayList<>();
        long read = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(content))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.isDirectory()) {
                    continue;
                }
                // A name in a ZIP is only ever said back, never used as a path.
                byte[] document = zip.readNBytes(LONGEST_DOCUMENT + 1);
                read += document.length;
                if (document.length > LONGEST_DOCUMENT || read > MOST_BYTES || documents.size() == MOST_DOCUMENTS) {
                    throw refused(
                            file,
                            documents.size() + " documents, " + read + " bytes",
                            "allowed up to " + MOST_DOCUMENTS + " documents of " + LONGEST_DOCUMENT + " bytes, "
                                    + MOST_BYTES + " bytes together");
                }
                documents.add(new Named(entry.getName(), new String(document, StandardCharsets.UTF_8)));
            }
        } catch (ZipException | IllegalArgumentException e) {
            if (e instanceof RefusedDocumentException refused) {
                throw refused;
            }
            throw refused(file, "a ZIP file that cannot be read", "allowed is a ZIP of sheets or one sheet");
        } catch (IOException e) {
            throw refused(file, "a ZIP file that ends too early", "allowed is a ZIP of sheets or one sheet");
        }
        if (documents.isEmpty()) {
            throw refused(file, "no document in it", "allowed is a ZIP of sheets or one sheet");
        }
        return documents;
    }

    private static RefusedDocumentException refused(String file, String value, String allowed) {
        return new RefusedDocumentException(List.of(new DocumentProblem(file, value, allowed)));
    }
}
