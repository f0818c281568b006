package app.layette.web.account;

import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

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

    @PostMapping("/account/units")
    String units(@AuthenticationPrincipal SignedIn user, @RequestParam(defaultValue = "/") String back) {
        viewing.switchUnits(user);
        boolean withinSite = back.startsWith("/") && !back.startsWith("//") && !back.contains("\\");
        return "redirect:" + (withinSite ? back : "/");
    }
}
