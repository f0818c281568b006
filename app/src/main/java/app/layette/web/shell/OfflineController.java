package app.layette.web.shell;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The page that a browser keeps for where there is no signal and nothing else was kept. */
@Controller
class OfflineController {
    @GetMapping("/offline")
    String offline() {
        return "offline";
    }
}
