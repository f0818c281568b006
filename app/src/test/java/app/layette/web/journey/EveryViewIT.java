package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every main view: readable by machines that read aloud, on each size of screen, in light and dark. */
class EveryViewIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @ParameterizedTest
    @CsvSource({"1280, 800", "390, 844"})
    void isAccessibleAndFitsItsScreen(int width, int height) {
        try (Desk desk = new Desk(app.address(), width, height)) {
            desk.open("/sign-in").isAccessible("sign-in");
            desk.signIn("marit");
            look(desk, "today");
            for (String path : new String[] {
                "/fittings/new",
                "/shelf",
                "/rolls",
                "/cars",
                "/quick",
                "/due",
                "/class",
                "/rules",
                "/rules/HAR-8",
                "/bench"
            }) {
                look(desk.open(path), path);
            }
            for (String child : new String[] {"Tamsin", "Linnea", "Halvard", "Aldis", "Bramwell"}) {
                desk.open("/").click("text=" + child);
                look(desk, child);
            }
            desk.open("/").click("text=Tamsin");
            desk.click(".views a:has-text('Harness')");
            desk.page().waitForSelector("svg.view-harness");
            look(desk, "harness");
            desk.click("#findings summary >> nth=-1");
            look(desk, "findings open");
            desk.step("Place and method");
            desk.page().waitForSelector("svg.view-cabin");
            look(desk, "cabin");
            desk.open("/").click("text=Bramwell");
            desk.click("text=The family’s page");
            look(desk, "handout");
            assertThat(desk.page().textContent("main")).contains("Draft, not handed over");
            desk.isQuiet();
        }
    }

    /** What differs by size and colours alone is looked at in the view that has most of it. */
    @ParameterizedTest
    @CsvSource({"820, 1180"})
    void theWorkbenchIsAccessibleOnATabletToo(int width, int height) {
        try (Desk desk = new Desk(app.address(), width, height)) {
            desk.signIn("marit");
            for (String path :
                    new String[] {"/", "/fittings/new", "/shelf", "/rolls", "/cars", "/quick", "/due", "/class"}) {
                desk.open(path).page().waitForLoadState();
                desk.fitsItsWidth(path);
            }
            for (String child : new String[] {"Aldis", "Bramwell", "Tamsin"}) {
                desk.open("/").click("text=" + child);
                desk.page().waitForLoadState();
                desk.fitsItsWidth(child);
            }
            look(desk, "side");
            desk.click(".views a:has-text('Harness')");
            desk.page().waitForSelector("svg.view-harness");
            look(desk, "harness");
            desk.click("text=The family’s page");
            look(desk, "handout");
            desk.isQuiet();
        }
    }

    /** What belongs to one fitting beside its workbench, open and sealed. */
    @ParameterizedTest
    @CsvSource({"1280, 800, Ottilie", "390, 844, Philippa"})
    void thePagesOfAFittingAreAccessible(int width, int height, String child) {
        try (Desk desk = new Desk(app.address(), width, height)) {
            desk.signIn("ilse").click("text=" + child);
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            for (String path : new String[] {
                "/as-found?area=HARNESS", "/record", "/photos", "/trip", "/rethread", "/restraints", "/handout"
            }) {
                look(desk.open(fitting + path), path);
            }
            for (String path : new String[] {"/mailbox", "/people", "/account", "/point", "/trail"}) {
                look(desk.open(path), path);
            }
            desk.isQuiet();
        }
    }

    private static void look(Desk desk, String what) {
        desk.page().waitForLoadState();
        desk.isAccessible(what);
        desk.isReadableInTheDark(what);
        desk.fitsItsWidth(what);
    }

    @Test
    void aWrongPasswordSaysSoAndTellsNothing() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.open("/sign-in").page().fill("#username", "marit");
            desk.page().fill("#password", "wrong");
            desk.click(".sign-in .go");
            assertThat(desk.page().textContent(".refused")).contains("not right");
        }
    }

    @Test
    void theFirstViewIsLight() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            desk.page().waitForLoadState();
            assertThat(desk.bytesOverTheWire())
                    .as("sign-in, today and a fitting together")
                    .isBetween(20_000, 400_000);
            System.out.println("First views over the wire: " + desk.bytesOverTheWire() + " bytes");
            desk.isQuiet();
        }
    }

    @Test
    void unitsSwitchAndStay() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("tove").click("text=Tamsin");
            assertThat(desk.page().textContent("#head")).contains("6 lb 8 oz");
            desk.click(".tools button:has-text('lb, in')");
            desk.page().waitForLoadState();
            assertThat(desk.page().textContent("#head")).contains("2.95 kg");
        }
    }

    @Test
    void aDamagedSheetIsRefusedByNameAndAGoodOneIsTaken() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ansel").open("/shelf");
            desk.page().setInputFiles("[name=sheet]", Path.of("..", "examples", "cases", "ready.json"));
            desk.click(".take-in .go");
            assertThat(desk.page().textContent(".refused")).contains("ready.json: nothing was changed", "allowed");
            desk.page().setInputFiles("[name=sheet]", Path.of("..", "examples", "sheets", "pallander-dray.json"));
            desk.click(".take-in .go");
            // The same words are there already, as a lead confirmed them.
            assertThat(desk.page().textContent(".note")).contains("On the shelf: pallander-dray 1");
        }
    }

    @Test
    void somebodyElsesAddressIsNotFoundInPlainWords() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/fittings/00000000-0000-4000-8000-000000000000");
            assertThat(desk.page().textContent("h1")).contains("There is nothing here");
        }
    }

    @Test
    void aTraineeEntersButDoesNotSign() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("pim").click("text=Tamsin");
            assertThat(desk.page().textContent("#now .ask[open]")).contains("A technician signs here");
            assertThat(desk.page().locator("#now .ask[open] button").count()).isZero();
        }
    }
}
