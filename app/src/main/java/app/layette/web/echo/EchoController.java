package app.layette.web.echo;

import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.util.HashMap;
import java.util.Map;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.util.HtmlUtils;

/** Says a field back while it is typed. */
@Controller
class EchoController {
    private static final String HERE = "here";

    private final Viewing viewing;

    EchoController(Viewing viewing) {
        this.viewing = viewing;
    }

    /**
     * What was understood of one field.
     *
     * @param field its name
     * @param as kind of fact it will be part of; {@code here} where the form says that itself
     */
    @GetMapping("/echo")
    @ResponseBody
    String echo(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam String field,
            @RequestParam(defaultValue = HERE) String as,
            @RequestParam Map<String, String> fields) {
        Map<String, String> read = new HashMap<>(fields);
        if (!as.equals(HERE)) {
            read.put("kind", as);
            read.putIfAbsent("what", "BODY");
        }
        // The quick ride calls the child's weight so.
        if (field.equals("weight")) {
            read.put("kind", "weighed");
            read.put("mass", fields.getOrDefault("weight", ""));
        }
        Echo echo = new Echo(viewing.wording(user), viewing.today(viewing.point(user)));
        Echo.Said said = echo.of(read, field.equals("weight") ? "mass" : field);
        String text = HtmlUtils.htmlEscape(said.text());
        return said.understood() ? text : "<span class=\"not-read\">" + text + "</span>";
    }
}
