package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.Paper;
import app.layette.web.support.RunningApp;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What families and classes take home on paper. */
class PaperIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    /** Points. */
    private static final double LETTER_WIDTH = 612;

    /** One or two pages whatever the method, the language and the length of the list. */
    @Test
    void everyFamilysHandoutIsOneOrTwoPages() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            List<String> fittings = desk.page().locator("tbody a").all().stream()
                    .map(link -> link.getAttribute("href"))
                    .toList();
            assertThat(fittings).hasSizeGreaterThan(15);
            for (String fitting : fittings) {
                for (String language : List.of("en", "es")) {
                    String path = fitting.replaceAll("[?].*", "") + "/handout.pdf?lang=" + language;
                    Paper paper = Paper.of(desk, app.address() + path);
                    assertThat(paper.pages()).as(path).isBetween(1, 2);
                    assertThat(paper.width())
                            .as("Letter, by the law of the fitting point")
                            .isEqualTo(LETTER_WIDTH);
                    assertThat(paper.text()).as(path).doesNotContain("handout.", "date.", "{", "null");
                }
            }
        }
    }

    /** Everything a family reads is in its language, the words that only the sheet has included; no green where it is not done. */
    @Test
    void theFridgePageSpeaksTheFamilysLanguageAndSaysWhatIsStillWrong() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Ottilie");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.open(fitting + "/handout?lang=es");
            String spanish = desk.page().textContent("main").replaceAll("\\s+", " ");
            assertThat(spanish)
                    .contains(
                            "Cómo viaja Ottilie",
                            "La ranura más baja",
                            "pieza de la cabeza",
                            "lazo: corto",
                            "la ventana verde",
                            "555 0142")
                    .doesNotContain("head piece", "short", "green window");
            desk.open("/").click("text=Caspian");
            desk.click("text=The family’s page");
            assertThat(desk.page().textContent("main"))
                    .contains("Not yet right", "Until then:", "A narrower carrier on loan", "555 0142")
                    .doesNotContain("Lowest slot", "Draft");
            desk.isAccessible("a page of what is still wrong");
            desk.open("/").click("text=Bramwell");
            desk.click("text=The family’s page");
            assertThat(desk.page().textContent(".panels"))
                    .as("whether the handle may stay so is not known: it is not shown as if it might")
                    .doesNotContain("Handle towards");
        }
    }

    @Test
    void worksheetsAreBlankOrAnsweredInBothLanguages() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/class");
            desk.page().check("label:has-text('Tamsin') input");
            desk.page().check("label:has-text('Halvard') input");
            desk.click("text=Make the worksheet");
            String blank = desk.page().getAttribute("a:has-text('PDF')", "href");
            Paper asked = Paper.of(desk, app.address() + blank);
            assertThat(asked.pages()).as("a family a page").isEqualTo(2);
            assertThat(asked.text())
                    .contains("Tamsin", "Halvard", "which slot is that now?")
                    .doesNotContain("slot 1 of");
            Paper answered = Paper.of(desk, app.address() + blank.replace("answers=false", "answers=true"));
            assertThat(answered.text()).contains("which slot is that now?", "slot 1 of 4");
            Paper spanish = Paper.of(
                    desk,
                    app.address()
                            + blank.replace("answers=false", "answers=true").replace("lang=en", "lang=es"));
            assertThat(spanish.text())
                    .contains("Su silla, su bebé", "ranura 1 de 4")
                    .doesNotContain("slot");
            desk.isQuiet();
        }
    }
}
