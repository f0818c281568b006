package app.layette.web.practice;

import app.layette.core.practice.PracticeProfile;
import app.layette.formats.document.SheetReader;
import app.layette.formats.document.ShippedProfiles;
import app.layette.web.account.Point;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The practice profiles of fitting points. */
@Service
public class Profiles {
    private final ProfileRows rows;
    private final Map<ProfileRow.Key, PracticeProfile> parsed = new ConcurrentHashMap<>();

    Profiles(ProfileRows rows) {
        this.rows = rows;
    }

    /** The version of the point's profile that a new fitting takes; shipped ones are taken in when first needed. */
    @Transactional
    public PracticeProfile current(Point point) {
        return rows.versions(point.id(), point.profileId()).stream()
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

    private PracticeProfile takeIn(UUID point, String id) {
        String json = ShippedProfiles.json(id);
        PracticeProfile profile = SheetReader.profile(json);
        rows.save(new ProfileRow(new ProfileRow.Key(point, id, profile.version()), json));
        return profile;
    }
}
