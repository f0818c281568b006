package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A trip as a line of time: stops are dragged by quarters of an hour, and what grows too long says so. */
class TripIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static String legs(Desk desk) {
        return desk.page().getAttribute("#trip-plan", "data-legs");
    }

    @Test
    void aStopIsMovedByKeysAndByDrag() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            String fitting = desk.page().url().replaceAll(".*/fittings/([0-9a-f-]*).*", "/fittings/$1");
            desk.open(fitting + "/trip?driving=2%20h");
            assertThat(legs(desk)).isEqualTo("30,30,30,30");
            desk.isAccessible("trip");
            desk.page().focus(".stop[data-stop='0']");
            desk.page().keyboard().press("ArrowRight");
            desk.page().waitForFunction("() => document.getElementById('trip-plan').dataset.legs === '45,15,30,30'");
            assertThat(desk.page().textContent("#trip-plan .refused")).contains("longer than 30 min");
            assertThat(desk.page().evaluate("() => document.activeElement.dataset.stop"))
                    .isEqualTo("0");
            desk.page().keyboard().press("ArrowLeft");
            desk.page().waitForFunction("() => document.getElementById('trip-plan').dataset.legs === '30,30,30,30'");
            assertThat(desk.page().locator("#trip-plan .refused").count()).isZero();
            BoundingBox grip = desk.page().locator(".stop[data-stop='1'] .grip").boundingBox();
            double perMinute = desk.page().locator(".leg >> nth=0").boundingBox().width / 30;
            desk.page().mouse().move(grip.x + grip.width / 2, grip.y + grip.height / 2);
            desk.page().mouse().down();
            desk.page()
                    .mouse()
                    .move(
                            grip.x + grip.width / 2 - 13 * perMinute,
                            grip.y + grip.height / 2,
                            new Mouse.MoveOptions().setSteps(5));
            desk.page().mouse().up();
            desk.page().waitForFunction("() => document.getElementById('trip-plan').dataset.legs === '30,15,45,30'");
            assertThat(desk.page().url()).contains("legs=30");
            desk.isQuiet();
        }
    }

    @Test
    void aStopIsMovedByAFinger() {
        try (Desk desk = Desk.withFinger(app.address(), 820, 1180)) {
            desk.signIn("marit").click("text=Tamsin");
            String fitting = desk.page().url().replaceAll(".*/fittings/([0-9a-f-]*).*", "/fittings/$1");
            desk.open(fitting + "/trip?driving=2%20h");
            BoundingBox grip = desk.page().locator(".stop[data-stop='1'] .grip").boundingBox();
            double perMinute = desk.page().locator(".leg >> nth=0").boundingBox().width / 30;
            double x = grip.x + grip.width / 2;
            double y = grip.y + grip.height / 2;
            desk.drawFinger(x, y, x - 13 * perMinute, y).liftFinger();
            desk.page().waitForFunction("() => document.getElementById('trip-plan').dataset.legs === '30,15,45,30'");
            desk.isQuiet();
        }
    }
}
