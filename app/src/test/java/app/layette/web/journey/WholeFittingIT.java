package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Whole fittings by other hands: keys alone, a phone, by the belt. */
class WholeFittingIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @Test
    void byKeyboardOnly() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            Walk.begin(desk, "K-1", "Keya");
            desk.keyboardOnly();
            Walk.toReady(desk);
            assertThat(desk.state()).isEqualTo("Ready to hand over");
            Walk.handOver(desk);
            desk.isQuiet();
        }
    }

    @Test
    void onAPhone() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("tove");
            Walk.begin(desk, "K-2", "Phoebe");
            Walk.toReady(desk);
            desk.fitsItsWidth("the last step");
            Walk.handOver(desk);
            desk.isQuiet();
        }
    }

    @Test
    void byTheBeltWhereThereAreNoAnchors() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            Walk.begin(desk, "K-3", "Beatrix");
            Walk.seatAndChild(desk);
            desk.click("#ask-place .fold:has-text('Not allowed') summary");
            desk.tap("Second row, middle: Base with lower anchors");
            assertThat(desk.page().textContent("#now")).contains("may not borrow the inner anchors");
            desk.tap("Second row, middle: Base with the seat belt");
            assertThat(desk.page().textContent("#run"))
                    .contains("Route the belt")
                    .doesNotContain("Hook both anchors");
            Walk.baseLabel(desk);
            desk.tap("Level, along and across")
                    .tap("The car is ready")
                    .tap("2 ·")
                    .goOn();
            desk.tap("Flat through the base").tap("Another one");
            assertThat(desk.page().textContent("#now")).contains("Buckled in the buckle of another place.");
            desk.tap("The one of that place").tap("Tightened");
            desk.tap("Closed, belt flat").tap("It ran out");
            assertThat(desk.page().textContent("#now")).contains("it is not locked");
            desk.tap("It stayed")
                    .tap("Whole on the cushion")
                    .tap("The seat belt alone")
                    .goOn();
            assertThat(desk.title()).isEqualTo("Inch test");
            desk.isQuiet();
        }
    }

    @Test
    void aSeatThatIsNotOnTheShelfStaysBlockedWhereNobodyRead() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/fittings/new");
            desk.newFamily("reference", "K-4");
            desk.newFamily("childName", "Quentin");
            desk.newFamily("born", LocalDate.now().minusDays(20).toString());
            desk.newFamily("mass", "4.1 kg");
            desk.newFamily("seat", "quick-seat");
            desk.click(".begin .go");
            desk.step("Labels and dates");
            desk.fill("name", "Unlabelled shell").fill("model", "Z-9").fill("page", "8");
            desk.fill("weightMin", "5 lb").fill("weightMax", "22 lb");
            desk.fill("slots", "40").send("Keep this seat");
            assertThat(desk.page().textContent("#now")).contains("(40)", "1 to 12");
            desk.fill("slots", "4").send("Keep this seat");
            assertThat(desk.page().textContent("#head")).contains("Unlabelled shell");
            desk.step("Shoulder and head room").tap("Between slots 2 and 3");
            assertThat(desk.page().textContent("#findings")).contains("The lowest slot is at or below the shoulder");
            assertThat(desk.page().textContent("#findings")).contains("inside 5 lb to 22 lb", "is not known");
            assertThat(desk.state()).isEqualTo("Not ready to hand over");
        }
    }
}
