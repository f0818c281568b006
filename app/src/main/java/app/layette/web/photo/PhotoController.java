package app.layette.web.photo;

import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryForm;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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

    /** A moment that a photograph may show. */
    public record Moment(String key, String says) {}

    private final Fittings fittings;
    private final Photographs photographs;
    private final Viewing viewing;
    private final Darkroom darkroom;
    private final TransactionTemplate transactions;

    PhotoController(
            Fittings fittings,
            Photographs photographs,
            Viewing viewing,
            Darkroom darkroom,
            TransactionTemplate transactions) {
        this.darkroom = darkroom;
        this.fittings = fittings;
        this.photographs = photographs;
        this.viewing = viewing;
        this.transactions = transactions;
    }

    @GetMapping
    String photos(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id, Model model) {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        boolean open = fitting.plan().state().isUnderWay();
        model.addAttribute("id", id);
        model.addAttribute("child", fitting.childName());
        model.addAttribute("lastSeq", fitting.plan().situation().lastSeq());
        model.addAttribute("open", open);
        model.addAttribute(
                "moments",
                Photographs.moments().stream()
                        .filter(moment -> open || !moment.equals("asFound"))
                        .map(moment -> new Moment(moment, words.say("photo." + moment)))
                        .toList());
        model.addAttribute("photos", photographs.of(fitting.plan(), words));
        return "photo/photos";
    }

    /** Takes one in. What shows an area was taken on the walk round the seat, and leads back there. */
    @PostMapping
    String take(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam String about,
            @RequestParam MultipartFile photo,
            @RequestParam Map<String, String> fields,
            RedirectAttributes after)
            throws IOException {
        Fittings.Planned fitting = fittings.planned(id, user.pointId());
        Wording words = viewing.wording(user);
        int taken = fitting.plan().situation().history(Fact.PhotoTaken.class).size();
        try {
            if (!Photographs.isKnown(about)) {
                throw new CleanPhoto.RefusedPhotoException("NO_MOMENT");
            }
            if (!fitting.plan().state().isUnderWay() && about.startsWith("asFound")) {
                throw new CleanPhoto.RefusedPhotoException("TOO_LATE");
            }
            if (taken >= MOST_OF_A_FITTING) {
                throw new CleanPhoto.RefusedPhotoException("TOO_MANY");
            }
            keep(id, new EntryForm(fields, viewing.clock()), about, darkroom.develop(user.getUsername(), photo), user);
        } catch (CleanPhoto.RefusedPhotoException e) {
            after.addFlashAttribute("refused", List.of(words.say("photo.refused." + e.getMessage())));
            after.addFlashAttribute("about", about);
        } catch (RefusedEntryException e) {
            after.addFlashAttribute("refused", Fittings.say(e, words));
            after.addFlashAttribute("about", about);
        }
        return Photographs.areaOf(about)
                .map(area -> "redirect:/fittings/" + id + "/as-found?area=" + area + "#area")
                .orElse("redirect:/fittings/" + id + "/photos");
    }

    /** Picture and entry, both or neither; sent twice it is one. */
    private void keep(UUID fitting, EntryForm form, String about, CleanPhoto clean, SignedIn user) {
        UUID entry = form.id();
        transactions.executeWithoutResult(status -> {
            Fact fact = new Fact.PhotoTaken(fittings.unit(fitting, user.pointId()), entry, about, clean.sha256());
            Fittings.Appended appended =
                    fittings.append(fitting, form.draft(fact, How.MEASURED), user.pointId(), user.author());
            // One that came before is there, or it was taken back or erased since: gone is gone.
            if (appended.isNew()) {
                photographs.keep(
                        user.pointId(),
                        entry,
                        fitting,
                        clean,
                        user.author().id(),
                        viewing.clock().instant());
            }
        });
    }

    @GetMapping("/{photo}")
    ResponseEntity<byte[]> picture(
            @AuthenticationPrincipal SignedIn user, @PathVariable UUID id, @PathVariable UUID photo) {
        fittings.planned(id, user.pointId());
        Optional<byte[]> picture = photographs.picture(user.pointId(), id, photo);
        return picture.map(bytes -> ResponseEntity.ok()
                        .contentType(MediaType.IMAGE_JPEG)
                        .cacheControl(CacheControl.maxAge(Duration.ofDays(1)).cachePrivate())
                        .body(bytes))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }
}
