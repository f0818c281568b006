package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** One family from the door to the handout, with a refused hand-over, its repair, and a power cut in between. */
class FirstFittingIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @Test
    void fromTheDoorToTheHandout() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            Walk.begin(desk, "J-7", "Wilhelmina");
            Walk.seatAndChild(desk);
            desk.isQuiet();
            app.kill();
            app.start();
            desk.page().reload();
            // The browser reports what it could not reach only when it is next asked for something.
            desk.forgive();
            assertThat(desk.page().textContent("#run .step.done >> nth=0")).contains("Meet the child");
            assertThat(desk.page().locator("#run .step.done"))
                    .satisfies(done -> assertThat(done.count())
                            .as("nothing entered is lost when the server is killed")
                            .isEqualTo(8));
            Walk.carAndBase(desk);
            Walk.childIn(desk);
            desk.tap("Bubble half out, head-end side");
            assertThat(desk.page().textContent("#findings")).contains("Too upright: bubble half out, head-end side.");
            refusedAndRepaired(desk);
            Walk.teachAndCheckAgain(desk);
            assertThat(desk.state()).isEqualTo("Ready to hand over");
            Walk.handOver(desk);
            handout(desk);
            desk.isQuiet();
        }
    }

    private static void refusedAndRepaired(Desk desk) {
        desk.step("Hand over");
        desk.tap("Given, and understood");
        desk.send("Hand over");
        assertThat(desk.page().textContent("#now .refused"))
                .contains("Not handed over", "Level, child in", "Teach-back");
        desk.click("#now .blockers a:has-text('Level, child in')");
        desk.page().waitForLoadState();
        assertThat(desk.title()).isEqualTo("Level, child in");
        desk.click(".changed-menu summary");
        desk.page().selectOption(".changed-menu select", "PRESSED_OR_ROCKED");
        desk.page()
                .waitForResponse(
                        response -> response.url().endsWith("/entries"), () -> desk.click(".changed-menu .go"));
        desk.step("Inch test").tap("Less than an inch");
        desk.step("Indicators").tap("All show locked");
        desk.step("Level, child in").tap("Bubble between the lines");
        desk.step("Handle and gap").tap("Up: allowed").tap("A flat hand or more");
    }

    private static void handout(Desk desk) {
        desk.click("text=The family’s page");
        desk.page().waitForURL("**/handout");
        String page = desk.page().textContent("main");
        assertThat(page).contains("How Wilhelmina rides", "slot 1, both sides, short loop", "Second row, right");
        assertThat(page).contains("bubble between the lines", "No fold can be pinched", "Restraint expires");
        assertThat(page).doesNotContain("Draft, not handed over");
        assertThat(desk.page().locator(".panels .picture svg").count())
                .as("slot, device, level, handle")
                .isEqualTo(4);
        assertThat(desk.page().locator(".rides svg").count()).isEqualTo(6);
        desk.page().goBack();
        assertThat(desk.title()).isNotBlank();
    }
}
