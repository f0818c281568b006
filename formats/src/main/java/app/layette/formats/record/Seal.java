package app.layette.formats.record;

import app.layette.core.entry.Entry;
import app.layette.formats.json.LayetteJson;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import org.erdtman.jcs.JsonCanonicalizer;

/**
 * The seal over the entries of a fitting: SHA-256 over their JSON in canonical form (RFC 8785). Names are no part of
 * entries, so a family can be erased without breaking it; what is added later is outside it.
 *
 * @param lastSeq the last entry under it
 * @param sha256 in lower-case hexadecimal
 */
public record Seal(int lastSeq, String sha256) {
    /** Seals all entries up to a place. */
    public static Seal over(List<Entry> entries, int lastSeq) {
        List<Entry> sealed =
                entries.stream().filter(entry -> entry.seq() <= lastSeq).toList();
        return new Seal(lastSeq, sha256(LayetteJson.strict().writeValueAsString(sealed)));
    }

    /** Whether these entries are still the ones that were sealed. */
    public boolean holds(List<Entry> entries) {
        return over(entries, lastSeq).sha256.equals(sha256);
    }

    private static String sha256(String json) {
        try {
            byte[] canonical = new JsonCanonicalizer(json).getEncodedUTF8();
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(canonical));
        } catch (IOException e) {
            throw new UncheckedIOException("The entries cannot be sealed", e);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("This Java has no SHA-256", e);
        }
    }
}
