package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.junit.jupiter.api.Test;

/** One family from the door to the handout, with a refused hand-over, its repair, and a power cut in between. */
class FirstFittingIT {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("America/Toronto"));

    @Test
    void fromTheDoorToTheHandout() {
        try (RunningApp app = new RunningApp();
                Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            begin(desk);
            seatAndChild(desk);
            app.kill();
            app.start();
            desk.page().reload();
            assertThat(desk.page().textContent("#run .step.done >> nth=0")).contains("Meet the child");
            assertThat(desk.page().locator("#run .step.done"))
                    .satisfies(done -> assertThat(done.count())
                            .as("nothing entered is lost when the server is killed")
                            .isEqualTo(8));
            carAndBase(desk);
            childIn(desk);
            refusedAndRepaired(desk);
            teachAndCheckAgain(desk);
            handOver(desk);
            handout(desk);
            desk.isQuiet();
        }
    }

    private static void begin(Desk desk) {
        desk.page().keyboard().press("n");
        desk.page().waitForURL("**/fittings/new");
        desk.page().fill("[name=reference]", "J-7");
        desk.page().fill("[name=childName]", "Wilhelmina");
        desk.page().fill("[name=born]", TODAY.minusDays(9).toString());
        desk.page().fill("[name=gestationDays]", "39+1");
        desk.page().fill("[name=mass]", "6");
        desk.page().fill("[name=length]", "19 1/2 in");
        desk.page().selectOption("[name=seat]", "wrenfold-thimble");
        desk.page().selectOption("[name=car]", "corvane-estate");
        desk.page().click(".begin .go");
        assertThat(desk.page().textContent(".refused")).contains("The Weight (6) fits more than one unit", "30 kg");
        assertThat(desk.page().inputValue("[name=mass]")).isEqualTo("6");
        assertThat(desk.page().inputValue("[name=length]")).isEqualTo("19 1/2 in");
        assertThat(desk.page().inputValue("[name=childName]")).isEqualTo("Wilhelmina");
        desk.page().fill("[name=mass]", "6 lb 10 oz");
        desk.page().click(".begin .go");
        desk.page().waitForURL("**/fittings/*");
        assertThat(desk.title()).isEqualTo("Meet the child");
        assertThat(desk.state()).isEqualTo("Not ready to hand over");
    }

    private static void seatAndChild(Desk desk) {
        desk.tap("No").tap("No order");
        assertThat(desk.title()).isEqualTo("Labels and dates");
        desk.fill("model", "WT-211").fill("made", "March").send("Keep the label");
        assertThat(desk.page().textContent("#now .problem")).contains("The Made (March) cannot be read");
        assertThat(desk.page().inputValue(".ask[open] [name=made]")).isEqualTo("March");
        desk.fill("made", LocalDate.now().minusYears(2).toString().substring(0, 7))
                .send("Keep the label");
        desk.fill("model", "WB-21")
                .fill("made", LocalDate.now().minusYears(2).toString())
                .send("Keep the label");
        desk.tap("On the label").tap("Owned from new").tap("Never").tap("No open recall");
        desk.tap("All here").tap("Both, paper or screen");
        assertThat(desk.title()).isEqualTo("Insert");
        desk.tap("In").tap("In");
        desk.tap("Between slots 1 and 2").tap("Three fingers");
        desk.tap("All in slot 1").tap("Opening 1").tap("Straight, home").tap("Snug");
        assertThat(desk.title()).isEqualTo("Place and method");
    }

    private static void carAndBase(Desk desk) {
        desk.tap("Second row, right, with the anchors")
                .tap("Level, along and across")
                .tap("The car is ready");
        assertThat(desk.page().textContent(".ask[open] .help")).contains("Try setting 5 first");
        desk.tap("5 ·").tap("Both clicked").tap("Tightened").tap("Straight, tail stowed");
        desk.tap("Whole on the cushion")
                .tap("The lower anchors alone")
                .tap("Less than an inch")
                .tap("All show locked");
    }

    private static void childIn(Desk desk) {
        desk.tap("Thin clothes only").tap("Snug").tap("At the armpits").tap("Nothing");
        desk.tap("Carrier is on").tap("Clicked, held");
        desk.tap("Bubble half out, head-end side");
        assertThat(desk.page().textContent("#findings")).contains("Too upright: bubble half out, head-end side.");
    }

    private static void refusedAndRepaired(Desk desk) {
        desk.step("Hand over");
        desk.tap("Given, and understood");
        desk.send("Hand over");
        assertThat(desk.page().textContent("#now .refused"))
                .contains("Not handed over", "Level, child in", "Teach-back");
        desk.page().click("#now .blockers a:has-text('Level, child in')");
        desk.page().waitForLoadState();
        assertThat(desk.title()).isEqualTo("Level, child in");
        desk.page().click(".changed-menu summary");
        desk.page().selectOption(".changed-menu select", "PRESSED_OR_ROCKED");
        desk.page()
                .waitForResponse(
                        response -> response.url().endsWith("/entries"),
                        () -> desk.page().click(".changed-menu .go"));
        desk.step("Inch test").tap("Less than an inch");
        desk.step("Leg and indicators").tap("All show locked");
        desk.step("Level, child in").tap("Bubble between the lines");
        desk.step("Handle and gap").tap("Up: allowed").tap("A flat hand or more");
    }

    private static void teachAndCheckAgain(Desk desk) {
        desk.step("Teach-back");
        for (int item = 0; item < 6; item++) {
            desk.tap("Done by the caregiver");
        }
        desk.step("Inch test").tap("Less than an inch");
        desk.step("Harness the child").tap("Snug").tap("At the armpits");
        desk.step("Carrier on").tap("Clicked, held");
        desk.step("Level, child in").tap("Bubble between the lines");
        desk.step("Handle and gap").tap("Up: allowed").tap("A flat hand or more");
        assertThat(desk.state()).isEqualTo("Ready to hand over");
    }

    private static void handOver(Desk desk) {
        assertThat(desk.title()).isEqualTo("Hand over");
        desk.send("Hand over");
        assertThat(desk.state()).isEqualTo("Handed over");
        assertThat(desk.page().locator(".ask").count())
                .as("a closed fitting asks nothing")
                .isZero();
    }

    private static void handout(Desk desk) {
        desk.page().click("text=The family’s page");
        desk.page().waitForURL("**/handout");
        String page = desk.page().textContent("main");
        assertThat(page).contains("How Wilhelmina rides", "slot 1, both sides, short loop", "Second row, right");
        assertThat(page).contains("bubble between the lines", "No fold can be pinched", "Restraint expires");
        assertThat(page).doesNotContain("Draft, not handed over");
        assertThat(List.of("side", "harness"))
                .allSatisfy(view -> assertThat(
                                desk.page().locator("svg.view-" + view).count())
                        .isEqualTo(1));
        desk.page().goBack();
        assertThat(desk.title()).isNotBlank();
    }
}
