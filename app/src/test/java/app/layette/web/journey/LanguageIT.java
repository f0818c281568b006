package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.EnglishLeft;
import app.layette.web.support.RunningApp;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Everything in the language that somebody chose; a whole fitting in Spanish is {@link WalkInIT}'s. */
class LanguageIT {
    private static final String[] PAGES = {
        "/",
        "/fittings/new",
        "/shelf",
        "/rolls",
        "/cars",
        "/quick",
        "/due",
        "/class",
        "/bench",
        "/ledger",
        "/rules",
        "/rules/HAR-8",
        "/people",
        "/account",
        "/account/second",
        "/point",
        "/trail",
        "/mailbox",
    };
    private static final String[] OF_A_FITTING = {
        "",
        "?step=CHILD",
        "?step=FITS",
        "?step=PLACE&view=cabin",
        "?step=DEVICE&view=side",
        "?step=THREAD&view=harness",
        "?step=LEVEL_CHILD",
        "?view=timeline",
        "?step=HAND_OVER",
        "/as-found?area=HARNESS",
        "/record",
        "/photos",
        "/trip?driving=3%20h",
        "/rethread",
        "/restraints",
        "/riders",
        "/handout"
    };

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private final EnglishLeft english = new EnglishLeft(Locale.forLanguageTag("es"));

    @Test
    void noEnglishSentenceIsOnASpanishPage() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ilse").click(".tools [name=language][value=es]");
            assertThat(desk.page().getAttribute("html", "lang")).isEqualTo("es");
            assertThat((Integer) desk.page().evaluate("document.querySelector('header.frame').offsetHeight"))
                    .as("the head takes one line, as in English")
                    .isLessThan(60);
            Map<String, List<String>> left = new LinkedHashMap<>();
            for (String page : PAGES) {
                looks(desk.open(page), page, left);
            }
            for (String child : new String[] {"Tamsin", "Halvard", "Bramwell"}) {
                desk.open("/").click("text=" + child);
                String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
                for (String page : OF_A_FITTING) {
                    looks(desk.open(fitting + page), child + page, left);
                }
            }
            assertThat(left).isEmpty();
            desk.isQuiet();
        }
    }

    @Test
    void itStaysWithThePersonAndIsSwitchedBack() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("tove").click(".tools [name=language][value=es]");
            assertThat(desk.page().textContent("nav[aria-label]")).contains("Hoy", "Pendientes");
        }
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("tove");
            assertThat(desk.page().getAttribute("html", "lang")).isEqualTo("es");
            desk.click("text=Tamsin");
            assertThat(desk.page().textContent("#head")).contains("Lista para entregar", "6 lb 8 oz");
            desk.click(".tools form[action*=units] button");
            assertThat(desk.page().textContent("#head")).contains("2,95 kg");
            desk.click(".tools [name=language][value=en]");
            assertThat(desk.page().textContent("#head")).contains("Ready to hand over", "2.95 kg");
        }
    }

    private void looks(Desk desk, String page, Map<String, List<String>> left) {
        desk.page().waitForLoadState();
        List<String> here = english.on(desk.page());
        if (!here.isEmpty()) {
            left.put(page, here);
        }
        desk.fitsItsWidth(page);
    }
}
