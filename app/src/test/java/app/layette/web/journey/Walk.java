package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import java.time.LocalDate;
import java.time.ZoneId;

/** The parts of one whole fitting, by whatever means the person at the desk works. */
final class Walk {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("America/Toronto"));

    private Walk() {}

    static void begin(Desk desk, String reference, String child) {
        desk.page().keyboard().press("n");
        desk.page().waitForURL("**/fittings/new");
        desk.newFamily("reference", reference);
        desk.newFamily("childName", child);
        desk.newFamily("born", TODAY.minusDays(9).toString());
        desk.newFamily("gestationDays", "39+1");
        desk.newFamily("birthWeight", "6 lb 12 oz");
        desk.newFamily("mass", "6");
        desk.newFamily("length", "19 1/2 in");
        desk.newFamily("seat", "wrenfold-thimble");
        desk.newFamily("car", "corvane-estate");
        desk.click(".begin .go");
        assertThat(desk.page().textContent(".refused")).contains("Weight (6): fits more than one unit", "30 kg");
        assertThat(desk.page().inputValue("[name=mass]")).isEqualTo("6");
        assertThat(desk.page().inputValue("[name=length]")).isEqualTo("19 1/2 in");
        assertThat(desk.page().inputValue("[name=childName]")).isEqualTo(child);
        desk.newFamily("mass", "6 lb 10 oz");
        desk.click(".begin .go");
        desk.page().waitForURL("**/fittings/*");
        assertThat(desk.title()).isEqualTo("Meet the child");
        assertThat(desk.state()).isEqualTo("Not ready to hand over");
    }

    static void seatAndChild(Desk desk) {
        desk.tap("No").tap("No order");
        assertThat(desk.title()).isEqualTo("Labels and dates");
        desk.fill("model", "WT-211").fill("made", "March").send("Keep the label");
        assertThat(desk.page().textContent("#now .problem")).contains("Made (March): write the year in full");
        assertThat(desk.page().inputValue(".ask[open] [name=made]")).isEqualTo("March");
        desk.fill("made", LocalDate.now().minusYears(2).toString().substring(0, 7))
                .send("Keep the label");
        desk.tap("On the label").tap("Owned from new").tap("Never").tap("No open recall");
        desk.tap("All here").tap("Both, paper or screen");
        assertThat(desk.title()).isEqualTo("Insert");
        desk.tap("In").tap("In");
        desk.tap("Between slots 1 and 2").tap("Three fingers");
        desk.tap("All in slot 1").tap("Opening 1").tap("Straight, home").tap("Snug");
        assertThat(desk.title()).isEqualTo("Place and method");
    }

    /** The base has a label of its own, asked for once there is to be a base. */
    static void baseLabel(Desk desk) {
        assertThat(desk.title()).isEqualTo("Labels and dates");
        desk.fill("model", "WB-21")
                .fill("made", LocalDate.now().minusYears(2).toString())
                .send("Keep the label");
    }

    static void carAndBase(Desk desk) {
        desk.tap("Second row, right: Base with lower anchors");
        baseLabel(desk);
        desk.tap("Level, along and across").tap("The car is ready");
        assertThat(desk.page().textContent(".advised h3")).isEqualTo("Set the foot to 5");
        desk.tap("5 ·").goOn().tap("Both clicked").tap("Tightened").tap("Straight, tail stowed");
        desk.tap("Whole on the cushion")
                .tap("The lower anchors alone")
                .goOn()
                .tap("Less than an inch")
                .tap("All show locked");
    }

    static void childIn(Desk desk) {
        desk.tap("Nothing").tap("Thin clothes only").tap("Snug").tap("At the armpits");
        desk.tap("Carrier is on").tap("Clicked, held");
    }

    static void teachAndCheckAgain(Desk desk) {
        desk.step("Teach-back");
        for (int item = 0; item < 6; item++) {
            desk.tap("Done by the caregiver");
        }
        desk.step("Inch test").tap("Less than an inch");
        desk.step("Indicators").tap("All show locked");
        desk.step("Harness the child").tap("Thin clothes only").tap("Snug").tap("At the armpits");
        desk.step("Carrier on").tap("Clicked, held");
        desk.step("Level, child in").tap("Bubble between the lines");
        desk.step("Handle and gap").tap("Up: allowed").tap("A flat hand or more");
    }

    static void handOver(Desk desk) {
        assertThat(desk.title()).isEqualTo("Hand over");
        desk.send("Hand over");
        assertThat(desk.state()).isEqualTo("Handed over");
        assertThat(desk.page().locator(".ask").count())
                .as("a closed fitting asks nothing")
                .isZero();
    }

    /** From the first question to ready, everything in order at the first look. */
    static void toReady(Desk desk) {
        seatAndChild(desk);
        carAndBase(desk);
        childIn(desk);
        desk.tap("Bubble between the lines");
        desk.tap("Up: allowed").tap("A flat hand or more");
        teachAndCheckAgain(desk);
        desk.tap("Given, and understood");
    }
}
