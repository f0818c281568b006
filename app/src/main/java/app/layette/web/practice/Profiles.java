package app.layette.web.practice;

import app.layette.core.practice.PracticeProfile;
import app.layette.formats.document.Schemas;
import app.layette.formats.document.SheetReader;
import app.layette.formats.document.ShippedProfiles;
import app.layette.web.account.Point;
import app.layette.web.trail.Trail;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;

/** The practice profiles of fitting points. */
@Service
public class Profiles {
    private final ProfileRows rows;
    private final Map<ProfileRow.Key, PracticeProfile> parsed = new ConcurrentHashMap<>();

    private final Clock clock;
    private final Trail trail;

    Profiles(ProfileRows rows, Clock clock, Trail trail) {
        this.rows = rows;
        this.clock = clock;
        this.trail = trail;
    }

    /** The version of the point's profile that a new fitting takes; shipped ones are taken in when first needed. */
    @Transactional
    public PracticeProfile current(Point point) {
        LocalDate today = LocalDate.now(clock.withZone(point.zone()));
        return rows.versions(point.id(), point.profileId()).stream()
                .filter(row -> row.isInForce(today))
                .findFirst()
                .map(row -> SheetReader.profile(row.document()))
                .orElseGet(() -> takeIn(point.id(), point.profileId()));
    }

    /** The version that a fitting keeps. */
    @Transactional(readOnly = true)
    public PracticeProfile version(UUID point, String id, int version) {
        return parsed.computeIfAbsent(
                new ProfileRow.Key(point, id, version),
                key -> rows.findById(key)
                        .map(row -> SheetReader.profile(row.document()))
                        .orElseThrow(
                                () -> new IllegalStateException("The profile " + id + " " + version + " is missing")));
    }

    /** The document of the version that a new fitting takes. */
    @Transactional
    public String document(Point point) {
        PracticeProfile profile = current(point);
        return rows.findById(new ProfileRow.Key(point.id(), profile.id(), profile.version()))
                .orElseThrow()
                .document();
    }

    /** A version that is in force from a later day; empty where none waits. */
    @Transactional(readOnly = true)
    public Optional<PracticeProfile> waiting(Point point) {
        LocalDate today = LocalDate.now(clock.withZone(point.zone()));
        return rows.versions(point.id(), point.profileId()).stream()
                .findFirst()
                .filter(row -> !row.isInForce(today))
                .map(row -> SheetReader.profile(row.document()));
    }

    /**
     * Puts a version of the point's own in force. Fittings that began keep theirs.
     *
     * @param json the document; its id and version are given here
     * @param from the first day on which new fittings take it, today or later
     * @return its version
     * @throws app.layette.formats.document.RefusedDocumentException when it breaks its schema
     */
    @Transactional
    public int putInForce(Point point, String json, LocalDate from, String by) {
        int version = rows.versions(point.id(), point.profileId()).stream()
                        .mapToInt(row -> row.key().version())
                        .max()
                        .orElse(1)
                + 1;
        ObjectNode document = (ObjectNode) Schemas.parse(json);
        document.put("id", point.profileId()).put("version", version);
        SheetReader.profile(document.toString());
        rows.save(
                new ProfileRow(new ProfileRow.Key(point.id(), point.profileId(), version), document.toString(), from));
        trail.add(point.id(), by, Trail.What.PRACTICE_CHANGED, point.profileId() + " " + version + " " + from);
        return version;
    }

    private PracticeProfile takeIn(UUID point, String id) {
        String json = ShippedProfiles.json(id);
        PracticeProfile profile = SheetReader.profile(json);
        rows.save(new ProfileRow(new ProfileRow.Key(point, id, profile.version()), json, null));
        return profile;
    }
}
