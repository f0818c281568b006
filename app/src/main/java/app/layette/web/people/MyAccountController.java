package app.layette.web.people;

import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** One's own password and open sessions, and the page behind a link for a new password. */
@Controller
class MyAccountController {

    private final Passwords passwords;
    private final Sessions sessions;
    private final Viewing viewing;
    private final SafeKeys keys;
    private final Duration idle;
    private final Duration longest;

    MyAccountController(
            Passwords passwords,
            Sessions sessions,
            Viewing viewing,
            SafeKeys keys,
            @Value("${spring.session.timeout:2h}") Duration idle,
            @Value("${layette.session.longest:12h}") Duration longest) {
        this.keys = keys;
        this.idle = idle;
        this.longest = longest;
        this.passwords = passwords;
        this.sessions = sessions;
        this.viewing = viewing;
    }

    /** A session in words. */
    public record Line(UUID key, String since, String lastUsed, boolean here) {}

    @GetMapping("/account")
    ModelAndView mine(@AuthenticationPrincipal SignedIn user, HttpServletRequest request) {
        return page(user, request, Optional.empty());
    }

    /** The key with which this browser seals what waits in it. */
    @GetMapping(path = "/account/safe-key", produces = MediaType.TEXT_PLAIN_VALUE)
    @ResponseBody
    String safeKey(@AuthenticationPrincipal SignedIn user) {
        return keys.of(user.userId());
    }

    @PostMapping("/account/password")
    ModelAndView password(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String current,
            @RequestParam(defaultValue = "") String fresh,
            HttpServletRequest request) {
        Optional<String> refused = passwords.change(user, current, fresh);
        if (refused.isPresent()) {
            ModelAndView page = page(user, request, refused);
            page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
            return page;
        }
        // The old password is of no more use anywhere, here neither.
        Optional.ofNullable(request.getSession(false)).ifPresent(HttpSession::invalidate);
        return new ModelAndView("redirect:/sign-in?changed");
    }

    @PostMapping("/account/sessions/{key}/end")
    String end(@AuthenticationPrincipal SignedIn user, @PathVariable UUID key, RedirectAttributes after) {
        sessions.end(user.getUsername(), key);
        after.addFlashAttribute("said", viewing.wording(user).say("account.sessionOver"));
        return "redirect:/account";
    }

    @PostMapping("/account/sessions/end")
    String endOthers(@AuthenticationPrincipal SignedIn user, HttpServletRequest request, RedirectAttributes after) {
        sessions.endOthers(user.getUsername(), here(request));
        after.addFlashAttribute("said", viewing.wording(user).say("account.othersOver"));
        return "redirect:/account";
    }

    @GetMapping("/password/{token}")
    ModelAndView link(@PathVariable String token, Locale locale) {
        return linked(token, "", locale);
    }

    @PostMapping("/password/{token}")
    ModelAndView setByLink(@PathVariable String token, @RequestParam(defaultValue = "") String fresh, Locale locale) {
        return passwords
                .setBy(token, fresh)
                .map(reason -> {
                    ModelAndView page = linked(token, reason, locale);
                    page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
                    return page;
                })
                .orElseGet(() -> new ModelAndView("redirect:/sign-in?changed"));
    }

    private ModelAndView linked(String token, String reason, Locale locale) {
        Optional<String> name = passwords.nameBehind(token);
        ModelAndView page =
                new ModelAndView("people/password", name.isPresent() ? HttpStatus.OK : HttpStatus.NOT_FOUND);
        page.addObject("name", name.orElse(""));
        page.addObject(
                "wrong",
                reason.isEmpty()
                        ? ""
                        : Viewing.wording(locale, Wording.DEFAULT_UNITS).say("password." + reason));
        return page;
    }

    private ModelAndView page(SignedIn user, HttpServletRequest request, Optional<String> refused) {
        ZoneId zone = viewing.point(user).zone();
        Wording words = viewing.wording(user);
        ModelAndView page = new ModelAndView("people/account");
        page.addObject("name", user.getUsername());
        page.addObject("shown", user.displayName());
        page.addObject("over", user.isCertificateOver());
        page.addObject("leads", user.isLead());
        page.addObject("idle", spoken(idle));
        page.addObject("longest", spoken(longest));
        page.addObject(
                "wrong", refused.map(reason -> words.say("password." + reason)).orElse(""));
        page.addObject(
                "sessions",
                sessions.of(user.getUsername(), here(request)).stream()
                        .map(each -> new Line(
                                each.key(),
                                words.recent(each.since().atZone(zone)),
                                words.recent(each.lastUsed().atZone(zone)),
                                each.here()))
                        .toList());
        return page;
    }

    private static String spoken(Duration time) {
        return time.toMinutesPart() == 0 ? time.toHours() + " h" : time.toMinutes() + " min";
    }

    private static String here(HttpServletRequest request) {
        return Optional.ofNullable(request.getSession(false))
                .map(HttpSession::getId)
                .orElse("");
    }
}
