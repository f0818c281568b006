package app.layette.web.photo;

import app.layette.core.entry.Area;
import app.layette.core.entry.Fact;
import app.layette.core.fitting.FittingPlan;
import app.layette.formats.record.PhotoWords;
import app.layette.formats.wording.Wording;
import app.layette.web.fitting.FamilyErased;
import app.layette.web.fitting.FittingChanged;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Photographs of a fitting. Each shows a moment of the work, or an area as it was found or left. The record holds the
 * hash of a picture, not the picture: one that was taken by mistake is withdrawn and gone, and the seal still holds.
 */
@Service
public class Photographs {
    private static final String AS_FOUND = "asFound.";
    private static final String AS_LEFT = "asLeft.";
    private static final List<String> MOMENTS =
            List.of("asFound", "label", "slotBefore", "slotAfter", "level", "asLeft", "other");

    /** A photograph as a page shows it. */
    public record Shown(UUID id, String about, String says, String by) {}

    private final JdbcClient jdbc;

    Photographs(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What a photograph may show besides an area. */
    static List<String> moments() {
        return MOMENTS;
    }

    /** The key of an area as it was found. */
    public static String asFound(Area area) {
        return AS_FOUND + area;
    }

    /** The key of an area as it was left. */
    public static String asLeft(Area area) {
        return AS_LEFT + area;
    }

    /** The area that a photograph shows; empty where it shows a moment. */
    static Optional<Area> areaOf(String about) {
        return Arrays.stream(Area.values())
                .filter(area -> about.equals(asFound(area)) || about.equals(asLeft(area)))
                .findFirst();
    }

    static boolean isKnown(String about) {
        return MOMENTS.contains(about) || areaOf(about).isPresent();
    }

    /** The photographs of a fitting in the order in which they were taken, without those that were withdrawn. */
    public List<Shown> of(FittingPlan plan, Wording words) {
        List<Shown> shown = new ArrayList<>();
        plan.situation()
                .history(Fact.PhotoTaken.class)
                .forEach(taken -> shown.add(new Shown(
                        taken.value().photo(),
                        taken.value().about(),
                        PhotoWords.of(taken.value().about(), words),
                        taken.by().id() + ", " + words.say(taken.on()))));
        return shown;
    }

    /** Keeps a picture; one that is there already stays. */
    void keep(UUID point, UUID id, UUID fitting, CleanPhoto clean, String by, Instant at) {
        jdbc.sql(
                        "insert into photo (point_id, id, fitting_id, at, by_user, width, height, sha256, picture)"
                                + " values (:point, :id, :fitting, :at, :by, :width, :height, :sha, :picture) on conflict (point_id, id) do nothing")
                .param("point", point)
                .param("id", id)
                .param("fitting", fitting)
                .param("at", Timestamp.from(at))
                .param("by", by)
                .param("width", clean.width())
                .param("height", clean.height())
                .param("sha", clean.sha256())
                .param("picture", clean.jpeg())
                .update();
    }

    Optional<byte[]> picture(UUID point, UUID fitting, UUID photo) {
        return jdbc.sql("select picture from photo where point_id = :point and id = :photo and fitting_id = :fitting")
                .param("point", point)
                .param("photo", photo)
                .param("fitting", fitting)
                .query(byte[].class)
                .optional();
    }

    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onErased(FamilyErased erased) {
        jdbc.sql("delete from photo where point_id = :point and fitting_id in (:fittings)")
                .param("point", erased.point())
                .param("fittings", erased.fittings())
                .update();
    }

    /** A picture that was taken by mistake is not kept. */
    @EventListener
    @Transactional(propagation = Propagation.MANDATORY)
    public void onChange(FittingChanged changed) {
        if (changed.entry().fact() instanceof Fact.Withdrawn) {
            jdbc.sql("delete from photo where point_id = :point and id = :photo and fitting_id = :fitting")
                    .param("point", changed.point())
                    .param("photo", changed.entry().corrects())
                    .param("fitting", changed.fitting())
                    .update();
        }
    }
}
