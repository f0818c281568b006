package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.Paper;
import app.layette.web.support.RunningApp;
import java.security.MessageDigest;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A fitting as a record, the family's page, and what comes after. */
class RecordIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void found(Desk desk, String area, String what) {
        desk.click("svg.view-as-found a[aria-label^='" + area + "']");
        desk.page().waitForLoadState();
        desk.click(".choices-of-area button:has-text('" + what + "')");
        desk.page().waitForLoadState();
    }

    @Test
    void aPhotographIsKeptAndABadOneRefusedWithASentence() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("marit").click("text=Bramwell");
            desk.click("text=Photographs");
            desk.isAccessible("photographs");
            desk.fitsItsWidth("photographs");
            desk.page().setInputFiles("[name=photo]", java.nio.file.Path.of("..", "examples", "cases", "ready.json"));
            desk.page().selectOption("[name=about]", "label");
            desk.click(".take-photo .go");
            assertThat(desk.page().textContent(".refused")).contains("This is no photograph");
            assertThat(desk.page().inputValue("[name=about]")).isEqualTo("label");
            desk.page()
                    .setInputFiles(
                            "[name=photo]", java.nio.file.Path.of("..", "docs", "screenshots", "fitting-side.png"));
            desk.click(".take-photo .go");
            assertThat(desk.page().locator(".gallery img").count()).isEqualTo(1);
            Object width = desk.page()
                    .evaluate("async () => { const img = document.querySelector('.gallery img');"
                            + " img.loading = 'eager'; await img.decode(); return img.naturalWidth; }");
            assertThat(((Number) width).intValue()).isBetween(1, 1600);
            assertThat(app.newestKinds("Bramwell", 1)).containsExactly("photoTaken");
            desk.isQuiet();
        }
    }

    @Test
    void fromAsFoundToTheSealedRecordThePaperAndTheDueList() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.click("text=As found");
            found(desk, "Harness", "Chest clip too low");
            found(desk, "Base", "Base loose");
            desk.isAccessible("as found");
            assertThat(desk.page().textContent(".list")).contains("still so: Chest clip", "still so: Inch test");
            desk.open(fitting);
            desk.step("Inch test");
            desk.click("#ask-movement summary");
            desk.tap("Less than an inch");
            desk.step("Harness the child");
            desk.click("#ask-question-clip summary");
            desk.tap("At the armpits");
            desk.open(fitting + "/as-found");
            assertThat(desk.page().textContent(".list"))
                    .contains("put right: Chest clip, entry")
                    .doesNotContain("still so");
            desk.open(fitting + "?step=HAND_OVER").send("Hand over");
            assertThat(desk.state()).isEqualTo("Handed over");
            sealed(desk, fitting);
            paper(desk, fitting);
            due(desk);
            desk.isQuiet();
        }
    }

    private static void sealed(Desk desk, String fitting) {
        desk.open(fitting + "/record");
        desk.isAccessible("record");
        assertThat(desk.page().textContent(".seal")).contains("the seal holds", "marit", "SHA-256");
        String hash = desk.page().textContent(".seal code");
        int before = desk.page().locator(".story > li").count();
        desk.click("[aria-label='Correct entry 5']");
        desk.page().fill(".correct:visible [name=mass]", "a lot");
        desk.page().fill(".correct:visible [name=why]", "misread");
        desk.click(".correct:visible button");
        assertThat(desk.page().textContent(".refused")).contains("Weight (a lot)");
        assertThat(desk.page().locator(".story > li").count())
                .as("neither is kept")
                .isEqualTo(before);
        assertThat(desk.page().inputValue(".correct:visible [name=mass]")).isEqualTo("a lot");
        assertThat(desk.page().inputValue(".correct:visible [name=why]")).isEqualTo("misread");
        desk.page().fill(".correct:visible [name=mass]", "6 lb 10 oz");
        desk.page().fill(".correct:visible [name=why]", "the scale was misread");
        desk.click(".correct:visible button");
        assertThat(desk.page().locator(".story > li").count()).isEqualTo(before + 2);
        assertThat(desk.page().textContent(".story")).contains("added after the seal", "the scale was misread");
        assertThat(desk.page().textContent("#e5")).contains("corrected later");
        assertThat(desk.page().textContent(".seal")).contains("the seal holds", hash);
        app.execute("update entry set document = jsonb_set(document, '{by,id}', '\"somebody\"') where seq = 3");
        app.kill();
        app.start();
        desk.open(fitting + "/record");
        assertThat(desk.page().textContent(".seal")).contains("does not hold");
        desk.forgive();
    }

    private static void paper(Desk desk, String fitting) {
        desk.open(fitting + "/handout").click("text=Make the family’s own page");
        desk.page().waitForSelector(".own-address");
        String address = desk.page().textContent(".own-address");
        assertThat(address).matches(".*/f/[A-Za-z0-9_-]{43}").doesNotContain("Tamsin", "W-1041");
        Paper english = Paper.withCodes(desk, app.address() + fitting + "/handout.pdf");
        assertThat(english.pages()).isLessThanOrEqualTo(2);
        assertThat(english.text())
                .contains("How Tamsin rides", "slot 1, both sides, short loop", "What comes next")
                .doesNotContain("Draft");
        assertThat(english.codes()).containsExactly(address);
        Paper spanish = Paper.of(desk, app.address() + fitting + "/handout.pdf?lang=es");
        assertThat(spanish.text()).contains("Cómo viaja Tamsin", "Qué viene después", "burbuja entre las líneas");
        familyPage(desk, fitting, address);
    }

    private static void familyPage(Desk desk, String fitting, String address) {
        try (Desk family = new Desk(app.address(), 390, 844)) {
            String path = address.replaceAll(".*/f/", "/f/");
            family.open(path).isAccessible("the family's own page");
            family.fitsItsWidth("the family's own page");
            assertThat(family.page().textContent("main")).contains("How Tamsin rides");
            assertThat(family.page().locator("form, button").count())
                    .as("read-only")
                    .isZero();
            family.click("text=En español");
            assertThat(family.page().textContent("main")).contains("Cómo viaja Tamsin");
            String dates = family.page()
                    .request()
                    .get(app.address() + path + "/calendar.ics?lang=es")
                    .text();
            assertThat(dates)
                    .contains("SUMMARY:Prueba del movimiento", "RRULE:FREQ=MONTHLY")
                    .doesNotContain("Tamsin", "W-1041");
            app.execute("update family_page set expires_on = current_date - 2");
            assertThat(family.page().request().get(app.address() + path).status())
                    .isEqualTo(410);
            app.execute("update family_page set expires_on = current_date + 2");
            assertThat(family.page().request().get(app.address() + path).status())
                    .isEqualTo(200);
            desk.open(fitting + "/handout").click("text=Take it back");
            desk.page().waitForLoadState();
            for (String gone : List.of(path, path + "/calendar.ics")) {
                assertThat(family.page().request().get(app.address() + gone).status())
                        .isEqualTo(410);
            }
            family.forgive();
        }
    }

    private static void due(Desk desk) {
        desk.open("/due?ahead=ALL");
        desk.isAccessible("due");
        assertThat(desk.page().locator("tbody .standing").allTextContents())
                .as("what is overdue comes first")
                .startsWith("overdue")
                .isSortedAccordingTo(Comparator.comparing(standing -> !standing.equals("overdue")));
        String row = "tr:has-text('Tamsin'):has-text('Inch test')";
        assertThat(desk.page().locator(row).count()).isEqualTo(1);
        letter(desk, row);
        desk.open("/due?ahead=ALL").click(row + " a:has-text('Later')");
        desk.click(row + " button:has-text('Put off')");
        assertThat(desk.page().textContent(".refused")).contains("Say why", "The day ()");
        desk.page().fill(row + " [name=note]", "away until then");
        desk.page().fill(row + " [name=until]", LocalDate.now().plusDays(40).toString());
        desk.click(row + " button:has-text('Put off')");
        assertThat(desk.page().locator(row).count()).as("put off").isZero();
        doneAndDueAgain(desk);
        desk.open("/due");
        String feed = desk.page().textContent(".own-address");
        String calendar = desk.page().request().get(feed).text();
        assertThat(calendar)
                .contains("BEGIN:VEVENT", "W-1046", "RRULE:FREQ=MONTHLY")
                .doesNotContain("Juniper");
        desk.click("text=Give it a new address");
        assertThat(desk.page().request().get(feed).status()).isEqualTo(404);
        assertThat(desk.page().textContent(".own-address")).isNotEqualTo(feed);
        desk.forgive();
    }

    private static void letter(Desk desk, String row) {
        desk.click(row + " a:has-text('Write')");
        desk.isAccessible("a letter");
        assertThat(desk.page().inputValue("[name=body]")).contains("Tamsin", "Inch test", "Weir Street");
        desk.click("text=En español");
        assertThat(desk.page().inputValue("[name=body]")).contains("silla de Tamsin", "Prueba del movimiento");
        desk.page().fill("[name=body]", "   ");
        desk.page().fill("[name=subject]", "Hola");
        desk.click("text=Send it");
        assertThat(desk.page().textContent(".refused")).contains("Letter (0 characters)");
        assertThat(desk.page().inputValue("[name=subject]")).isEqualTo("Hola");
        desk.page().fill("[name=body]", "La base se mueve menos de 25 mm.");
        desk.click("text=Send it");
        assertThat(desk.open("/due?ahead=ALL").page().textContent(row)).contains("a letter was sent");
        desk.open("/mailbox");
        assertThat(desk.page().textContent("main")).contains("Hola", "W-1041", "menos de 25 mm");
    }

    /** What comes every month is due a month after the day on which it was done. */
    private static void doneAndDueAgain(Desk desk) {
        String row = "tr:has-text('Ottilie'):has-text('Inch test')";
        String before = desk.page().getAttribute(row + " [name=dueOn] >> nth=0", "value");
        desk.click(row + " button:has-text('Done')");
        String after = desk.page().getAttribute(row + " [name=dueOn] >> nth=0", "value");
        assertThat(LocalDate.parse(after)).isAfter(LocalDate.parse(before));
        assertThat(desk.page().textContent(row)).contains("done (marit");
    }

    @Test
    void theWalkRoundTellsWhereNobodyLookedAndAMistakeIsWithdrawnWithItsPicture() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("marit").click("text=Bramwell");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.open(fitting + "/as-found?area=HANDLE");
            assertThat(desk.page().textContent("main")).contains("0 of 10 places");
            desk.click("text=Looked: nothing wrong here");
            assertThat(desk.page().textContent("main")).contains("1 of 10 places");
            assertThat(desk.page().textContent("#area-title"))
                    .as("on to where nobody looked")
                    .isEqualTo("level");
            desk.open(fitting + "/as-found?area=HARNESS");
            desk.click(".choices-of-area button:has-text('Harness loose')");
            desk.page()
                    .setInputFiles(
                            "[name=photo]", java.nio.file.Path.of("..", "docs", "screenshots", "fitting-side.png"));
            desk.click("text=Keep it as found");
            desk.isAccessible("as found with a picture");
            desk.fitsItsWidth("as found with a picture");
            assertThat(desk.page().locator(".list .thumb img").count())
                    .as("beside what was found")
                    .isEqualTo(1);
            String picture = app.address() + desk.page().getAttribute(".gallery a", "href");
            assertThat(desk.page().request().get(picture).status()).isEqualTo(200);
            desk.open(fitting + "/record");
            String line = ".story li:has-text('the seat as found: harness')";
            desk.click(line + " >> .to-correct");
            desk.page().waitForLoadState();
            desk.page().fill(line + " [name=why]", "a face was in it");
            assertThat(desk.page().inputValue(line + " [name=why]")).isEqualTo("a face was in it");
            desk.click(line + " button:has-text('withdraw')");
            desk.page().waitForSelector(line + ":has-text('withdrawn later')");
            assertThat(desk.page().textContent(".story")).contains("a face was in it");
            desk.isAccessible("the record after a withdrawal");
            desk.fitsItsWidth("the record after a withdrawal");
            assertThat(desk.page().request().get(picture).status()).isEqualTo(404);
            desk.open(fitting + "/as-found?area=HARNESS");
            assertThat(desk.page().locator(".gallery img, .thumb img").count()).isZero();
            desk.isQuiet();
        }
    }

    @Test
    void theWalkTheRecordAndWhatIsDueByKeysAlone() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").press("Bramwell").press("As found").press("Base: what is wrong there?");
            desk.press("Base loose");
            assertThat(desk.page().textContent(".list")).contains("still so: Inch test");
            desk.press("Where nobody has looked yet").press("Looked: nothing wrong here");
            assertThat(desk.page().textContent("main")).contains("2 of 10 places");
            desk.press("Back to the fitting").press("The record");
            desk.press("Correct entry 3").type("why", "nobody asked").press("withdraw it");
            assertThat(desk.page().textContent("#e3")).contains("withdrawn later");
            desk.press("Due").press("Later, contacted: Send the registration card");
            desk.type("note", "they send it on Monday").press("Contacted");
            assertThat(desk.page().textContent("tr:has-text('registration card')"))
                    .contains("they send it on Monday", "marit");
            desk.press("Write to the family of Ottilie")
                    .type("subject", "Hello")
                    .press("Send it");
            assertThat(desk.page().textContent("main")).contains("a letter was sent");
            desk.isQuiet();
        }
    }

    @Test
    void aLeadErasesWhoAFamilyWasAndTheSealStillHolds() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ilse").click("text=Ottilie");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.open(fitting + "/handout").click("text=Make the family’s own page");
            String page = desk.page().textContent(".own-address").replaceAll(".*/f/", "/f/");
            desk.open(fitting + "/record");
            desk.page().fill("[name=text]", "Ottilie's aunt Berta rang.");
            desk.click("button:has-text('Add')");
            String hash = desk.page().textContent(".seal code");
            desk.click("text=Erase who this family was");
            assertThat(desk.page().isChecked(".erase .check:has-text('Berta') input"))
                    .as("what names the child is proposed")
                    .isTrue();
            desk.page().fill("[name=reference]", "W-1030");
            desk.click("button:has-text('Erase')");
            assertThat(desk.page().textContent(".refused")).contains("The Reference (W-1030)", "W-1031");
            desk.click("text=Erase who this family was");
            desk.page().fill("[name=reference]", "W-1031");
            desk.click("button:has-text('Erase')");
            assertThat(desk.page().textContent("main"))
                    .contains("the seal holds", hash, "The names of the family were erased", "(struck)")
                    .doesNotContain("Ottilie", "W-1031", "Berta");
            assertThat(desk.page().request().get(app.address() + page).status()).isEqualTo(410);
            for (String path : List.of("/", "/due?ahead=ALL", "/mailbox")) {
                assertThat(desk.open(path).page().textContent("main")).as(path).doesNotContain("Ottilie", "W-1031");
            }
            for (String part : List.of("Ottilie", "1031")) {
                assertThat(desk.open("/?find=" + part)
                                .page()
                                .locator("tbody tr")
                                .count())
                        .as(part)
                        .isZero();
            }
            desk.forgive();
        }
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Caspian");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            assertThat(desk.open(fitting + "/record").page().textContent("main"))
                    .as("for leads alone")
                    .doesNotContain("Erase who");
        }
    }

    @Test
    void aSealedFittingIsFoundAgainAndItsFileHasTheHashOfItsSeal() throws Exception {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("tove").page().fill("#find", "1031");
            desk.page().press("#find", "Enter");
            desk.page().waitForURL("**find=1031");
            assertThat(desk.page().locator("tbody tr").count()).isEqualTo(1);
            desk.click("text=Ottilie");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.open(fitting + "/record");
            assertThat(desk.page().textContent(".seal")).contains("the seal holds");
            assertThat(desk.page().textContent(".after-seal")).contains("Rang");
            byte[] file = desk.page()
                    .request()
                    .get(app.address() + fitting + "/record/entries.json")
                    .body();
            String hash = HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(file));
            assertThat(desk.page().textContent(".seal code")).isEqualTo(hash);
            String plan = desk.page()
                    .request()
                    .get(app.address() + fitting + "/record/plan.json")
                    .text();
            assertThat(plan)
                    .contains("engineVersion", "\"state\": \"handedOver\"")
                    .doesNotContain("Ottilie");
            String act = ".story li:has-text('Carrier') >> nth=0";
            desk.click(act + " >> .to-correct");
            desk.page().fill(act + " >> [name=why]", "entered by mistake");
            desk.click(act + " >> button:has-text('withdraw')");
            assertThat(desk.page().textContent(".seal"))
                    .as("a withdrawal after the seal is beside it")
                    .contains("the seal holds", hash);
            assertThat(desk.page().textContent(".heading")).contains("Handed over");
            desk.isQuiet();
        }
    }
}
