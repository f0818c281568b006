package app.layette.formats.document;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** The practice profiles that come with the program. */
public final class ShippedProfiles {
    public static final List<String> IDS =
            List.of("north-american-clinic", "european-i-size-point", "hospital-discharge-cautious");

    private ShippedProfiles() {}

    /**
     * The document of a shipped profile.
     *
     * @throws RefusedDocumentException when there is none of this name
     */
    public static String json(String id) {
        if (!IDS.contains(id)) {
            throw RefusedDocumentException.because("/practice", id, "allowed " + IDS);
        }
        String path = "/app/layette/formats/profiles/" + id + ".json";
        try (InputStream in = ShippedProfiles.class.getResourceAsStream(path)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("The profile " + id + " cannot be read", e);
        }
    }
}
