package app.layette.web.handout;

import app.layette.core.finding.Argument;
import app.layette.formats.svg.QrPicture;
import app.layette.formats.wording.Languages;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.due.FollowUpCalendar;
import app.layette.web.fitting.Fittings;
import app.layette.web.shell.Address;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The handout on screen and as a PDF, in each language, and the family's own page. */
@Controller
class HandoutController {
    private final Fittings fittings;
    private final FamilyPages pages;
    private final HandoutPdf pdf;
    private final FollowUpCalendar calendar;
    private final Viewing viewing;

    private final Address address;

    HandoutController(
            Fittings fittings,
            FamilyPages pages,
            HandoutPdf pdf,
            FollowUpCalendar calendar,
            Viewing viewing,
            Address address) {
        this.address = address;
        this.fittings = fittings;
        this.pages = pages;
        this.pdf = pdf;
        this.calendar = calendar;
        this.viewing = viewing;
    }

    @GetMapping("/fittings/{id}/handout")
    String handout(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(required = false) String lang,
            HttpServletRequest request,
            Model model) {
        Wording words = viewing.wording(user, lang);
        HandoutSheet sheet = HandoutSheet.of(fittings.planned(id, user.pointId()), viewing.point(user), words);
        model.addAttribute("id", id);
        model.addAttribute("sheet", sheet);
        speaks(words, model);
        pages.of(user.pointId(), id).ifPresent(page -> show(page, words, request, model));
        return "handout/handout";
    }

    private void show(FamilyPageRow page, Wording words, HttpServletRequest request, Model model) {
        String whole = address(page, request);
        model.addAttribute("pageAddress", whole);
        model.addAttribute("qr", QrPicture.of(whole));
        model.addAttribute("qrSays", words.say("handout.qr", Map.of("until", Argument.of(page.expiresOn()))));
    }

    private String address(FamilyPageRow page, HttpServletRequest request) {
        return address.of("/f/" + page.token(), request);
    }

    @GetMapping(path = "/fittings/{id}/handout.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> pdf(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(required = false) String lang,
            HttpServletRequest request) {
        Wording words = viewing.wording(user, lang);
        HandoutSheet sheet = HandoutSheet.of(fittings.planned(id, user.pointId()), viewing.point(user), words);
        Optional<FamilyPageRow> page = pages.of(user.pointId(), id);
        byte[] document = pdf.of(
                sheet,
                words.language(),
                page.map(each -> QrPicture.of(address(each, request))).orElse(""),
                page.map(each -> words.say("handout.qr", Map.of("until", Argument.of(each.expiresOn()))))
                        .orElse(""));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"handout.pdf\"")
                .body(document);
    }

    /** Makes the family's own page; an earlier one is taken back. */
    @PostMapping("/fittings/{id}/page")
    String makePage(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        fittings.planned(id, user.pointId());
        pages.make(user.pointId(), id, viewing.today(viewing.point(user)));
        return "redirect:/fittings/" + id + "/handout";
    }

    @PostMapping("/fittings/{id}/page/revoke")
    String revokePage(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        fittings.planned(id, user.pointId());
        pages.revoke(user.pointId(), id);
        return "redirect:/fittings/" + id + "/handout";
    }

    /** The family's own page: whoever has the address may read it while it lasts. */
    @GetMapping("/f/{token}")
    String familyPage(
            @PathVariable String token,
            @RequestParam(required = false) String lang,
            Locale locale,
            jakarta.servlet.http.HttpServletResponse response,
            Model model) {
        response.setHeader("X-Robots-Tag", "noindex, nofollow");
        response.setHeader("Referrer-Policy", "no-referrer");
        Optional<FamilyPages.Open> open = pages.open(token);
        Wording words = Viewing.wording(
                lang == null ? locale : Languages.of(lang),
                open.map(FamilyPages.Open::units).orElse(Wording.DEFAULT_UNITS));
        speaks(words, model);
        model.addAttribute("words", words);
        if (open.isEmpty()) {
            response.setStatus(HttpStatus.GONE.value());
            return "handout/gone";
        }
        model.addAttribute("token", token);
        model.addAttribute(
                "sheet", HandoutSheet.of(open.get().fitting(), open.get().point(), words));
        model.addAttribute(
                "until",
                words.say(
                        "handout.yours", Map.of("until", Argument.of(open.get().expiresOn()))));
        return "handout/family";
    }

    /** The dates of the family's own page for their calendar, as long as the page may be read. */
    @GetMapping("/f/{token}/calendar.ics")
    ResponseEntity<String> familyCalendar(
            @PathVariable String token, @RequestParam(required = false) String lang, Locale locale) {
        return pages.open(token)
                .map(open -> ResponseEntity.ok()
                        .contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
                        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"dates.ics\"")
                        .body(calendar.ofFamily(
                                open.point().id(),
                                open.fitting().id(),
                                Viewing.wording(lang == null ? locale : Languages.of(lang), open.units()))))
                .orElseGet(() -> ResponseEntity.status(HttpStatus.GONE).build());
    }

    private static void speaks(Wording words, Model model) {
        model.addAttribute("lang", words.language());
        model.addAttribute("others", Languages.others(words.locale()));
    }
}
