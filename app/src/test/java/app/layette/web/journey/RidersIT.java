package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import java.net.URI;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Several riders in one car: dragged in, from seat to seat and out, by pointer and by keys. */
class RidersIT {
    private static final String CAR = "#together svg.view-cabin:not([aria-hidden]) ";

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static Desk riders() {
        return ridersOn(new Desk(app.address(), 1280, 800));
    }

    private static Desk ridersOn(Desk desk) {
        desk.signIn("marit").click("text=Ida");
        desk.step("Place and method");
        desk.click("text=Several riders in this car");
        desk.page().waitForURL("**/riders");
        return desk;
    }

    private static String rider(String name) {
        return CAR + "a[aria-label^='" + name + ",']";
    }

    private static String seat(String place) {
        return CAR + "[data-target='seat/" + place + "']";
    }

    private static double[] middle(Desk desk, String what) {
        Locator first = desk.page().locator(what).first();
        first.scrollIntoViewIfNeeded();
        var box = first.boundingBox();
        return new double[] {box.x + box.width / 2, box.y + box.height / 2};
    }

    private static void drag(Desk desk, String what, double... to) {
        double[] from = middle(desk, what);
        desk.page().mouse().move(from[0], from[1]);
        desk.page().mouse().down();
        desk.page().mouse().move(to[0], to[1], new Mouse.MoveOptions().setSteps(8));
        desk.page().mouse().up();
    }

    private static void waitFor(Desk desk, String condition) {
        desk.page().waitForFunction("() => " + condition);
    }

    private static void waitForRow(Desk desk, String row) {
        desk.page()
                .waitForFunction(
                        "row => [...document.querySelectorAll('#together dt')].some(dt =>"
                                + " (dt.textContent + ': ' + dt.nextElementSibling.textContent).includes(row))",
                        row);
    }

    @Test
    void twinsAreSeatedByDragAndMovedAndTakenOut() {
        try (Desk desk = riders()) {
            drag(desk, ".token:has-text('Otto')", middle(desk, seat("2-LEFT")));
            waitForRow(desk, "Otto: Second row, left");
            assertThat(desk.page().isChecked(".token:has-text('Otto') input")).isTrue();
            assertThat(desk.page().textContent("#together dd:has-text('Second row, left') .held"))
                    .contains("kept on this seat");
            drag(desk, ".token[data-token=person]", middle(desk, seat("1-RIGHT")));
            waitForRow(desk, "Person 1: Front");
            assertThat(desk.page().locator("#together .plan").count()).isEqualTo(3);
            desk.isAccessible("several riders");

            drag(desk, rider("Otto"), middle(desk, seat("2-RIGHT")));
            waitForRow(desk, "Otto: Second row, right");
            drag(desk, rider("Person 1"), 200, 700);
            waitFor(desk, "document.querySelectorAll('#together dt').length === 2");
            assertThat(desk.page().inputValue("#people")).isEqualTo("0");
            // Let go of the seat, and he is seated as is best for both.
            desk.page().uncheck("#together .held input");
            waitFor(desk, "!document.querySelector('#together .held')");
            assertThat(desk.page().url()).contains("with=").doesNotContain("at=own");
            drag(desk, rider("Ida"), 200, 700);
            desk.page().waitForSelector("text=own child stays in the car");
            desk.isQuiet();
        }
    }

