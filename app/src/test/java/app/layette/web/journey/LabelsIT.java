package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

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

    /** Letters of twice the size change the page and not the drawings: one of each way of fixing tells all. */
    private static final List<String> IN_LARGE_LETTERS = List.of("Tamsin", "Rowan", "Bastian", "");

    /**
     * How one looks.
     *
     * @param letters their size in percent of the usual
     */
    private record Screen(int width, int height, int letters, ColorScheme scheme) {
        void isTakenTo(Desk desk) {
            desk.page().setViewportSize(width, height);
            desk.page().emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
            desk.page().evaluate(LETTERS, letters);
            desk.page().waitForTimeout(60);
        }
    }

    /** A page that came to a screen is turned to the others of its kind: each is measured, and comes from the server once. */
    private enum Held {
        ON_A_DESK(
                new Screen(1280, 800, WHOLE, ColorScheme.LIGHT),
                new Screen(820, 1180, WHOLE, ColorScheme.DARK),
                new Screen(1280, 800, 200, ColorScheme.DARK)),
        IN_A_HAND(
                new Screen(390, 844, WHOLE, ColorScheme.LIGHT),
                new Screen(320, 700, WHOLE, ColorScheme.LIGHT),
                new Screen(390, 844, 200, ColorScheme.LIGHT));

        private final List<Screen> screens;

        Held(Screen... screens) {
            this.screens = List.of(screens);
        }
    }

    private static void look(Desk desk, Held held, String child, String path, List<String> bad) {
        Screen first = held.screens.get(0);
        desk.page().setViewportSize(first.width(), first.height());
        desk.open(path).page().waitForLoadState();
        for (Screen screen : held.screens) {
            if (screen.letters() == WHOLE || IN_LARGE_LETTERS.contains(child)) {
                screen.isTakenTo(desk);
                String what = child + " " + path + " on " + screen;
                ((List<?>) desk.page().evaluate(MEASURE)).forEach(each -> bad.add(what + ": " + each));
                desk.fitsItsWidth(what);
            }
        }
    }

    @ParameterizedTest
    @EnumSource
    void areReadWhole(Held held) {
        List<String> bad = new ArrayList<>();
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            for (String child :
                    new String[] {"Tamsin", "Bramwell", "Linnea", "Juniper", "Rowan", "Bastian", "Isolde"}) {
                String fitting = "/fittings/"
                        + app.ask("select f.id from fitting f join family a on a.id = f.family_id"
                                + " where a.child_name = '" + child + "'");
                for (String view : new String[] {"side", "cabin", "harness", "belt", "timeline"}) {
                    look(desk, held, child, fitting + "?step=PLACE&view=" + view, bad);
                }
                for (String page : new String[] {"/restraints", "/riders", "/as-found?area=HARNESS", "/rethread"}) {
                    look(desk, held, child, fitting + page, bad);
                }
            }
            look(desk, held, "", "/quick?family=W-1041&shows=AMERICAN", bad);
            look(desk, held, "", "/fittings/new", bad);
            desk.isQuiet();
        }
        assertThat(bad).isEmpty();
    }
}
