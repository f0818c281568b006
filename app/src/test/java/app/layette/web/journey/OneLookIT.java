package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What one look shows is told with one press, what is not so by itself, and taken back whole. */
class OneLookIT {
    private static final int MOST = 24;

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void begin(Desk desk, String reference, String child) {
        desk.open("/fittings/new");
        desk.newFamily("reference", reference);
        desk.newFamily("childName", child);
        desk.newFamily("born", LocalDate.now().minusDays(9).toString());
        desk.newFamily("gestationDays", "39+1");
        desk.newFamily("birthWeight", "6 lb 12 oz");
        desk.newFamily("mass", "6 lb 10 oz");
        desk.newFamily("length", "19 1/2 in");
        desk.newFamily("seat", "wrenfold-thimble");
        desk.newFamily("car", "corvane-estate");
        desk.click(".begin .go");
        desk.page().waitForURL("**/fittings/*");
    }

    private static void label(Desk desk, String model) {
        desk.fill("model", model)
                .fill("made", LocalDate.now().minusYears(2).toString().substring(0, 7))
                .send("Keep the label");
    }

    /** A whole fitting with one press for each look; gives how many answers it took. */
    private static int toTheSignature(Desk desk) {
        int answers = 0;
        desk.tap("No").tap("No order");
        label(desk, "WT-211");
        desk.asDrawn().tap("Never").tap("No open recall");
        desk.asDrawn().tap("Between slots 1 and 2").asDrawn();
        desk.tap("Second row, right: Base with lower anchors");
        label(desk, "WB-21");
        answers += 11;
        assertThat(desk.title()).isEqualTo("Level ground");
        desk.asDrawn();
        if (desk.title().equals("Recline device")) {
            desk.goOn();
        }
        assertThat(desk.title()).isEqualTo("Hook both anchors");
        desk.asDrawn();
        desk.step("Inch test").tap("Less than an inch").tap("All show locked");
        answers += 4;
        assertThat(desk.title()).isEqualTo("Harness the child");
        desk.asDrawn().tap("Snug");
        desk.asDrawn().tap("Bubble between the lines, both sides alike");
        assertThat(desk.title()).isEqualTo("Teach-back");
        desk.asDrawn();
        answers += 5;
        return answers;
    }

    @Test
    void aFittingTakesFewAnswersByPointer() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            begin(desk, "L-1", "Lotte");
            assertThat(toTheSignature(desk)).isLessThanOrEqualTo(MOST);
            assertThat(desk.state()).isEqualTo("Ready to hand over");
            Walk.handOver(desk);
            comesBack(desk, "L-1");
            assertThat(desk.state()).isEqualTo("Ready to hand over");
            // Another family with the same seat in the same car: where it stood the last time comes first.
            begin(desk, "L-9", "Liv");
            desk.step("Place and method");
            assertThat(desk.page().textContent("#ask-place .choice >> nth=0"))
                    .contains("Second row, right: Base with lower anchors, as the last time in this car");
            desk.isQuiet();
        }
    }

    /** The same family with the same seat and car, nothing done to it since. */
    private static void comesBack(Desk desk, String reference) {
        desk.open("/fittings/new");
        desk.page().check("[name=comesBack]");
        desk.newFamily("reference", reference);
        desk.newFamily("seat", "wrenfold-thimble");
        desk.newFamily("car", "corvane-estate");
        desk.click(".begin .go");
        desk.page().waitForURL("**/fittings/*");
        // Weighed and measured today: that is not asked again.
        assertThat(desk.page().textContent(".ask[open] .help")).contains("WT-211");
        desk.tap("The same label, and nothing since");
        assertThat(desk.page().textContent("#run")).contains("Labels and dates");
        desk.step("Shoulder and head room").asDrawn().asDrawn();
        desk.step("Inch test").tap("by the caregiver’s own hand").asDrawn().tap("Snug");
        desk.asDrawn().tap("read by the caregiver");
    }

    @Test
    void andByKeysAlone() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            begin(desk, "L-2", "Lene");
            desk.keyboardOnly();
            assertThat(toTheSignature(desk)).isLessThanOrEqualTo(MOST);
            assertThat(desk.state()).isEqualTo("Ready to hand over");
            desk.isQuiet();
        }
    }

    @Test
    void whatIsNotSoIsToldByItselfAndTheLookIsTakenBackWhole() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("marit");
            begin(desk, "L-3", "Lucie");
            desk.tap("No").tap("No order");
            label(desk, "WT-211");
            assertThat(desk.page().locator(".look .one-mark").count()).isEqualTo(4);
            desk.isAccessible("a look");
            desk.fitsItsWidth("a look");
            desk.page().locator(".keep input").first().uncheck();
            desk.tap("Something was added");
            assertThat(desk.page().locator(".keep input").first().isChecked())
                    .as("what was left out stays out")
                    .isFalse();
            int before = app.newestKinds("Lucie", 500).size();
            desk.asDrawn();
            assertThat(app.newestKinds("Lucie", 2)).containsExactly("answered", "answered");
            assertThat(app.newestKinds("Lucie", 500).size()).isEqualTo(before + 2);
            desk.click(".undo button");
            assertThat(app.newestKinds("Lucie", 4)).containsExactly("noted", "withdrawn", "noted", "withdrawn");
            assertThat(desk.page().textContent("#now .look")).contains("Both, paper or screen", "Owned from new");
            desk.isQuiet();
        }
    }

    @Test
    void aLookThatHasChangedIsNotTaken() {
        try (Desk desk = new Desk(app.address(), 1280, 800);
                Desk colleague = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            begin(desk, "L-4", "Levin");
            desk.tap("No").tap("No order");
            label(desk, "WT-211");
            desk.page().route("**/changes*", route -> route.abort());
            String fitting = desk.page().url();
            colleague.signIn("ansel");
            colleague.page().navigate(fitting);
            colleague.tap("A donor who can vouch");
            int before = app.newestKinds("Levin", 500).size();
            desk.asDrawn();
            assertThat(desk.page().textContent("#now .refused")).contains("changed since");
            assertThat(app.newestKinds("Levin", 500).size())
                    .as("none of it was kept")
                    .isEqualTo(before);
        }
    }
}
