package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Whatever comes between: what was typed is still there, and what was entered arrives once. */
class NothingLostIT {
    private static final int INTERRUPTIONS = 50;
    private static final int LONGEST = 30;
    private static final String FIELD = "#ask-weight [name=mass]";

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @Test
    void noCharacterIsLostOverFiftyInterruptions() {
        Random random = new Random(13);
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800);
                Desk colleague = Desk.keepingPages(app.address(), 1280, 800)) {
            colleague.signIn("tove").click("text=Linnea");
            colleague.step("Slots and webbing");
            desk.signIn("marit").click("text=Linnea");
            desk.step("Weight and length").click("#ask-weight summary");
            String typed = "";
            for (int i = 0; i < INTERRUPTIONS; i++) {
                String more = String.valueOf((char) ('a' + random.nextInt(26)));
                if (typed.length() > LONGEST) {
                    desk.page().fill(FIELD, "");
                    typed = "";
                }
                desk.page().locator(FIELD).press("End");
                desk.page().keyboard().type(more);
                typed += more;
                String how = interrupt(desk, colleague, random);
                holds(desk, FIELD, typed);
                assertThat(desk.page().isVisible(FIELD)).as("%d: %s", i, how).isTrue();
            }
            desk.forgive();
            desk.isQuiet();
        }
    }

    private static String interrupt(Desk desk, Desk colleague, Random random) {
        switch (random.nextInt(6)) {
            case 0 -> {
                desk.offline(true).page().waitForTimeout(120);
                desk.offline(false);
                return "cut";
            }
            case 1 -> {
                desk.page().reload();
                return "reloaded";
            }
            case 2 -> {
                colleague.page().evaluate("document.querySelector('.changed-menu').open = true");
                colleague.click(".changed-menu .go");
                desk.page().evaluate("document.dispatchEvent(new Event('layette:ask'))");
                desk.page().waitForTimeout(400);
                return "a colleague's entry";
            }
            case 3 -> {
                desk.page().context().clearCookies();
                desk.page().evaluate("document.dispatchEvent(new Event('layette:ask'))");
                desk.click("#outbox-note a");
                desk.page().fill("#username", "marit");
                desk.page().fill("#password", Desk.PASSWORD);
                desk.page().click(".sign-in .go");
                desk.page().waitForSelector(FIELD);
                return "signed out and in again";
            }
            case 4 -> {
                desk.click(".views a >> nth=" + random.nextInt(3));
                desk.page().waitForTimeout(150);
                return "another view";
            }
            default -> {
                desk.offline(true);
                desk.page().evaluate("document.querySelector('.changed-menu').open = true");
                desk.click(".changed-menu .go");
                desk.offline(false);
                desk.page().evaluate("window.dispatchEvent(new Event('online'))");
                desk.page().waitForFunction("() => document.getElementById('outbox').hidden");
                desk.page().waitForTimeout(200);
                return "the outbox was sent";
            }
        }
    }

    @Test
    void aFamilyItsWalkAndAPhotographWaitForTheConnection() {
        try (Desk desk = Desk.keepingPages(app.address(), 390, 844)) {
            desk.signIn("marit").click("text=Bramwell");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.open(fitting + "/as-found?area=HARNESS");
            desk.offline(true);
            desk.click(".choices-of-area button:has-text('Harness loose')");
            desk.page().setInputFiles("[name=photo]", Path.of("..", "docs", "screenshots", "fitting-side.png"));
            desk.click("text=Keep it as found");
            assertThat(desk.waiting()).isEqualTo("2 entries waiting");
            assertThat(desk.page().textContent("#outbox-list")).contains("As found", "Photograph");
            desk.offline(false);
            desk.page().evaluate("window.dispatchEvent(new Event('online'))");
            desk.page().waitForFunction("() => document.getElementById('outbox-title').textContent === ''");
            assertThat(app.newestKinds("Bramwell", 2)).containsExactly("foundSo", "photoTaken");
            desk.open("/fittings/new");
            desk.offline(true);
            desk.newFamily("reference", "W-7001");
            desk.newFamily("childName", "Perpetua");
            desk.newFamily("born", "yesterday");
            desk.newFamily("mass", "6-4");
            desk.newFamily("seat", "wrenfold-thimble");
            desk.click(".begin .go");
            assertThat(desk.waiting()).isEqualTo("1 entry waiting");
            desk.page().reload();
            desk.offline(false);
            desk.open("/");
            desk.page().waitForSelector("#outbox-list a");
            desk.click("#outbox-list a");
            assertThat(desk.page().textContent("#head")).contains("Perpetua", "6 lb 4 oz");
            desk.forgive();
        }
    }

    /** A page that leads on says there what it refused: that is kept with its reason, never taken for sent. */
    @Test
    void whatWaitedAndIsRefusedStaysInTheListWithItsReason() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.open(fitting + "/as-found?area=HARNESS");
            int before = app.newestKinds("Bramwell", 500).size();
            desk.offline(true);
            desk.page().setInputFiles("[name=photo]", Path.of("..", "README.md"));
            desk.click("text=Keep it as found");
            desk.offline(false);
            desk.page().evaluate("window.dispatchEvent(new Event('online'))");
            desk.page().waitForSelector("#outbox-list button:has-text('Take it out')");
            assertThat(desk.page().textContent("#outbox-note")).contains("One was refused");
            assertThat(app.newestKinds("Bramwell", 500)).hasSize(before);
            desk.click("#outbox-list button:has-text('Take it out')");
            desk.open("/fittings/new");
            desk.offline(true);
            desk.newFamily("reference", "W-7004");
            desk.newFamily("childName", "Ottoline");
            desk.newFamily("born", "yesterday");
            desk.newFamily("mass", "6 lb 20 oz");
            desk.newFamily("seat", "wrenfold-thimble");
            desk.click(".begin .go");
            desk.offline(false);
            desk.open("/");
            desk.page().waitForSelector("#outbox-list button:has-text('Take it out')");
            assertThat(desk.page().textContent("#outbox-list"))
                    .as("what was chosen, and the very thing that is wrong")
                    .contains("Ottoline", "Thimble", "a pound has 16 ounces")
                    .doesNotContain("Heddle");
            desk.forgive();
        }
    }

    @Test
    void whatWasRefusedIsStillThereAfterAReload() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Linnea");
            desk.step("Weight and length").click("#ask-weight summary");
            desk.page().fill(FIELD, "6 lb 20 oz");
            desk.click("#ask-weight .go");
            assertThat(desk.page().textContent("#ask-weight .problem")).contains("a pound has 16 ounces");
            desk.page().reload();
            holds(desk, FIELD, "6 lb 20 oz");
            desk.page().waitForSelector(FIELD);
        }
    }

    @Test
    void anExpiredSessionKeepsAFormAndSaysSo() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("ilse").open("/fittings/new");
            desk.newFamily("reference", "W-7002");
            desk.newFamily("childName", "Ignatia");
            desk.page().context().clearCookies();
            desk.open("/fittings/new");
            assertThat(desk.page().url()).endsWith("/sign-in");
            desk.page().goBack();
            desk.open("/rolls");
            desk.page().fill("#username", "ilse");
            desk.page().fill("#password", Desk.PASSWORD);
            desk.page().click(".sign-in .go");
            desk.page().waitForSelector("[name=goodName]");
            desk.page().fill("form:has([value=CLOTH]) [name=goodName]", "Blue towel");
            desk.page().context().clearCookies();
            desk.click("form:has([value=CLOTH]) .go");
            assertThat(desk.page().textContent("#not-taken")).contains("Signed out: nothing was sent");
            assertThat(desk.page().inputValue("form:has([value=CLOTH]) [name=goodName]"))
                    .isEqualTo("Blue towel");
            desk.click("#outbox-note a");
            desk.page().fill("#username", "ilse");
            desk.page().fill("#password", Desk.PASSWORD);
            desk.page().click(".sign-in .go");
            desk.page().waitForSelector("[name=goodName]");
            holds(desk, "form:has([value=CLOTH]) [name=goodName]", "Blue towel");
        }
    }

    @Test
    void aRefusedFormMarksItsFieldsAndGoesThere() {
        try (Desk desk = Desk.keepingPages(app.address(), 390, 844)) {
            desk.signIn("ilse").open("/fittings/new");
            desk.newFamily("reference", "W-7003");
            desk.newFamily("childName", "Hedwig");
            desk.newFamily("born", "03/04/2026");
            desk.newFamily("mass", "6 lb 20 oz");
            desk.newFamily("seat", "wrenfold-thimble");
            desk.click(".begin .go");
            assertThat(desk.page().evaluate("document.activeElement.name")).isEqualTo("born");
            assertThat(desk.page().textContent("#wrong-born")).contains("3 Apr 2026 or 4 Mar 2026".split(" or ")[0]);
            assertThat(desk.page().getAttribute("[name=mass]", "aria-invalid")).isEqualTo("true");
            assertThat(desk.page().getAttribute("[name=mass]", "aria-describedby"))
                    .isEqualTo("wrong-mass");
            assertThat(desk.page().textContent("#wrong-mass")).contains("a pound has 16 ounces");
            desk.isAccessible("a refused new fitting");
            desk.newFamily("born", "today");
            desk.newFamily("mass", "25 kg");
            desk.click(".begin .go");
            assertThat(desk.page().textContent("#wrong-mass")).contains("hardly any child of this age");
            desk.click(".sure");
            desk.click(".begin .go");
            desk.page().waitForURL("**/fittings/*");
        }
    }

    /** What was typed is opened and put back in the moment after a page is there. */
    private static void holds(Desk desk, String field, String text) {
        desk.page()
                .waitForFunction(
                        "([field, text]) => document.querySelector(field).value === text", List.of(field, text));
    }
}