    /** One carrier, two cars, one visit: nothing of child and harness is asked twice, everything of the other car is. */
    @Test
    void theSameCarrierGoesOnIntoAnotherCar() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            String first = URI.create(desk.page().url()).getPath();
            String car = desk.page().textContent("#head div:nth-of-type(3) b");
            desk.open(first + "/riders");
            desk.page().click("#cars > summary");
            desk.page().selectOption("#cars [name=car]", "quick-car");
            desk.click("#cars .go");
            desk.page().waitForURL("**/fittings/*");
            assertThat(desk.page().url()).doesNotContain(first);
            assertThat(desk.page().textContent("#head")).contains("Tamsin");
            assertThat(desk.page().textContent("#head .besides")).contains(car);
            assertThat(desk.page().textContent("#run .step:has-text('Slots and webbing')"))
                    .contains("done");
            assertThat(desk.page().textContent("#run .step:has-text('Place and method')"))
                    .doesNotContain("done");
            desk.step("Hand over");
            assertThat(desk.page().textContent("#now")).contains("It is not said which car this is");
            desk.isAccessible("another car");
            desk.click("#head .besides a");
            assertThat(URI.create(desk.page().url()).getPath()).isEqualTo(first);
            assertThat(desk.page().textContent("#head .besides")).contains("another car");
            desk.open("/");
            assertThat(desk.page().locator("table.list tr:has-text('Tamsin')").allTextContents())
                    .as("told apart where somebody chooses one")
                    .hasSize(2)
                    .anyMatch(row -> row.contains("Car not chosen"))
                    .anyMatch(row -> row.contains(car));
            desk.isQuiet();
        }
    }

    @Test
    void aTwinIsSeatedByAFinger() {
        try (Desk desk = ridersOn(Desk.withFinger(app.address(), 820, 1180))) {
            desk.page().locator(seat("2-LEFT")).first().scrollIntoViewIfNeeded();
            double[] from = middle(desk, ".token:has-text('Otto')");
            double[] to = middle(desk, seat("2-LEFT"));
            desk.drawFinger(from[0], from[1], to[0], to[1]).liftFinger();
            waitForRow(desk, "Otto: Second row, left");
            desk.isQuiet();
        }
    }

    @Test
    void whatCannotBeIsMarkedWhereItFailsAndCanBePutRight() {
        try (Desk desk = riders()) {
            desk.page().selectOption("#people", "2");
            waitForRow(desk, "Person 2");
            drag(desk, rider("Person 2"), middle(desk, seat("2-MIDDLE")));
            waitForRow(desk, "Person 2: Second row, middle");
            drag(desk, rider("Person 1"), middle(desk, seat("2-MIDDLE")));
            desk.page().waitForSelector("#together .refused");
            assertThat(desk.page().textContent("#together .refused"))
                    .contains("Person 1", "Person 2", "Both need Second row, middle")
                    .doesNotContain("Ida");
            assertThat(desk.page().textContent(CAR))
                    .containsPattern("the same\\s*place")
                    .contains("Ida");
            desk.isAccessible("several riders who cannot ride together");
            desk.page().uncheck("#together .refused li:has-text('Person 1') .held input");
            waitForRow(desk, "Person 1");
            desk.page().selectOption("#people", "6");
            desk.page().waitForSelector("#together .refused");
            assertThat(desk.page().textContent("#together .refused")).contains("There is no arrangement", "Person 5");
            desk.isQuiet();
        }
    }

    @Test
    void theKeysDoAllOfIt() {
        try (Desk desk = riders()) {
            desk.page().focus(".token:has-text('Otto') input");
            desk.page().keyboard().press("Space");
            waitForRow(desk, "Otto");
            desk.page().focus(rider("Otto"));
            String before = desk.page().textContent("#together dl");
            desk.page().keyboard().press("ArrowDown");
            desk.page().waitForSelector("#together .held");
            assertThat(desk.page().textContent("#together dl")).isNotEqualTo(before);
            waitFor(desk, "document.activeElement.getAttribute('aria-label')?.startsWith('Otto,')");
            desk.page().keyboard().press("Delete");
            waitFor(desk, "document.querySelectorAll('#together dt').length === 1");
            assertThat(desk.page().isChecked(".token:has-text('Otto') input")).isFalse();
            // One of the other arrangements is looked at, and chosen.
            desk.click("#together .plan >> nth=1");
            desk.page().waitForSelector("#together .plan[aria-current]:has-text('number 2')");
            desk.click("text=Choose this for Ida");
            desk.page().waitForSelector("#now-title");
            assertThat(desk.page().textContent("#head")).contains("Second row");
            desk.isQuiet();
        }
    }
}
