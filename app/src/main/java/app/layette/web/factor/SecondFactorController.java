package app.layette.web.factor;

import app.layette.core.finding.Argument;
import app.layette.formats.svg.QrPicture;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SecondStep;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Users;
import app.layette.web.account.Viewing;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialCreationOptions;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Where somebody sets up, and takes away, what is asked beside the password. Changed only soon after it was typed. */
@Controller
@RequestMapping("/account/second")
class SecondFactorController {
    private static final String OFFERED = "layette.passkeyOffered";
    private static final String BACK = "redirect:/account/second";

    /** A passkey in words. */
    public record Line(String id, String label, String since, String lastUsed) {}

    private final Factors factors;
    private final Passkeys passkeys;
    private final Users users;
    private final PasswordEncoder encoder;
    private final Tries tries;
    private final Viewing viewing;

    SecondFactorController(
            Factors factors, Passkeys passkeys, Users users, PasswordEncoder encoder, Tries tries, Viewing viewing) {
        this.factors = factors;
        this.passkeys = passkeys;
        this.users = users;
        this.encoder = encoder;
        this.tries = tries;
        this.viewing = viewing;
    }

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal SignedIn user, HttpServletRequest request) {
        return page(user, request, "");
    }

    /** The password once more, so that what guards the account can be changed. */
    @PostMapping("/password")
    ModelAndView typed(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String current,
            HttpServletRequest request) {
        String hash = users.findById(user.userId()).orElseThrow().passwordHash();
        Tries.Outcome outcome = tries.of(user.getUsername(), request, () -> encoder.matches(current, hash));
        if (outcome != Tries.Outcome.TAKEN) {
            return refused(
                    user, request, say(user, outcome == Tries.Outcome.WAITS ? "factor.waits" : "factor.passwordWrong"));
        }
        SecondStep.typed(request, viewing.clock());
        return new ModelAndView(BACK);
    }

    @PostMapping("/time-code")
    ModelAndView begin(@AuthenticationPrincipal SignedIn user, HttpServletRequest request) {
        if (!isFresh(request)) {
            return refused(user, request, "");
        }
        factors.begin(user.userId());
        return new ModelAndView(BACK + "#time-code");
    }

    @PostMapping("/time-code/confirm")
    ModelAndView confirm(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            RedirectAttributes after) {
        if (!isFresh(request)) {
            return refused(user, request, "");
        }
        Optional<List<String>> paper = factors.confirm(user, code);
        if (paper.isEmpty()) {
            return refused(
                    user, request, viewing.wording(user).say("factor.codeWrong", Map.of("code", Argument.of(code))));
        }
        SecondStep.pass(request);
        after.addFlashAttribute("paper", paper.get());
        return new ModelAndView(BACK);
    }

    @PostMapping("/time-code/remove")
    ModelAndView remove(@AuthenticationPrincipal SignedIn user, HttpServletRequest request) {
        if (!isFresh(request)) {
            return refused(user, request, "");
        }
        factors.removeTimeCode(user);
        return new ModelAndView(BACK);
    }

    @PostMapping("/paper")
    ModelAndView paper(@AuthenticationPrincipal SignedIn user, HttpServletRequest request, RedirectAttributes after) {
        if (!isFresh(request) || !guarded(user)) {
            return refused(user, request, "");
        }
        after.addFlashAttribute("paper", factors.newRecoveryCodes(user));
        return new ModelAndView(BACK);
    }

    /** What the browser needs to make a passkey. */
    @PostMapping(path = "/passkeys/options", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> offer(Authentication who, HttpServletRequest request) {
        if (!isFresh(request) || !passkeys.areThere()) {
            return ResponseEntity.unprocessableContent().build();
        }
        PublicKeyCredentialCreationOptions offered = passkeys.offer(who);
        request.getSession().setAttribute(OFFERED, offered);
        return ResponseEntity.ok(passkeys.written(offered));
    }

    @PostMapping("/passkeys")
    ResponseEntity<Void> keep(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String label,
            @RequestParam(defaultValue = "") String credential,
            HttpServletRequest request) {
        Object offered = once(request, OFFERED);
        boolean kept = isFresh(request)
                && offered instanceof PublicKeyCredentialCreationOptions options
                && passkeys.keep(options, label, credential);
        if (!kept) {
            return ResponseEntity.unprocessableContent().build();
        }
        factors.passkeyAdded(user);
        SecondStep.pass(request);
        return ResponseEntity.noContent().build();
    }

    @PostMapping("/passkeys/remove")
    ModelAndView removePasskey(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String id,
            HttpServletRequest request) {
        if (!isFresh(request)) {
            return refused(user, request, "");
        }
        factors.removePasskey(user, id);
        return new ModelAndView(BACK);
    }

    /** What was offered counts for one answer. */
    static @Nullable Object once(HttpServletRequest request, String attribute) {
        HttpSession session = request.getSession(false);
        Object kept = session == null ? null : session.getAttribute(attribute);
        if (kept != null) {
            session.removeAttribute(attribute);
        }
        return kept;
    }

    private String say(SignedIn user, String key) {
        return viewing.wording(user).say(key);
    }

    private boolean isFresh(HttpServletRequest request) {
        return SecondStep.isFresh(request, viewing.clock());
    }

    private boolean guarded(SignedIn user) {
        return users.findById(user.userId()).orElseThrow().hasSecondFactor();
    }

    private ModelAndView refused(SignedIn user, HttpServletRequest request, String why) {
        ModelAndView page = page(user, request, why.isEmpty() ? say(user, "factor.passwordFirst") : why);
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    private ModelAndView page(SignedIn user, HttpServletRequest request, String wrong) {
        ZoneId zone = viewing.point(user).zone();
        Wording words = viewing.wording(user);
        ModelAndView page = new ModelAndView("factor/second");
        page.addObject("wrong", wrong);
        page.addObject("name", user.getUsername());
        page.addObject("fresh", isFresh(request));
        page.addObject("guarded", guarded(user));
        page.addObject("timeCode", factors.hasTimeCode(user.userId()));
        page.addObject("paperLeft", factors.recoveryCodesLeft(user.userId()));
        factors.unconfirmed(user.userId()).filter(secret -> isFresh(request)).ifPresent(secret -> {
            page.addObject("secret", TimeCodes.spelled(secret));
            page.addObject(
                    "qr",
                    QrPicture.of(TimeCodes.address(
                            secret, user.getUsername(), viewing.point(user).name())));
        });
        page.addObject("passkeysThere", passkeys.areThere());
        page.addObject(
                "passkeys",
                passkeys.of(user.getUsername()).stream()
                        .map(each -> new Line(
                                each.id(),
                                each.label(),
                                day(each.created(), zone, words),
                                day(each.lastUsed(), zone, words)))
                        .toList());
        return page;
    }

    private static String day(Instant at, ZoneId zone, Wording words) {
        return at == null ? "" : words.say(at.atZone(zone).toLocalDate());
    }
}
