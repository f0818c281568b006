package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The child in the harness, now and as it grows. */
class HarnessIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void move(Desk desk, String words) {
        // What is not among the likeliest three is folded away.
        desk.page().evaluate("document.querySelector('#moves details')?.setAttribute('open', '')");
        desk.click(".moves button:has-text('" + words + "')");
        desk.page().waitForLoadState();
    }

    @Test
    void aSlotIsWrongUntilTheInsertComesOut() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Philippa");
            assertThat(desk.title()).isEqualTo("Insert");
            assertThat(desk.page().textContent("#findings")).contains("2 to put right");
            assertThat(desk.page().textContent("#ask-insert-body"))
                    .contains("Must be out at this weight", "slot 2", "Without", "slot 1");
            desk.click("#ask-insert-body summary");
            desk.click("#ask-insert-body .choice:has-text('Out')");
            desk.page().waitForSelector("#run .reopened");
            desk.step("Shoulder and head room");
            desk.page()
                    .waitForResponse(
                            response -> response.url().endsWith("/entries"),
                            () -> desk.click("svg.view-harness a[aria-label*='between slots 1 and 2']"));
            desk.page().waitForSelector("svg.view-harness a .ink-chosen");
            assertThat(desk.page().textContent("#findings")).contains("Nothing to put right");
            desk.isQuiet();
        }
    }

    /** The shoulder line is dragged to where it is seen. */
    @Test
    void theShoulderLineIsDragged() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Linnea");
            desk.step("Shoulder and head room");
            desk.click("#ask-shoulder summary");
            Locator line = desk.page().locator("svg.view-harness [data-part=shoulder] circle");
            BoundingBox from = line.boundingBox();
            BoundingBox to = desk.page()
                    .locator("svg.view-harness a[aria-label*='between slots 3 and 4']")
                    .boundingBox();
            desk.page().mouse().move(from.x + from.width / 2, from.y + from.height / 2);
            desk.page().mouse().down();
            desk.page().mouse().move(from.x, (from.y + to.y) / 2);
            desk.page().waitForResponse(response -> response.url().endsWith("/entries"), () -> {
                desk.page().mouse().move(to.x + to.width / 2, to.y + to.height / 2);
                desk.page().mouse().up();
            });
            desk.page().waitForFunction("() => !document.querySelector('.busy')");
            assertThat(app.newestKinds("Linnea", 1)).containsExactly("shoulderSeen");
            assertThat(desk.page().textContent("#findings")).contains("Slot 3 needs the long loop");
            desk.isQuiet();
        }
    }

    @Test
    void aRethreadInAWrongOrderIsCaught() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Linnea");
            desk.step("Slots and webbing");
            desk.click("text=Move the straps, step by step");
            desk.page().waitForURL("**/rethread");
            desk.isAccessible("rethread");
            move(desk, "Take the left webbing off");
            assertThat(desk.page().textContent(".refused")).contains("loosen the harness fully first");
            move(desk, "Loosen the harness");
            move(desk, "Take the left webbing off");
            move(desk, "Take the right webbing off");
            assertThat(desk.page().textContent(".refused")).contains("Not both at once");
            move(desk, "left webbing through the shell");
            move(desk, "Push the left webbing fully home");
            assertThat(desk.page().textContent(".refused")).contains("shell and pad are at different slots");
            move(desk, "left webbing through the pad");
            move(desk, "Push the left webbing fully home");
            move(desk, "Run it tight and loose");
            assertThat(desk.page().textContent(".refused")).contains("different slots");
            for (int left = 0; left < 10 && desk.page().isVisible(".next-move"); left++) {
                desk.click(".moves button:not(.quiet)");
                desk.page().waitForLoadState();
            }
            desk.click("text=Keep it: slot 1, both sides");
            desk.page().waitForSelector("#now-title");
            assertThat(app.newestKinds("Linnea", 1)).containsExactly("slotsSet");
            assertThat(desk.page().textContent("#findings")).contains("Nothing to put right");
            assertThat(desk.page().textContent("#run .cur")).contains("Slots and webbing");
            desk.isQuiet();
        }
    }

    @Test
    void aFlatOrderLeavesOnlyWhatLiesFlat() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Isolde");
            desk.step("Weight and length");
            desk.click("text=Which restraint?");
            desk.page().waitForURL("**/restraints");
            desk.isAccessible("which restraint");
            assertThat(desk.page().textContent(".choice-row >> nth=0")).contains("Wrenfold Shuttle", "car bed");
            assertThat(desk.page().locator(".choice-row.not_allowed").allTextContents())
                    .isNotEmpty()
                    .allMatch(row -> row.contains("infant seat") || row.contains("convertible"))
                    .allMatch(row -> row.contains("rules this restraint out"));
            assertThat(desk.page()
                            .locator(".choice-row:not(.not_allowed) .name")
                            .allTextContents())
                    .allMatch(row -> row.contains("car bed") || row.contains("lay-flat"));
            desk.click("text=Begin again with it");
            desk.page().waitForURL("**/fittings/new?**");
            assertThat(desk.page().isChecked("[name=comesBack]")).isTrue();
            assertThat(desk.page().isChecked("[name=seat][value=ostler-selvedge]"))
                    .isTrue();
            desk.isQuiet();
        }
    }

    @Test
    void aCoatHidesSlack() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("tove").click("text=Tamsin");
            desk.step("Harness the child");
            desk.click("#ask-question-clothing summary");
            desk.tap("tested: slack without it");
            assertThat(desk.page().textContent("#now")).contains("there is slack: off with it");
            assertThat(desk.state()).isEqualTo("Not ready to hand over");
            desk.click("#ask-layer summary");
            desk.tap("Padded coat");
            assertThat(desk.page().textContent("#now")).contains("may hide about");
            desk.tap("Thin clothes only");
            assertThat(desk.page().textContent("#findings")).doesNotContain("may hide about");
            desk.isQuiet();
        }
    }

    @Test
    void aNewWeightMovesWhatComesNextForAnEarlyBaby() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Isolde");
            desk.step("Weight and length");
            desk.page().waitForSelector("svg.view-timeline");
            desk.isAccessible("what comes next");
            String before = desk.page().textContent("svg.view-timeline");
            assertThat(before).contains("Outgrown", "today");
            desk.click("#ask-weight summary");
            desk.fill("mass", "5 lb 2 oz").send("Keep the weight");
            desk.step("Weight and length");
            desk.page().waitForSelector("svg.view-timeline");
            assertThat(desk.page().textContent("svg.view-timeline"))
                    .isNotEqualTo(before)
                    .contains("5 lb 2 oz");
            desk.isQuiet();
        }
    }

    @Test
    void atTheBedsideACaregiverIsTaughtAndNothingIsHandedOver() {
        try (Desk desk = new Desk(app.address(), 820, 1180)) {
            desk.signIn("marit").open("/fittings/new");
            desk.newFamily("reference", "B-1");
            desk.newFamily("childName", "Emrys");
            desk.newFamily(
                    "born",
                    LocalDate.now(ZoneId.of("America/Toronto")).minusDays(2).toString());
            desk.newFamily("gestationDays", "39+0");
            desk.newFamily("birthWeight", "7 lb 3 oz");
            desk.newFamily("mass", "7 lb 1 oz");
            desk.newFamily("length", "50 cm");
            desk.newFamily("seat", "wrenfold-thimble");
            desk.page().evaluate("window.layette.openQuestion('box')");
            desk.page().check("[name=box]");
            desk.click(".begin .go");
            desk.page().waitForURL("**/fittings/*");
            assertThat(desk.state()).isEqualTo("Teaching, no car");
            assertThat(desk.page().locator("#run .step").count()).isEqualTo(6);
            desk.tap("No").tap("No order");
            desk.tap("Between slots 1 and 2").tap("Three fingers");
            assertThat(desk.page().textContent(".look")).contains("Slot 1 now", "up to 29 lb");
            desk.asDrawn();
            assertThat(desk.page().textContent(".look")).contains("The label shows model");
            desk.asDrawn();
            desk.tap("Nothing").tap("Thin clothes only").tap("Snug").tap("At the armpits");
            // With the last answer it is over: nobody has to say so once more.
            desk.tap("Given, and understood");
            assertThat(desk.state()).isEqualTo("Taught, nothing fitted");
            desk.click("text=The family’s page");
            assertThat(desk.page().textContent("main"))
                    .contains("How", "Each ride", "555 0142")
                    .doesNotContain("Draft");
            desk.isAccessible("the family's page of a bedside run");
            desk.open("/");
            assertThat(desk.page().textContent("main")).contains("Taught, nothing fitted");
            desk.isQuiet();
        }
    }

    @Test
    void aClassGetsAWorksheetAndAFamilyATrip() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/class");
            desk.isAccessible("class");
            assertThat(desk.page().textContent(".tile:has-text('Isolde')")).contains("Wrenfold Shuttle");
            assertThat(desk.page().locator(".tile:has-text('Isolde') svg").count())
                    .as("the seat it brought is drawn")
                    .isEqualTo(1);
            desk.page().check(".tile:has-text('Tamsin') input");
            desk.page().check(".tile:has-text('Isolde') input");
            desk.click("text=Make the worksheet");
            assertThat(desk.page().locator(".worksheet").count()).isEqualTo(2);
            assertThat(desk.page().textContent("main"))
                    .contains("which slot is that now?")
                    .doesNotContain("slot 1 of 4");
            desk.page().check("[name=answers]");
            desk.click("text=Make the worksheet");
            assertThat(desk.page().textContent("main")).contains("slot 1 of 4");
            desk.open("/").click("text=Tamsin");
            desk.step("Teach-back");
            desk.click("text=Plan a trip");
            desk.page().fill("[name=driving]", "a while");
            desk.click("text=Plan it");
            assertThat(desk.page().textContent(".refused")).contains("driving time (a while)", "24 h");
            assertThat(desk.page().inputValue("[name=driving]")).isEqualTo("a while");
            desk.page().fill("[name=driving]", "1 h 40");
            desk.click("text=Plan it");
            assertThat(desk.page().textContent(".sum")).contains("4 legs, 3 stops, 2 h 40 min", "30 min in the seat");
            desk.isAccessible("trip");
            desk.isQuiet();
        }
    }
}
