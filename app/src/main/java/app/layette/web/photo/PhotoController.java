package app.layette.web.photo;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import java.io.IOException;
import java.sql.Timestamp;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Takes photographs in, and shows them to those who may see the fitting. */
@Controller
@RequestMapping("/fittings/{id}/photos")
class PhotoController {
    private static final int MOST_OF_A_FITTING = 60;
    private static final List<String> MOMENTS =
            List.of("asFound", "label", "slotBefore", "slotAfter", "level", "asLeft", "other");

    /** A photograph as the page shows it. */
    public record Shown(UUID id, String about, String by) {}

    /** A moment that a photograph may show. */
    public record Moment(String key, String says) {}

    private final Fittings fittings;
    private final Viewing viewing;
    private final JdbcClient jdbc;
    private final TransactionTemplate transactions;

    PhotoController(Fittings fittings, Viewing viewing, JdbcClient jdbc, TransactionTemplate transactions) {
        this.fittings = fittings;
        this.viewing = viewing;
        this.jdbc = jdbc;
        this.transactions = transactions;
    }

    @GetMapping
    String photos(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id, Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("lastSeq", fitting.plan().situation().lastSeq());
        model.addAttribute("open", fitting.plan().state() == app.layette.core.fitting.FittingState.OPEN);
        model.addAttribute(
                "moments",
                MOMENTS.stream()
                        .map(moment -> new Moment(moment, words.say("photo." + moment)))
                        .toList());
        model.addAttribute(
                "photos",
                fitting.plan().situation().history(Fact.PhotoTaken.class).stream()
                        .map(taken -> new Shown(
                                taken.value().photo(),
                                words.say("photo." + taken.value().about()),
                                taken.by().id() + ", " + words.say(taken.on())))
                        .toList());
        return "photo/photos";
    }

    @PostMapping
    String take(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam UUID entry,
            @RequestParam int seen,
            @RequestParam String about,
            @RequestParam MultipartFile photo,
            RedirectAttributes after)
            throws IOException {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        int taken = fitting.plan().situation().history(Fact.PhotoTaken.class).size();
        try {
            if (!MOMENTS.contains(about)) {
                throw new CleanPhoto.RefusedPhotoException("NO_MOMENT");
            }
            if (taken >= MOST_OF_A_FITTING) {
                throw new CleanPhoto.RefusedPhotoException("TOO_MANY");
            }
            keep(id, entry, seen, about, CleanPhoto.of(photo.getBytes()), user);
        } catch (CleanPhoto.RefusedPhotoException e) {
            after.addFlashAttribute("refused", List.of(words.say("photo.refused." + e.getMessage())));
            after.addFlashAttribute("about", about);
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, words));
        }
        return "redirect:/fittings/" + id + "/photos";
    }

    /** Picture and entry, both or neither; sent twice it is one. */
    private void keep(UUID fitting, UUID entry, int seen, String about, CleanPhoto clean, SignedIn user) {
        transactions.executeWithoutResult(status -> {
            Fact fact = new Fact.PhotoTaken("u1", entry, about, clean.sha256());
            fittings.append(
                    fitting,
                    new EntryDraft(entry, seen, null, How.MEASURED, null, fact),
                    user.pointId(),
                    user.author());
            jdbc.sql(
                            "insert into photo (id, fitting_id, at, by_user, width, height, sha256, picture)"
                                    + " values (:id, :fitting, :at, :by, :width, :height, :sha, :picture) on conflict (id) do nothing")
                    .param("id", entry)
                    .param("fitting", fitting)
                    .param("at", Timestamp.from(viewing.clock().instant()))
                    .param("by", user.author().id())
                    .param("width", clean.width())
                    .param("height", clean.height())
                    .param("sha", clean.sha256())
                    .param("picture", clean.jpeg())
                    .update();
        });
    }

    @GetMapping("/{photo}")
    ResponseEntity<byte[]> picture(
            @AuthenticationPrincipal SignedIn user, @PathVariable UUID id, @PathVariable UUID photo) {
        fittings.planned(id, user.pointId());
        Optional<byte[]> picture = jdbc.sql("select picture from photo where id = :photo and fitting_id = :fitting")
                .param("photo", photo)
                .param("fitting", id)
                .query(byte[].class)
                .optional();
        return picture.map(bytes -> ResponseEntity.ok()
                        .contentType(MediaType.IMAGE_JPEG)
                        .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                        .body(bytes))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
