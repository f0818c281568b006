package app.layette.web.factor;

import app.layette.web.account.SecondStep;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialRequestOptions;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The second step of signing in: a time code, a code from paper, or a passkey. */
@Controller
@RequestMapping("/sign-in/code")
class SignInCodeController {
    private static final String ASKED = "layette.passkeyAsked";

    private final Factors factors;
    private final Passkeys passkeys;
    private final Tries tries;
    private final Viewing viewing;

    SignInCodeController(Factors factors, Passkeys passkeys, Tries tries, Viewing viewing) {
        this.viewing = viewing;
        this.factors = factors;
        this.passkeys = passkeys;
        this.tries = tries;
    }

    @GetMapping
    ModelAndView show(@AuthenticationPrincipal SignedIn user) {
        return page(user, "");
    }

    @PostMapping
    ModelAndView take(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request) {
        Tries.Outcome outcome = tries.of(user.getUsername(), request, () -> factors.take(user.userId(), code));
        return switch (outcome) {
            case TAKEN -> {
                SecondStep.pass(request);
                yield new ModelAndView("redirect:/");
            }
            case WRONG -> refused(user, viewing.wording(user).say("factor.codeNotTaken"));
            case WAITS -> refused(user, viewing.wording(user).say("factor.waits"));
        };
    }

    /** What the browser needs to show a passkey. */
    @PostMapping(path = "/passkey/options", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<String> ask(Authentication who, HttpServletRequest request) {
        if (!passkeys.areThere()) {
            return ResponseEntity.unprocessableContent().build();
        }
        PublicKeyCredentialRequestOptions asked = passkeys.ask(who);
        request.getSession().setAttribute(ASKED, asked);
        return ResponseEntity.ok(passkeys.written(asked));
    }

    @PostMapping("/passkey")
    ResponseEntity<Void> prove(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String credential,
            HttpServletRequest request) {
        Object asked = SecondFactorController.once(request, ASKED);
        Tries.Outcome outcome = tries.of(
                user.getUsername(),
                request,
                () -> asked instanceof PublicKeyCredentialRequestOptions options
                        && passkeys.proves(options, credential, user.getUsername()));
        if (outcome != Tries.Outcome.TAKEN) {
            return ResponseEntity.unprocessableContent().build();
        }
        SecondStep.pass(request);
        return ResponseEntity.noContent().build();
    }

    private ModelAndView refused(SignedIn user, String why) {
        ModelAndView page = page(user, why);
        page.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
        return page;
    }

    private ModelAndView page(SignedIn user, String wrong) {
        ModelAndView page = new ModelAndView("factor/code");
        page.addObject("wrong", wrong);
        page.addObject("shown", user.displayName());
        page.addObject(
                "passkey",
                passkeys.areThere() && !passkeys.of(user.getUsername()).isEmpty());
        page.addObject("timeCode", factors.hasTimeCode(user.userId()));
        return page;
    }
}
