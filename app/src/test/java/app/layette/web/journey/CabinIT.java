package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Where in the car, by which method, and does the belt reach: chosen on the drawing and carried out. */
class CabinIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    /** Taps an answer on the drawing and reads why. */
    private static String why(Desk desk, String place, String method, String answer) {
        desk.page().click("svg.view-cabin a[aria-label^='" + place + ", ']", new Page.ClickOptions().setForce(true));
        desk.page().waitForFunction("place => document.querySelector('.which-place')?.textContent === place", place);
        desk.settled();
        desk.page().click("#now .ways a:has(b:text-is('" + method + "'))");
        desk.page()
                .waitForFunction("method => document.querySelector('.place-why h3')?.textContent === method", method);
        desk.settled();
        assertThat(desk.page().textContent(".place-why .verdict").strip()).isEqualTo(answer);
        return desk.page().textContent(".place-why");
    }

    private static void choose(Desk desk) {
        desk.page()
                .waitForResponse(response -> response.url().endsWith("/entries"), () -> desk.click(".place-why .go"));
        desk.page().waitForFunction("() => !document.querySelector('.busy')");
    }

    @Test
    void storageUnderTheFloorIsAnsweredAtEveryPlace() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ansel").click("text=Juniper");
            desk.step("Place and method");
            desk.page().waitForSelector("svg.view-cabin");
            assertThat(desk.page().textContent(".place-why"))
                    .contains("Second row, right", "Base with lower anchors", "Under-floor storage");
            desk.isAccessible("cabin");
            String middle = why(desk, "Third row, right", "Base with the seat belt", "allowed");
            assertThat(middle).contains("Third row, right", "Choose this place");
            choose(desk);
            assertThat(desk.page().textContent("#now .changed, #now"))
                    .contains("dropped, as Base with the seat belt does without", "Own anchors");
            desk.isQuiet();
        }
    }

    @Test
    void aTaxiRideByEuropeanRoutingReachesOnlyBuckledLast() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("marit").click("text=Bastian");
            assertThat(desk.title()).isEqualTo("Harness the child");
            desk.tap("Nothing").tap("Thin clothes only").tap("Snug").tap("At the armpits");
            assertThat(desk.title()).isEqualTo("Route the belt");
            assertThat(desk.page().textContent("#now")).contains("not buckled yet", "Do not tip the carrier");
            assertThat(desk.page().textContent("svg.view-belt"))
                    .contains("reaches buckled last", "too short buckled first");
            desk.isAccessible("belt");
            desk.fitsItsWidth("belt");
            desk.tap("round behind the shell").tap("The one of that place").goOn();
            desk.tap("Tightened").tap("It stayed").tap("Whole on the cushion").tap("Less than an inch");
            assertThat(desk.title()).isEqualTo("Level, child in");
            desk.tap("Ball wholly inside").tap("Up: allowed").tap("A flat hand or more");
            assertThat(desk.title()).isEqualTo("Teach-back");
            assertThat(desk.page().textContent("#now")).doesNotContain("Carrier on and off");
            desk.isQuiet();
        }
    }

    @Test
    void anEarlyBabyRidesFlatInACarBed() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("tove").click("text=Isolde");
            assertThat(desk.title()).isEqualTo("Route the belt");
            assertThat(desk.page().textContent("#run")).doesNotContain("Level", "Slots", "Carrier on the base");
            desk.tap("Through other guides");
            assertThat(desk.page().textContent("#findings")).contains("1 to put right");
            desk.tap("through every guide").tap("The one of that place");
            desk.tap("Tightened").tap("It stayed").tap("Round the lap part").tap("All feet on the cushion");
            desk.tap("Less than an inch");
            assertThat(desk.title()).isEqualTo("Harness the child");
            desk.tap("Nothing").tap("Thin clothes only").tap("Snug").tap("Flat, head the other way");
            assertThat(desk.page().textContent("#findings")).contains("lies the other way");
            desk.tap("Flat on the back");
            assertThat(desk.title()).isEqualTo("Teach-back");
            desk.click("text=The family’s page");
            assertThat(desk.page().textContent("main")).contains("Flat on the back", "End straps off the lap part");
            desk.isQuiet();
        }
    }

    @Test
    void aLayFlatCarrierTakesTwoPlaces() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ansel").click("text=Rowan");
            assertThat(desk.title()).isEqualTo("Place and method");
            assertThat(why(desk, "Front row, right", "Lay-flat across two places", "not allowed"))
                    .contains("not allowed", "Front row, right");
            assertThat(why(desk, "Second row, left", "Lay-flat across two places", "allowed"))
                    .contains("Second row, middle; its belt is free");
            choose(desk);
            desk.tap("The car is ready");
            desk.tap("Nothing")
                    .tap("Thin clothes only")
                    .tap("Snug")
                    .tap("At the armpits")
                    .tap("Flat on the back");
            desk.tap("Both fittings hooked")
                    .tap("The one of that place")
                    .tap("The one of that place")
                    .tap("Tightened")
                    .tap("It stayed")
                    .tap("Whole on");
            desk.tap("Less than an inch");
            assertThat(desk.title()).isEqualTo("Handle and gap");
            desk.tap("Towards the head end: allowed");
            assertThat(desk.title()).isEqualTo("Teach-back");
            desk.isQuiet();
        }
    }

    @Test
    void aTryThatComesLateIsNotLaidOverWhatWasChosenMeanwhile() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ansel").click("text=Rowan");
            why(desk, "Second row, left", "Lay-flat across two places", "allowed");
            List<Route> late = new ArrayList<>();
            desk.page().route("**/place?**", late::add);
            desk.page()
                    .click(
                            "svg.view-cabin a[aria-label^='Front row, right, ']",
                            new Page.ClickOptions().setForce(true));
            desk.page().waitForCondition(() -> !late.isEmpty());
            choose(desk);
            assertThat(desk.title()).isEqualTo("Prepare the car");
            desk.page()
                    .waitForResponse(
                            response -> response.url().contains("/place?"),
                            () -> late.get(0).resume());
            desk.page().waitForTimeout(300);
            assertThat(desk.title()).isEqualTo("Prepare the car");
            assertThat(desk.page().url()).doesNotContain("pick=");
            desk.isQuiet();
        }
    }

    /** The middle of a shape on the screen. */
    private static double[] middle(Desk desk, String css) {
        BoundingBox box = desk.page().locator(css).first().boundingBox();
        return new double[] {box.x + box.width / 2, box.y + box.height / 2};
    }

    @Test
    void thePlaceIsChosenByDraggingTheRestraint() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            desk.step("Place and method");
            double[] from = middle(desk, "svg.view-cabin [data-part=restraint] > path");
            double[] to = middle(desk, "svg.view-cabin a[aria-label^='Second row, left'] > path");
            desk.page().mouse().move(from[0], from[1]);
            desk.page().mouse().down();
            desk.page().mouse().move(to[0], to[1] - 60, new Mouse.MoveOptions().setSteps(8));
            desk.page().mouse().move(to[0], to[1], new Mouse.MoveOptions().setSteps(4));
            desk.page()
                    .waitForFunction("() => document.querySelector('.which-place').textContent === 'Second row, left'"
                            + " && document.querySelector('.would-change') !== null");
            assertThat(desk.page().textContent("#head"))
                    .as("tried is not chosen")
                    .contains("Second row, right");
            desk.page().mouse().up();
            desk.page()
                    .waitForFunction("() => document.querySelector('svg.view-cabin [data-part=restraint]')"
                            + ".getAttribute('transform') === null");
            double[] now = middle(desk, "svg.view-cabin [data-part=restraint] > path");
            assertThat(now[1]).isCloseTo(to[1], within(6.0));
            assertThat(desk.page().evaluate("() => window.scrollY")).isEqualTo(0);
            choose(desk);
            assertThat(desk.page().textContent("#head")).contains("Second row, left");
            desk.isQuiet();
        }
    }

    @Test
    void thePlaceIsChosenByFinger() {
        try (Desk desk = Desk.withFinger(app.address(), 820, 1180)) {
            desk.signIn("marit").click("text=Tamsin");
            desk.step("Place and method");
            desk.page().locator("svg.view-cabin").scrollIntoViewIfNeeded();
            double[] from = middle(desk, "svg.view-cabin [data-part=restraint] > path");
            double[] to = middle(desk, "svg.view-cabin a[aria-label^='Second row, left'] > path");
            desk.drawFinger(from[0], from[1], to[0], to[1]);
            desk.page()
                    .waitForFunction("() => document.querySelector('.which-place').textContent === 'Second row, left'");
            desk.liftFinger();
            desk.page()
                    .waitForFunction("() => document.querySelector('svg.view-cabin [data-part=restraint]')"
                            + ".getAttribute('transform') === null");
            choose(desk);
            assertThat(desk.page().textContent("#head")).contains("Second row, left");
            desk.isQuiet();
        }
    }

    @Test
    void thePlaceIsTriedByArrowKeysAndTheFocusStays() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            desk.step("Place and method");
            desk.page().focus("svg.view-cabin a[aria-label^='Second row, right']");
            desk.page().keyboard().press("ArrowDown");
            desk.page()
                    .waitForFunction(
                            "() => document.querySelector('.which-place').textContent === 'Second row, middle'");
            desk.page()
                    .waitForFunction(
                            "() => document.activeElement.getAttribute('aria-label')?.startsWith('Second row, middle')");
            desk.page().keyboard().press("ArrowDown");
            desk.page()
                    .waitForFunction(
                            "() => document.activeElement.getAttribute('aria-label')?.startsWith('Second row, left')");
            desk.page()
                    .waitForFunction("() => document.querySelector('.which-place').textContent === 'Second row, left'");
            desk.page().keyboard().press("b");
            desk.page()
                    .waitForFunction(
                            "() => document.querySelector('.place-why h3').textContent === 'Base with the seat belt'");
            choose(desk);
            assertThat(desk.page().textContent("#head")).contains("Second row, left");
            desk.isQuiet();
        }
    }

    /** Twins of one family are one fitting: where the one stands the other finds no place, and is dragged to another. */
    @Test
    void aTwinIsSeatedByDrag() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            desk.step("Place and method");
            desk.click("text=Several riders in this car");
            desk.page().waitForURL("**/riders");
            desk.page().click(".joins > summary");
            desk.click(".joins .go");
            assertThat(desk.page().textContent(".joins .refused")).contains("name");
            desk.page().fill(".joins [name=childName]", "Tobias");
            desk.click(".joins .go");
            desk.page().waitForSelector("#now-title");
            assertThat(desk.page().textContent("#head .besides")).contains("Tamsin");
            desk.step("Place and method");
            assertThat(desk.page().textContent("svg.view-cabin")).contains("the other one stands here");
            double[] from = middle(desk, "svg.view-cabin [data-part=restraint] > path");
            double[] to = middle(desk, "svg.view-cabin a[aria-label^='Second row, left'] > path");
            desk.page().mouse().move(from[0], from[1]);
            desk.page().mouse().down();
            desk.page().mouse().move(to[0], to[1], new Mouse.MoveOptions().setSteps(10));
            desk.page().mouse().up();
            desk.page()
                    .waitForFunction("() => document.querySelector('.which-place').textContent === 'Second row, left'");
            choose(desk);
            assertThat(desk.page().textContent("#head")).contains("Tobias", "Second row, left");
            desk.isAccessible("cabin of a twin");
            desk.isQuiet();
        }
    }

    @Test
    void aChangeOfMethodHalfWayKeepsWhatStillHolds() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            desk.step("Place and method");
            why(desk, "Second row, right", "Base with the seat belt", "allowed");
            choose(desk);
            assertThat(desk.page().textContent("#now .changed"))
                    .contains("dropped, as Base with the seat belt does without: Own anchors")
                    .contains("asked for by Base with the seat belt");
            assertThat(desk.page().textContent("#run"))
                    .contains("Route the belt")
                    .doesNotContain("Hook both anchors");
            assertThat(desk.page().locator("#run .step.done").allTextContents())
                    .anyMatch(step -> step.contains("Slots and webbing"))
                    .noneMatch(step -> step.contains("Inch test"));
            assertThat(desk.state()).isEqualTo("Not ready to hand over");
            desk.isQuiet();
        }
    }
}
