package app.layette.web.journey;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * How many frames a second the browser draws while something is dragged, from the browser's own trace. It reports and
 * asserts nothing; run with {@code ./layette bench frames}.
 */
class FramesReport {
    private static final int SECONDS = 3;
    private static final String MOVE = """
            ([x, y, dx, dy, seconds]) => new Promise((done) => {
              const begun = performance.now();
              const held = document.elementFromPoint(x, y) ?? document.body;
              const step = (now) => {
                const share = 0.5 - 0.5 * Math.cos((now - begun) / 250);
                held.dispatchEvent(new PointerEvent("pointermove", {
                  bubbles: true, cancelable: true, pointerId: 1, isPrimary: true, buttons: 1,
                  clientX: x + dx * share, clientY: y + dy * share }));
                if (now - begun < seconds * 1000) { requestAnimationFrame(step); } else { done(); }
              };
              requestAnimationFrame(step);
            })""";
    private static final double MICROSECONDS = 1_000_000;

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private final List<String> lines = new ArrayList<>();

    private record Way(double x, double y) {}

    @Test
    void whileDragging() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/?find=Linnea").click("tbody a");
            String linnea = fitting(desk);
            desk.open("/?find=Tamsin").click("tbody a");
            String tamsin = fitting(desk);
            drag(
                    desk.open(tamsin + "?step=PLACE&view=cabin"),
                    "cabin: a restraint",
                    "svg.view-cabin [data-part=restraint]",
                    new Way(-90, 130));
            drag(
                    desk.open(tamsin + "?step=RECLINE_DEVICE&view=side"),
                    "side: the recline device",
                    "svg.view-side .can-drag",
                    new Way(0, -60));
            drag(
                    desk.open(tamsin + "/riders"),
                    "riders: a restraint",
                    "#together svg a[data-target^=rider]",
                    new Way(-60, 150));
            drag(
                    desk.open(linnea + "/rethread"),
                    "straps: a webbing",
                    "svg.view-shell-back [data-part=belt-1]",
                    new Way(40, 120));
            drag(desk.open(tamsin + "/trip?driving=2%20h"), "trip: a stop", "#trip-plan .stop", new Way(120, 0));
            desk.open("/bench").page().click("form:has(input[value=FIND]):has(h2) button");
            desk.page().waitForLoadState();
            desk.page().click(".drill-views a >> nth=0");
            desk.page().waitForSelector("svg.view-bench");
            drag(desk, "bench: a press", "svg.view-bench a[href*='what=MIDDLE']", new Way(0, 90));
        }
        System.out.println("{\"frames\": [" + String.join(", ", lines) + "]}");
    }

    private static String fitting(Desk desk) {
        return desk.page().url().replaceAll(".*/fittings/([0-9a-f-]*).*", "/fittings/$1");
    }

    private void drag(Desk desk, String what, String part, Way way) {
        Page page = desk.page();
        Locator held = page.locator(part).first();
        if (held.count() == 0) {
            lines.add("{\"what\": \"" + what + "\", \"found\": false}");
            return;
        }
        held.scrollIntoViewIfNeeded();
        var box = held.boundingBox();
        Browser browser = page.context().browser();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        browser.startTracing(
                page,
                new Browser.StartTracingOptions()
                        .setCategories(List.of(
                                "devtools.timeline",
                                "devtools.timeline.frame",
                                "disabled-by-default-devtools.timeline.frame")));
        // The hand moves with every frame that there is: whoever steers from outside would be slower than the browser.
        page.evaluate(MOVE, List.of(x, y, way.x(), way.y(), SECONDS));
        byte[] trace = browser.stopTracing();
        page.mouse().up();
        page.waitForTimeout(400);
        lines.add(report(what, trace));
    }

    private static String report(String what, byte[] trace) {
        List<Double> drawn = new ArrayList<>();
        double scripts = 0;
        for (JsonNode event : JsonMapper.shared().readTree(trace).path("traceEvents")) {
            String name = event.path("name").asString("");
            if (name.equals("DrawFrame")) {
                drawn.add(event.path("ts").asDouble());
            } else if (name.equals("FunctionCall")) {
                scripts = Math.max(scripts, event.path("dur").asDouble(0));
            }
        }
        Collections.sort(drawn);
        List<Double> gaps = new ArrayList<>();
        for (int i = 1; i < drawn.size(); i++) {
            gaps.add((drawn.get(i) - drawn.get(i - 1)) / 1000);
        }
        Collections.sort(gaps);
        double seconds = drawn.isEmpty() ? 1 : (drawn.get(drawn.size() - 1) - drawn.get(0)) / MICROSECONDS;
        return String.format(
                Locale.ROOT,
                "{\"what\": \"%s\", \"frames\": %d, \"perSecond\": %.1f, \"medianGapMs\": %.1f, \"p95GapMs\": %.1f, \"longestScriptMs\": %.1f}",
                what,
                drawn.size(),
                drawn.size() / seconds,
                at(gaps, 0.5),
                at(gaps, 0.95),
                scripts / 1000);
    }

    private static double at(List<Double> sorted, double share) {
        return sorted.isEmpty() ? 0 : sorted.get((int) Math.min(sorted.size() - 1.0, sorted.size() * share));
    }
}
