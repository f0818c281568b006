package app.layette.formats.record;

import app.layette.formats.text.Sha256;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.erdtman.jcs.JsonCanonicalizer;

/**
 * The seal over the entries of a fitting: SHA-256 over their documents, as stored, in canonical form (RFC 8785). It does
 * not go through this program's own reading and writing of entries, so that a later version with other fields finds it
 * whole. Names are no part of entries, so a family can be erased without breaking it; what is added later is outside it.
 *
 * @param lastSeq the last entry under it
 * @param sha256 in lower-case hexadecimal
 */
public record Seal(int lastSeq, String sha256) {
    /**
     * Seals entries.
     *
     * @param documents the first entries of a fitting, one JSON document each, in their order without a gap
     */
    public static Seal over(List<String> documents) {
        return new Seal(documents.size(), Sha256.of(canonical(documents)));
    }

    /** Entries as they are sealed: whoever has this file can tell its SHA-256 without this program. */
    public static byte[] canonical(List<String> documents) {
        String array = "[" + String.join(",", documents) + "]";
        try {
            return new JsonCanonicalizer(array.getBytes(StandardCharsets.UTF_8)).getEncodedUTF8();
        } catch (IOException e) {
            throw new UncheckedIOException("The entries cannot be written in canonical form", e);
        }
    }

    /** Whether these entries, and maybe more after them, still begin with the ones that were sealed. */
    public boolean holds(List<String> documents) {
        return documents.size() >= lastSeq
                && over(documents.subList(0, lastSeq)).sha256.equals(sha256);
    }
}
