package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The straps by hand: the end of a webbing is dragged, wrong moves are refused where they happen, without a signal too. */
class StrapsIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static Desk atTheStraps(String child) {
        Desk desk = Desk.keepingPages(app.address(), 1280, 800);
        desk.signIn("marit").click("text=" + child);
        String fitting = desk.page().url().replaceAll(".*/fittings/([0-9a-f-]*).*", "/fittings/$1");
        desk.open(fitting + "/rethread");
        desk.page().waitForSelector(".view-shell-back .can-drag");
        return desk;
    }

    /** The end of a webbing is its disc; where it goes is said in the view's own millimetres. */
    private static void drag(Desk desk, String part, double x, double y) {
        BoundingBox end = desk.page()
                .locator(".view-shell-back [data-part=" + part + "] circle")
                .boundingBox();
        List<?> to = (List<?>) desk.page()
                .evaluate(
                        "([x, y]) => { const svg = document.querySelector('.view-shell-back');"
                                + " const at = new DOMPoint(x, y).matrixTransform(svg.getScreenCTM());"
                                + " return [at.x, at.y]; }",
                        List.of(x, y));
        desk.page().mouse().move(end.x + end.width / 2, end.y + end.height / 2);
        desk.page().mouse().down();
        desk.page()
                .mouse()
                .move(
                        ((Number) to.get(0)).doubleValue(),
                        ((Number) to.get(1)).doubleValue(),
                        new Mouse.MoveOptions().setSteps(6));
        desk.page().mouse().up();
    }

    @Test
    void aWrongDragIsRefusedWhereItHappensAndARightOneIsKept() {
        try (Desk desk = atTheStraps("Linnea")) {
            drag(desk, "belt-1", 260, -20);
            assertThat(desk.page().textContent("#straps-refused")).contains("loosen the harness fully first");
            desk.click("#moves .go:not(.quiet)");
            desk.page().waitForSelector(".made li");
            desk.page().waitForSelector(".view-shell-back .can-drag");
            desk.page().waitForResponse(response -> response.url().endsWith("/rethread"), () -> {
                drag(desk, "belt-1", 260, -20);
            });
            desk.page().waitForFunction("() => document.querySelectorAll('.made li').length === 2");
            assertThat(app.newestKinds("Linnea", 2)).containsExactly("webbingMoved", "webbingMoved");
            assertThat(desk.page().locator("#moves > form:not([data-sent])").count())
                    .as("at most three, the right one first")
                    .isEqualTo(3);
            withoutASignal(desk);
        }
    }

    /** The hands go on, what is wrong is refused all the same, and all is sent once when the signal is back. */
    private static void withoutASignal(Desk desk) {
        desk.offline(true);
        double slot = ((Number) desk.page()
                        .evaluate("() => { const wanted = document.querySelector('.view-shell-back > path.ink-hands')"
                                + ".getBBox(); return wanted.y + wanted.height / 2; }"))
                .doubleValue();
        drag(desk, "belt-1", 72, slot);
        waits(desk, 1);
        // Turned round, the pad shows what the back cannot: its opening is still the old one.
        desk.page().click(".turn");
        assertThat(desk.page().textContent("svg.view-shell-front [data-part=belt-1]"))
                .contains("pad 3, shell 1");
        desk.page().waitForFunction("() => getComputedStyle(document.querySelector('.face')).visibility === 'hidden'");
        desk.page().click(".turn");
        desk.page()
                .waitForFunction("() => getComputedStyle(document.querySelector('.face')).visibility === 'visible'"
                        + " && document.querySelector('.face').getAnimations().length === 0");
        drag(desk, "belt-2", -260, -20);
        assertThat(desk.page().textContent("#straps-refused")).contains("Not both at once");
        drag(desk, "belt-1", 0, -96);
        assertThat(desk.page().textContent("#straps-refused")).contains("shell and pad are at different slots");
        drag(desk, "belt-1", 72, slot);
        waits(desk, 2);
        drag(desk, "belt-1", 0, -96);
        waits(desk, 3);
        desk.offline(false);
        desk.page().evaluate("window.dispatchEvent(new Event('online'))");
        desk.page().waitForFunction("() => document.getElementById('outbox-title').textContent === ''");
        assertThat(app.newestKinds("Linnea", 5)).containsOnly("webbingMoved");
        desk.page().reload();
        assertThat(desk.page().locator(".made li").count()).isEqualTo(5);
    }

    private static void waits(Desk desk, int entries) {
        desk.page()
                .waitForFunction(
                        "count => document.getElementById('outbox-title').textContent.startsWith(count)",
                        String.valueOf(entries));
    }
}
