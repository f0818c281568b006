package app.layette.web.account;

import app.layette.formats.wording.Languages;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;

/** The sign-in page, and the choice of units. */
@Controller
class AccountController {
    private final Viewing viewing;

    AccountController(Viewing viewing) {
        this.viewing = viewing;
    }

    @GetMapping("/sign-in")
    String signIn() {
        return "account/sign-in";
    }

    /** The token that forms need, for a page that outlived its session. */
    @GetMapping(path = "/account/token", produces = MediaType.TEXT_PLAIN_VALUE)
    @ResponseBody
    String token(CsrfToken token) {
        return token.getToken();
    }

    /** Reads in another language from now on; one that nothing is said in is refused. */
    @PostMapping("/account/language")
    String language(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam String language,
            @RequestParam(defaultValue = "/") String back) {
        viewing.read(
                user, Languages.known(language).orElseThrow(() -> new ResponseStatusException(HttpStatus.BAD_REQUEST)));
        return "redirect:" + here(back);
    }

    @PostMapping("/account/units")
    String units(@AuthenticationPrincipal SignedIn user, @RequestParam(defaultValue = "/") String back) {
        viewing.switchUnits(user);
        return "redirect:" + here(back);
    }

    /** Never to another site. */
    private static String here(String back) {
        boolean withinSite = back.startsWith("/") && !back.startsWith("//") && !back.contains("\\");
        return withinSite ? back : "/";
    }
}
