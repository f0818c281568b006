package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every word of every drawing is read whole: inside its drawing, and on no other word. */
class LabelsIT {
    /** How much of a word may lie outside, or on another: rounding, and the air that letters have round them. */
    private static final String MEASURE = """
            () => {
              const bad = [];
              const shown = (text) => {
                const style = getComputedStyle(text);
                const box = text.getBoundingClientRect();
                return style.display !== "none" && style.visibility !== "hidden" && box.width > 0 && box.height > 0;
              };
              for (const svg of document.querySelectorAll("main svg")) {
                const frame = svg.getBoundingClientRect();
                if (frame.width === 0 || svg.closest("[hidden], details:not([open]) > :not(summary)")) {
                  continue;
                }
                const texts = [...svg.querySelectorAll("text")].filter(shown);
                const boxes = texts.map((text) => ({ text: text.textContent.trim(), box: text.getBoundingClientRect() }));
                for (const { text, box } of boxes) {
                  const out = Math.max(frame.left - box.left, box.right - frame.right, frame.top - box.top, box.bottom - frame.bottom);
                  if (out > 3) {
                    bad.push(`cut by ${Math.round(out)}: ${text}`);
                  }
                }
                for (let i = 0; i < boxes.length; i++) {
                  for (let j = i + 1; j < boxes.length; j++) {
                    const a = boxes[i].box;
                    const b = boxes[j].box;
                    const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
                    const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
                    if (wide > 2 && high > Math.min(a.height, b.height) * 0.35) {
                      bad.push(`on one another: ${boxes[i].text} / ${boxes[j].text}`);
                    }
                  }
                }
              }
              // Words of the page: what a box cuts off, unless it can be scrolled to.
              for (const each of document.querySelectorAll("body *")) {
                const style = getComputedStyle(each);
                const cuts = ["hidden", "clip"].includes(style.overflowX) && style.clip === "auto" && each.clientWidth > 4;
                if (cuts && each.scrollWidth > each.clientWidth + 3 && each.innerText?.trim() && each.tagName !== "svg") {
                  bad.push(`cut by its box: ${each.innerText.trim().slice(0, 60)}`);
                }
              }
              return bad;
            }""";

    /** What the browser's setting of a larger letter does: everything in letters grows, the window does not. */
    private static final String LETTERS = "percent => { document.documentElement.style.fontSize = percent + '%'; }";

    private static final int WHOLE = 100;

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void look(Desk desk, int letters, String what, List<String> bad) {
        desk.page().waitForLoadState();
        if (letters != WHOLE) {
            desk.page().evaluate(LETTERS, letters);
        }
        desk.page().waitForTimeout(60);
        ((List<?>) desk.page().evaluate(MEASURE)).forEach(each -> bad.add(what + ": " + each));
        desk.fitsItsWidth(what);
    }

    @ParameterizedTest
    @CsvSource({
        "1280, 800, 100, LIGHT",
        "820, 1180, 100, DARK",
        "390, 844, 100, LIGHT",
        "320, 700, 100, LIGHT",
        "1280, 800, 200, DARK",
        "390, 844, 200, LIGHT"
    })
    void areReadWhole(int width, int height, int letters, ColorScheme scheme) {
        List<String> bad = new ArrayList<>();
        try (Desk desk = new Desk(app.address(), width, height, scheme)) {
            desk.signIn("marit");
            // Letters of twice the size change the page and not the drawings: one of each way of fixing tells all.
            for (String child : letters == WHOLE
                    ? new String[] {"Tamsin", "Bramwell", "Linnea", "Juniper", "Rowan", "Bastian", "Isolde"}
                    : new String[] {"Tamsin", "Rowan", "Bastian"}) {
                desk.open("/?find=" + child).click("tbody a");
                String fitting = desk.page().url().replaceAll(".*/fittings/([0-9a-f-]*).*", "/fittings/$1");
                for (String view : new String[] {"side", "cabin", "harness", "belt", "timeline"}) {
                    look(desk.open(fitting + "?step=PLACE&view=" + view), letters, child + " " + view, bad);
                }
                for (String page : new String[] {"/restraints", "/riders", "/as-found?area=HARNESS", "/rethread"}) {
                    look(desk.open(fitting + page), letters, child + " " + page, bad);
                }
            }
            look(desk.open("/quick?family=W-1041&shows=AMERICAN"), letters, "quick", bad);
            look(desk.open("/fittings/new"), letters, "new", bad);
            desk.isQuiet();
        }
        assertThat(bad).isEmpty();
    }
}
