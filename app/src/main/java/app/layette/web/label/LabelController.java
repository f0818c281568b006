package app.layette.web.label;

import app.layette.formats.label.LabelValue;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.photo.CleanPhoto;
import java.io.IOException;
import java.util.Base64;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** What a photographed label seems to say, each beside its cut-out. Nothing of it counts before a hand confirmed it. */
@Controller
class LabelController {
    private final LabelReader reader;
    private final Viewing viewing;

    LabelController(LabelReader reader, Viewing viewing) {
        this.reader = reader;
        this.viewing = viewing;
    }

    /**
     * One value that was read, or could not be.
     *
     * @param cutOut a picture of the place, as an address
     */
    public record Row(String of, String name, String value, boolean byCode, String cutOut) {}

    /** @param sheet the sheet that is being written; empty where a form on the page is filled in instead */
    @PostMapping("/labels/read")
    ModelAndView read(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(required = false) MultipartFile photo,
            @RequestParam(defaultValue = "") String sheet,
            Model model)
            throws IOException {
        Wording words = viewing.wording(user);
        model.addAttribute("sheet", sheet);
        model.addAttribute("print", reader.readsPrint());
        try {
            if (photo == null) {
                throw CleanPhoto.refused("EMPTY");
            }
            List<Row> rows = reader.read(user.getUsername(), photo).stream()
                    .filter(each -> sheet.isEmpty() || LabelReader.isOfSheets(each.of()))
                    .map(each -> row(each, words))
                    .toList();
            model.addAttribute("rows", rows);
            return new ModelAndView("label/label :: proposals", model.asMap());
        } catch (CleanPhoto.RefusedPhotoException e) {
            model.addAttribute("refusal", words.say("photo.refused." + e.getMessage()));
            model.addAttribute("rows", List.of());
            return new ModelAndView("label/label :: proposals", model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
    }

    private static Row row(LabelValue value, Wording words) {
        return new Row(
                value.of().name(),
                words.say("label." + value.of()),
                value.value().orElse(""),
                value.byCode(),
                "data:image/png;base64," + Base64.getEncoder().encodeToString(value.cutOut()));
    }
}
