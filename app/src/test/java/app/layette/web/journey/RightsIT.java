package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.fuzz.Visitor;
import app.layette.web.fuzz.Visitor.Answer;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Who may do what, and whose entry it is. */
class RightsIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @Test
    void whatATraineeCorrectsAfterTheEndWaitsForASignature() {
        try (Desk pim = Desk.keepingPages(app.address(), 1280, 800);
                Desk marit = Desk.keepingPages(app.address(), 390, 844)) {
            pim.signIn("pim").click("text=Ottilie");
            String fitting = pim.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            String told =
                    marit.signIn("marit").open(fitting + "/handout").page().textContent("main");
            pim.open(fitting + "/record").click(".story li:has-text('Slots') >> .to-correct");
            for (String end : List.of("leftShell", "rightShell", "leftPad", "rightPad")) {
                pim.page().fill(".correcting [name=" + end + "]", "4");
            }
            pim.page().fill(".correcting [name=why]", "misread");
            pim.click(".correcting button:has-text('Keep the correction')");
            assertThat(pim.page().textContent("main")).contains("waits for a technician", "the seal holds");
            assertThat(pim.page().locator("[name=taken]").count())
                    .as("not the trainee's to sign")
                    .isZero();
            assertThat(marit.open(fitting + "/handout").page().textContent("main"))
                    .as("the family is told what it was told")
                    .isEqualTo(told);
            marit.open("/due");
            assertThat(marit.page().textContent("main")).contains("A trainee’s correction waits");
            marit.open(fitting + "/record").isAccessible("a correction waits");
            marit.fitsItsWidth("a correction waits");
            marit.click("button:has-text('Sign for it')");
            assertThat(marit.page().textContent("main")).contains("Signed for", "the seal holds");
            marit.open(fitting + "/handout");
            assertThat(marit.page().textContent("main")).contains("Corrected on", "slot 4");
            marit.open("/due");
            assertThat(marit.page().textContent("main")).doesNotContain("A trainee’s correction waits");
        }
    }

    @Test
    void aCorrectionAfterTheSealIsMarkedOnTheFamilysPageWithItsDate() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Ottilie");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.open(fitting + "/handout");
            assertThat(desk.page().textContent("main")).doesNotContain("Corrected on");
            desk.open(fitting + "/record");
            desk.click(".story li:has-text('Slots') >> .to-correct");
            desk.page().fill(".correcting [name=leftPad]", "2");
            desk.page().fill(".correcting [name=why]", "misread");
            desk.click(".correcting button:has-text('Keep the correction')");
            desk.open(fitting + "/handout");
            assertThat(desk.page().textContent("main")).contains("Corrected on", "after it was set with you");
        }
    }

    /** The page asks every few seconds whether a colleague added anything: that keeps no session awake. */
    @Test
    void aSessionInWhichNobodyDidAnythingIsOverAndItsPagesAreGoneFromTheTablet() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            desk.page().reload();
            String kept =
                    "() => caches.open('layette-pages-1').then((cache) => cache.keys()).then((keys) => keys.length";
            desk.page().waitForFunction(kept + " > 0)");
            app.execute("update spring_session set creation_time = creation_time - 3 * 3600 * 1000");
            desk.page().waitForFunction("() => !document.getElementById('outbox').hidden");
            assertThat(desk.page().textContent("#outbox-note")).contains("Signed out");
            desk.page().waitForFunction(kept + " === 0)");
            desk.open("/");
            assertThat(desk.page().url()).contains("/sign-in");
            // Nor do they outlive it where no page is open that would be told.
            desk.signIn("marit").open("/").open("/shelf");
            desk.page().waitForFunction(kept + " > 0)");
            desk.page().context().clearCookies();
            desk.open("/");
            assertThat(desk.page().url()).contains("/sign-in");
            desk.page().waitForFunction(kept + " === 0)");
            desk.forgive();
        }
    }

    /** Sent once more, as a browser does that never heard the answer. */
    @Test
    void aPhotographThatWasTakenBackDoesNotReturn() throws IOException {
        String fitting = app.ask(
                "select f.id from fitting f join family a on a.id = f.family_id" + " where a.child_name = 'Bramwell'");
        String photo = "00000000-0000-4000-8000-0000000000f1";
        byte[] picture = Files.readAllBytes(Path.of("..", "docs", "screenshots", "fitting-side.png"));
        Visitor marit = new Visitor(app.address(), "marit", Desk.PASSWORD);
        String photos = "/fittings/" + fitting + "/photos";
        Map<String, String> fields = Map.of("about", "other", "id", photo, "seen", "1");
        marit.upload(photos, fields, "photo", "a.png", picture);
        assertThat(marit.get(photos + "/" + photo).status()).isEqualTo(200);
        marit.post(
                "/fittings/" + fitting + "/record/corrections",
                Map.of("corrects", photo, "withdraw", "yes", "why", "the wrong child", "of", "u1", "seen", "1"));
        assertThat(marit.get(photos + "/" + photo).status()).isEqualTo(404);
        marit.upload(photos, fields, "photo", "a.png", picture);
        assertThat(marit.get(photos + "/" + photo).status()).isEqualTo(404);
        assertThat(app.newestKinds("Bramwell", 3)).containsExactly("photoTaken", "noted", "withdrawn");
        // Nor does one come without its picture.
        Answer bare = marit.post(
                "/fittings/" + fitting + "/entries",
                Map.of("kind", "photoTaken", "of", "u1", "photo", photo, "about", "other", "sha256", "0".repeat(64)));
        assertThat(bare.status()).isEqualTo(422);
    }

    @Test
    void aCrashSinceStopsTheFamilyAndIsDueAndLeavesTheSealWhole() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Ottilie");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.open(fitting + "/record");
            desk.page().click("summary:has-text('It was in a crash since')");
            desk.page().fill("[name=on]", "32 Dec");
            desk.click("button:has-text('Note the crash')");
            assertThat(desk.page().textContent("main")).contains("32 Dec");
            desk.page().fill("[name=on]", "today");
            desk.click("button:has-text('Note the crash')");
            assertThat(desk.page().textContent("main")).contains("Sealed, and the seal holds", "In a crash since");
            desk.open(fitting + "/handout");
            assertThat(desk.page().textContent("main")).contains("Stop using this seat");
            assertThat(desk.page().locator(".panels, .rides, .line, .behind").count())
                    .as("nothing that explains a ride")
                    .isZero();
            desk.open("/due");
            assertThat(desk.page().textContent("main")).contains("the seat is not used any more");
        }
    }

    @Test
    void aTabletTakenOverSendsNobodysEntriesAsSomebodyElse() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            int before = app.newestKinds("Bramwell", 500).size();
            desk.offline(true).tapOffline("A flat hand or more");
            assertThat(desk.waiting()).isEqualTo("1 entry waiting");
            isSealed(desk);
            desk.page().context().clearCookies();
            desk.offline(false);
            desk.signIn("tove");
            isSealed(desk);
            assertThat(desk.page().locator("#outbox-list form").count())
                    .as("a lead's alone")
                    .isZero();
            assertThat(desk.page().textContent("#outbox-list")).contains("waits until marit signs in");
            desk.page().waitForTimeout(600);
            assertThat(app.newestKinds("Bramwell", 500)).hasSize(before);
            desk.page().context().clearCookies();
            desk.signIn("marit");
            nothingWaits(desk);
            assertThat(app.newestKinds("Bramwell", 500)).hasSize(before + 1).endsWith("answered");
            desk.forgive();
        }
    }

    /** Whoever takes the tablet reads nothing of what somebody else entered. */
    private static void isSealed(Desk desk) {
        desk.page().waitForFunction("() => Object.values(localStorage).some(each => each.includes('sealed'))");
        assertThat((String) desk.page().evaluate("JSON.stringify(Object.entries(localStorage))"))
                .contains("marit")
                // What is sealed is written in base64, in which three capitals come up by chance: only what
                // base64 cannot write, a blank or a mark, tells that something was left open.
                .doesNotContain("flat hand", "\\\"answered\\\"", "\\\"GAP\\\"", "=HAND", "=GAP");
    }

    private static void nothingWaits(Desk desk) {
        desk.page()
                .waitForFunction("() => document.getElementById('outbox').hidden"
                        + " && !Object.keys(localStorage).some(each => each.startsWith('layette.waiting'))");
    }

    @Test
    void aLeadHandsOverWhatWaitsOfSomebodyWhoDoesNotComeBack() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            int before = app.newestKinds("Bramwell", 500).size();
            desk.offline(true).tapOffline("A flat hand or more");
            isSealed(desk);
            desk.page().context().clearCookies();
            desk.offline(false);
            desk.signIn("ilse").isAccessible("what waits of somebody");
            desk.page().fill("#outbox-list [name=why]", "gone home ill");
            desk.click("#outbox-list button:has-text('Send it as mine')");
            desk.page().waitForSelector("#outbox-list:has-text('handed over by ilse: gone home ill: sent')");
            assertThat(app.newestKinds("Bramwell", 500)).hasSize(before + 2).endsWith("answered", "noted");
            assertThat(app.ask("select document -> 'by' ->> 'id' from entry e join fitting f on f.id = e.fitting_id"
                            + " join family a on a.id = f.family_id where a.child_name = 'Bramwell'"
                            + " and document -> 'fact' ->> 'kind' = 'answered' order by e.seq desc limit 1"))
                    .isEqualTo("ilse");
            desk.open("/trail");
            assertThat(desk.page().textContent("main"))
                    .contains("handed over what waited of somebody", "marit: gone home ill");
            desk.forgive();
        }
    }

    @Test
    void aRemovedPersonsOpenSessionStopsAtOnceAndARoleCountsFromTheNextRequest() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800);
                Desk lead = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("ansel").click("text=Tamsin");
            lead.signIn("tove").open("/point");
            assertThat(lead.page().locator("[name=phone]").count()).isZero();
            app.execute("update app_user set role = 'LEAD' where name = 'tove'");
            lead.open("/point");
            assertThat(lead.page().locator("[name=phone]").count()).isOne();
            app.execute("update app_user set password_hash = '{noop}another' where name = 'tove'");
            lead.open("/");
            assertThat(lead.page().url()).as("another password").contains("/sign-in");
            app.execute("delete from app_user where name = 'ansel'");
            desk.open("/");
            assertThat(desk.page().url()).as("removed").contains("/sign-in");
        }
    }

    private static void bring(Desk desk, String name, String sheet) {
        desk.page()
                .setInputFiles(
                        "[name=sheet]",
                        new FilePayload(name, "application/json", sheet.getBytes(StandardCharsets.UTF_8)));
        desk.click("text=Bring it in");
    }

    @Test
    void aTraineesSheetIsADraftThatReplacesNothingAndCanBeDropped() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("pim").open("/shelf");
            String sheet = desk.page()
                    .request()
                    .get(app.address() + "/sheets/wrenfold-thimble.json")
                    .text();
            String newer = sheet.replaceFirst("\"version\"\\s*:\\s*\\d+", "\"version\": 99")
                    .replaceFirst("29 lb", "35 lb");
            bring(desk, "newer.json", newer);
            assertThat(desk.page().textContent(".on-the-shelf li:has-text('Wrenfold Thimble')"))
                    .contains("confirmed")
                    .doesNotContain("99");
            String other = newer.replaceFirst("\"wrenfold-thimble\"", "\"corvane-estate\"");
            bring(desk, "other.json", other);
            assertThat(desk.page().textContent(".refused")).contains("a sheet of another kind has this id");
            String own = newer.replaceFirst("\"wrenfold-thimble\"", "\"pims-seat\"");
            bring(desk, "own.json", own);
            desk.click(".on-the-shelf li:has-text('pims-seat') button:has-text('drop')");
            assertThat(desk.page().textContent("main")).contains("Dropped: pims-seat 1");
            assertThat(desk.page()
                            .locator(".on-the-shelf li:has-text('pims-seat')")
                            .count())
                    .isZero();
        }
    }
}
