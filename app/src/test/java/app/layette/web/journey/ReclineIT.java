package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.measure.Angle;
import app.layette.core.recline.IndicatorZones;
import app.layette.core.seat.Indicator;
import app.layette.core.seat.Indicator.Reading;
import app.layette.core.seat.Recline;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.document.SheetReader;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The recline set by dragging, by looks, by sensors and by a roll, in a car of which only the test knows the truth. */
class ReclineIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void waitForTried(Desk desk, String words) {
        desk.page().waitForFunction("words => document.getElementById('tried').textContent.includes(words)", words);
    }

    @Test
    void aDragChangesTheAdviceAndSetsIt() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Aldis");
            desk.step("Recline device");
            String before = desk.page().textContent("#tried");
            Locator seat = desk.page().locator("#board [data-part=restraint]");
            BoundingBox box = seat.boundingBox();
            double footEnd = box.x + box.width * 0.85;
            double middle = box.y + box.height * 0.8;
            desk.page().mouse().move(footEnd, middle);
            desk.page().mouse().down();
            desk.page().mouse().move(footEnd, middle - 26);
            desk.page().mouse().move(footEnd, middle - 52);
            assertThat(seat.getAttribute("transform"))
                    .as("the drawing follows the finger at once")
                    .startsWith("translate(");
            desk.page().mouse().up();
            waitForTried(desk, "Turn the dial to 4");
            assertThat(desk.page().textContent("#tried")).isNotEqualTo(before);
            assertThat(desk.page().locator("#board .ghost").count())
                    .as("how it stands now, for comparison")
                    .isEqualTo(1);
            desk.page().keyboard().press("t");
            desk.page().keyboard().press("ArrowLeft");
            waitForTried(desk, "Turn the dial to 3½");
            desk.page()
                    .waitForResponse(
                            response -> response.url().endsWith("/entries"),
                            () -> desk.page().keyboard().press("Enter"));
            desk.page().waitForSelector("#ladder .rung.at[data-row='7']");
            assertThat(desk.page().textContent("#tried")).doesNotContain("Turn the dial");
            desk.isQuiet();
        }
    }

    /** The cushion drops 8°, its sheet says 12°; nobody tells the application. */
    @Test
    void atMostThreeLooksByPictureLandInsideTheBand() throws IOException {
        SeatSheet sheet =
                SheetReader.seat(Files.readString(Path.of("..", "examples", "sheets", "wrenfold-thimble.json")));
        Recline recline = sheet.recline();
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            Walk.begin(desk, "R-1", "Gudrun");
            Walk.seatAndChild(desk);
            desk.tap("Second row, right: Base with lower anchors");
            Walk.baseLabel(desk);
            desk.tap("Level, along and across").tap("The car is ready");
            Reading seen = Reading.OUTSIDE_RECLINED;
            int looks = 0;
            while (seen != Reading.INSIDE && looks < 3) {
                String advised = desk.page().textContent(".advised h3");
                String step = advised.substring(advised.length() - 1);
                if (!advised.startsWith("Foot is on")) {
                    if (desk.page().locator("#ask-device[open]").count() == 0) {
                        desk.click("#ask-device > summary");
                    }
                    desk.tap(step + " ·");
                }
                seen = truth(recline, step, 8);
                desk.tap(sentence(seen));
                looks++;
            }
            assertThat(looks).as("the sheet alone is not enough here").isBetween(2, 3);
            assertThat(desk.title()).isEqualTo("Hook both anchors");
            desk.tap("Both clicked").tap("Tightened").tap("Straight, tail stowed");
            desk.tap("Whole on the cushion").tap("The lower anchors alone");
            desk.tap(sentence(seen));
            desk.tap("Less than an inch").tap("All show locked");
            Walk.childIn(desk);
            desk.tap(sentence(seen));
            assertThat(desk.page().textContent("#run")).doesNotContain("put right");
            desk.isQuiet();
        }
    }

    /** What is kept to be rolled says how high it lies, by its own softness; a strange one is refused and nothing is lost. */
    @Test
    void whatLiesReadySaysHowHighItMakesAFootEnd() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ilse").open("/rolls");
            desk.page().fill("form:has([value=NOODLE]) [name=goodName]", "Green <i>noodle</i>");
            desk.page().fill("[name=diameter]", "9000 mm");
            desk.page().selectOption("[name=softness]", "SOFT");
            desk.click("text=Keep the noodle");
            assertThat(desk.page().textContent(".problem")).contains("9000 mm");
            assertThat(desk.page().inputValue("form:has([value=NOODLE]) [name=goodName]"))
                    .isEqualTo("Green <i>noodle</i>");
            desk.page().fill("[name=diameter]", "73 mm");
            desk.page().selectOption("[name=softness]", "SOFT");
            desk.click("text=Keep the noodle");
            // 73 mm times 0.65, and times 1 + √3/2 of it (REC-6).
            assertThat(desk.page().textContent("tr:has-text('Green <i>noodle</i>')"))
                    .contains("1.9 in high", "triangle 3.5 in");
            assertThat(desk.page()
                            .locator("tr:has-text('Green') .roll-picture ellipse")
                            .count())
                    .isEqualTo(4);
            desk.page().click("tr:has-text('Green') button");
            desk.page()
                    .waitForCondition(
                            () -> desk.page().locator("tr:has-text('Green')").count() == 0);
            desk.isQuiet();
        }
    }

    private static Reading truth(Recline recline, String name, double slope) {
        Recline.Step step = recline.device().value().orElseThrow().steps().stream()
                .filter(each -> each.name().text().equals(name))
                .findFirst()
                .orElseThrow();
        double tilt = Math.toDegrees(Math.asin(step.lift().millimetres()
                / recline.contact().value().orElseThrow().millimetres()));
        Indicator indicator = recline.indicator().value().orElseThrow();
        Angle stands = Angle.ofDegrees(recline.theta0().value().orElseThrow().degrees() - slope + tilt);
        return new IndicatorZones(indicator, indicator.bands().get(0).borders().orElseThrow()).reading(stands);
    }

    private static String sentence(Reading reading) {
        return Map.of(
                        Reading.OUTSIDE_UPRIGHT, "Bubble outside, head-end side",
                        Reading.PART_UPRIGHT, "Bubble half out, head-end side",
                        Reading.INSIDE, "Bubble between the lines",
                        Reading.PART_RECLINED, "Bubble half out, foot-end side",
                        Reading.OUTSIDE_RECLINED, "Bubble outside, foot-end side")
                .get(reading);
    }

    @Test
    void aSlopingYardGivesAProvisionalThenARefusedReading() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("tove").click("text=Aldis");
            desk.step("Level, child in").tap("Ball wholly inside");
            assertThat(desk.page().textContent("#findings")).contains("provisional");
            desk.step("Level ground");
            desk.page().locator(".ask[open] [name=pitch]").fill("steep");
            desk.send("Keep the number");
            assertThat(desk.page().textContent("#now .problem")).contains("(steep)", "allowed");
            assertThat(desk.page().inputValue(".ask[open] [name=pitch]")).isEqualTo("steep");
            desk.page().locator(".ask[open] [name=pitch]").fill("61");
            desk.send("Keep the number");
            assertThat(desk.page().textContent("#now")).contains("(61", "30");
            assertThat(desk.page().inputValue(".ask[open] [name=pitch]")).isEqualTo("61");
            desk.page().locator(".ask[open] [name=pitch]").fill("4.5");
            desk.send("Keep the number");
            desk.step("Level, child in").tap("Ball wholly inside");
            assertThat(desk.page().textContent("#findings")).contains("counts for nothing");
            desk.isQuiet();
        }
    }

    @Test
    void thePhoneIsCheckedAndThenReadsTheAngle() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("ansel").click("text=Petra");
            desk.step("Recline device").tap("2 ·");
            // The question whether the page may read the sensors has no window here to be asked in.
            desk.page().context().grantPermissions(List.of("accelerometer", "gyroscope", "magnetometer"));
            CDPSession cdp = desk.page().context().newCDPSession(desk.page());
            desk.click("#ask-level-pressed .fold summary");
            tilt(cdp, 1.2);
            desk.click("#ask-level-pressed [data-level-sensor]");
            desk.click(".sensor button:has-text('It lies flat')");
            desk.page().waitForSelector(".sensor button:has-text('Turned round')");
            tilt(cdp, -0.6);
            desk.click(".sensor button:has-text('Turned round')");
            desk.page().waitForSelector(".sensor button:has-text('Take the angle')");
            tilt(cdp, 49.3);
            desk.click(".sensor button:has-text('Take the angle')");
            desk.page().waitForFunction("() => document.querySelector('.ask[open] [name=angle]').value === '41.0'");
            assertThat(desk.page().inputValue(".ask[open] [name=source]")).isEqualTo("DEVICE_SENSOR");
            desk.send("Keep the angle");
            assertThat(app.newestKinds("Petra", 1)).containsExactly("angleRead");
            desk.isQuiet();
        }
    }

    private static void tilt(CDPSession cdp, double beta) {
        JsonObject orientation = new JsonObject();
        orientation.addProperty("alpha", 0);
        orientation.addProperty("beta", beta);
        orientation.addProperty("gamma", 0);
        cdp.send("DeviceOrientation.setDeviceOrientationOverride", orientation);
    }

    @Test
    void theGaugeFillsTheFieldInOnceItAnswers() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ansel").click("text=Juniper");
            desk.step("Recline device");
            desk.click("#ask-level-pressed .fold summary");
            Locator angle = desk.page().locator("#ask-level-pressed [name=angle]");
            for (int attempt = 0; attempt < 20 && angle.inputValue().isEmpty(); attempt++) {
                desk.page()
                        .waitForResponse(
                                response -> response.url().contains("/gauge"),
                                () -> desk.click("#ask-level-pressed [data-gauge]"));
                desk.page()
                        .waitForFunction(
                                "() => /gauge (reads|did not)/.test(document.querySelector('.ask[open] .sensor').textContent)");
            }
            assertThat(Double.parseDouble(angle.inputValue())).isBetween(25.0, 55.0);
            desk.send("Keep the angle");
            assertThat(app.newestKinds("Juniper", 1)).containsExactly("angleRead");
            desk.isQuiet();
        }
    }

    @Test
    void aTowelIsWorkedOutFromWhatLiesThere() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Halvard");
            assertThat(desk.title()).isEqualTo("Recline device");
            assertThat(desk.page().textContent("#ask-roll")).contains("Hand towel: fold to 2 layers", "Allowed.");
            desk.click("#ask-roll .fold:has-text('What I have here') summary");
            desk.page().fill("#ask-roll [name=clothLength]", "80 cm");
            desk.page().fill("#ask-roll [name=clothWidth]", "soft");
            desk.page().fill("#ask-roll [name=clothThickness]", "3 mm");
            desk.click("#ask-roll button:has-text('Work it out')");
            desk.page().waitForSelector("#ask-roll .problem");
            assertThat(desk.page().textContent("#ask-roll .problem")).contains("(soft)", "allowed");
            assertThat(desk.page().inputValue("#ask-roll [name=clothLength]")).isEqualTo("80 cm");
            desk.page().fill("#ask-roll [name=clothWidth]", "50 cm");
            desk.click("#ask-roll button:has-text('Work it out')");
            desk.page().waitForSelector("#ask-roll .choice:has-text('What I have here')");
            desk.tap("What I have here: fold to 2 layers");
            assertThat(desk.page().textContent("#ask-roll .a")).contains("a rolled towel");
            assertThat(app.newestKinds("Halvard", 1)).containsExactly("rollPlaced");
            desk.isQuiet();
        }
    }
}
