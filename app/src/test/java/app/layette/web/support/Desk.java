package app.layette.web.support;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.ResultType;
import com.deque.html.axecore.results.Rule;
import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/** A person at a screen: signs in, taps what is shown, and keeps an eye on what the browser complains about. */
public final class Desk implements AutoCloseable {
    private static final int MOST_TABS = 150;
    private static final String MARK = "#now .ask";
    /** A mark in a drawing is named by all it stands for, which is more than there is room to write. */
    private static final String NAMES_WITHOUT_THEIR_LABEL = "() => {"
            + " const plain = text => text.toLowerCase().replace(/\\s+/g, ' ').trim();"
            + " return [...document.querySelectorAll('button[aria-label], a[aria-label], summary[aria-label]')]"
            + ".filter(each => each.closest('svg') === null && each.offsetHeight > 0)"
            + ".filter(each => !plain(each.getAttribute('aria-label')).includes(plain(each.innerText)))"
            + ".map(each => each.outerHTML).join(); }";

    private static final String LEAVES_THE_PAGE = "() => { const it = document.activeElement;"
            + " const form = it.closest('form');"
            + " const step = it.pathname === location.pathname && /^.step=[A-Z_]+$/.test(it.search ?? '');"
            + " return !step && it.matches('a[href]:not([href^=\"#\"])') || it.matches('button')"
            + " && form !== null && !form.matches('main [method=post]'); }";

    private static final String IS_A_WAY_OUT = "each => { const link = each.closest('a[href]');"
            + " const step = link && link.pathname === location.pathname && /^.step=[A-Z_]+$/.test(link.search);"
            + " return link instanceof HTMLAnchorElement && !step && !link.getAttribute('href').startsWith('#')"
            + " && link.pathname + link.search !== location.pathname + location.search"
            + " && !link.hasAttribute('hx-get') && !link.closest('[hx-boost]') && !link.target; }";

    public static final String PASSWORD = "thread-and-thimble";
    private static final List<String> FLAGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    /** One browser for all desks of this virtual machine; each desk has a profile of its own in it. */
    private static final Browser BROWSER = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")))
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                    .setArgs(FLAGS));

    /** So long that a machine at a fifth of its speed is no failure: what never comes fails as surely. */
    private static final int LONGEST_WAIT_MS = 90_000;

    private static final List<String> TAKEN_BACK = List.of("htmx:sendAbort", "htmx:afterRequest");
    private static final int MOST_SEEN = 1500;
    private static final int LAST_ANSWERED = 5;
    private static final int LOOKING_MS = 50;
    private static final int FINGER_STEPS = 10;
    private static String lastSeen = "nothing";

    private final BrowserContext context;
    private CDPSession devTools;
    private final List<String> complaints = new ArrayList<>();
    private final List<Request> requests = new ArrayList<>();
    private final List<Request> onTheirWay = new ArrayList<>();
    private final List<String> failed = new ArrayList<>();
    private final String address;
    private Page page;
    private boolean keyboardOnly;

    public Desk(String address, int width, int height) {
        this(address, width, height, ColorScheme.LIGHT);
    }

    public Desk(String address, int width, int height, ColorScheme scheme) {
        this(
                address,
                new Browser.NewContextOptions()
                        .setViewportSize(width, height)
                        .setColorScheme(scheme)
                        .setServiceWorkers(ServiceWorkerPolicy.BLOCK));
    }

    /** A screen that goes on where there is no signal: its browser keeps the pages last seen. */
    public static Desk keepingPages(String address, int width, int height) {
        return new Desk(address, new Browser.NewContextOptions().setViewportSize(width, height));
    }

    /** A screen that is touched. */
    public static Desk withFinger(String address, int width, int height) {
        return new Desk(
                address,
                new Browser.NewContextOptions()
                        .setViewportSize(width, height)
                        .setHasTouch(true)
                        .setServiceWorkers(ServiceWorkerPolicy.BLOCK));
    }

    private Desk(String address, Browser.NewContextOptions screen) {
        this.address = address;
        this.context = BROWSER.newContext(screen);
        this.page = context.newPage();
        page.setDefaultTimeout(LONGEST_WAIT_MS);
        page.onConsoleMessage(message -> {
            // A refused entry answers 422, which the browser reports as a failed load: that is no fault of the page.
            boolean refusal = message.text().contains("422");
            // What the page asked for and took back itself, because a form was sent meanwhile, is none either.
            boolean takenBack = TAKEN_BACK.stream().anyMatch(message.text()::startsWith);
            if (message.type().equals("error") && !refusal && !takenBack) {
                complaints.add(message.text());
            }
        });
        page.onPageError(complaints::add);
        page.onResponse(response -> {
            if (response.status() == 404) {
                complaints.add("nothing at " + response.url());
            }
        });
        page.onRequestFinished(request -> {
            requests.add(request);
            onTheirWay.remove(request);
        });
        page.onRequestFailed(request -> {
            onTheirWay.remove(request);
            failed.add(request.method() + " " + request.url() + " " + request.failure());
        });
        page.onRequest(request -> {
            onTheirWay.add(request);
            if (!request.url().startsWith(address) && !request.url().startsWith("data:")) {
                complaints.add("request to " + request.url());
            }
        });
    }

    public Page page() {
        return page;
    }

    public Desk open(String path) {
        page.navigate(address + path);
        return this;
    }

    public Desk signIn(String name) {
        open("/sign-in");
        page.fill("#username", name);
        page.fill("#password", PASSWORD);
        page.click(".sign-in .go");
        page.waitForURL(Pattern.compile(".*/(\\?continue)?$"));
        return this;
    }

    /** Fills a field of the conversation with a new family, in its question. */
    public Desk newFamily(String field, String value) {
        page.waitForFunction("() => window.layette?.openQuestion !== undefined");
        page.evaluate("field => window.layette.openQuestion(field)", field);
        Locator radio = page.locator(".begin [type=radio][name=" + field + "][value='" + value + "']");
        if (radio.count() > 0) {
            radio.evaluate(
                    "radio => { radio.checked = true; radio.dispatchEvent(new Event('input', { bubbles: true })); }");
        } else {
            page.fill(".begin [name=" + field + "]", value);
        }
        return this;
    }

    /** Clicks, and waits until what that sent has come back. */
    public Desk click(String any) {
        // What is drawn for another width is there too, unseen: a hand takes what it sees.
        String selector = any.startsWith("text=") ? any + " >> visible=true" : any;
        // A page is there before its scripts are: a hand is never as quick as that.
        page.waitForSelector(selector);
        page.waitForFunction("() => document.readyState === 'complete'");
        if ((Boolean) page.locator(selector).first().evaluate(IS_A_WAY_OUT)) {
            // The old page is still complete for a moment after the click: only its going away tells.
            page.evaluate("() => { window.pressedHere = true; }");
        }
        page.click(selector);
        page.waitForFunction("() => !window.pressedHere && document.readyState === 'complete'");
        return settled();
    }

    /** Waits until nothing is on its way. */
    public Desk settled() {
        page.waitForFunction("() => document.readyState === 'complete' && !document.querySelector('.busy')");
        return this;
    }

    /** A finger put down, drawn to another place in steps, and there still; {@link #liftFinger} lifts it. */
    public Desk drawFinger(double fromX, double fromY, double toX, double toY) {
        touch("touchStart", fromX, fromY);
        for (int step = 1; step <= FINGER_STEPS; step++) {
            double share = step / (double) FINGER_STEPS;
            touch("touchMove", fromX + (toX - fromX) * share, fromY + (toY - fromY) * share);
        }
        return this;
    }

    public Desk liftFinger() {
        finger("touchEnd", new JsonArray());
        return this;
    }

    private void touch(String type, double x, double y) {
        JsonObject point = new JsonObject();
        point.addProperty("x", x);
        point.addProperty("y", y);
        JsonArray points = new JsonArray();
        points.add(point);
        finger(type, points);
    }

    /** As the browser has it from a screen: its own library only taps. */
    private void finger(String type, JsonArray points) {
        JsonObject event = new JsonObject();
        event.addProperty("type", type);
        event.add("touchPoints", points);
        if (devTools == null) {
            devTools = context.newCDPSession(page);
        }
        devTools.send("Input.dispatchTouchEvent", event);
    }

    /** From now on nothing is touched but keys. */
    public Desk keyboardOnly() {
        keyboardOnly = true;
        return this;
    }

    /** Gives the answer with these words to the open question, and waits until what follows is shown. */
    public Desk tap(String answer) {
        if (keyboardOnly) {
            return sending(() -> key(answer));
        }
        return sending(() -> {
            openMark(answer);
            page.locator(".ask[open] .choice, .ask[open] .go")
                    .filter(new Locator.FilterOptions().setHasText(answer))
                    .first()
                    .click();
        });
    }

    /** In a look, opens the mark that has this among its answers. */
    private void openMark(String answer) {
        int mark = markWith(answer);
        if (mark >= 0) {
            page.locator(MARK).nth(mark).locator("> summary").click();
        }
    }

    private int markWith(String answer) {
        page.waitForSelector(".ask[open], .look");
        return ((Number) page.evaluate(
                        "([marks, answer]) => document.querySelector('.ask[open]') ? -1"
                                + " : [...document.querySelectorAll(marks)].findIndex(mark =>"
                                + " [...mark.querySelectorAll('.choice, .go')].some(each =>"
                                + " each.textContent.toLowerCase().includes(answer.toLowerCase())))",
                        List.of(MARK, answer)))
                .intValue();
    }

    /** Tells that what one look shows is as it is drawn. */
    public Desk asDrawn() {
        page.waitForSelector("#look-form");
        page.waitForResponse(response -> response.url().endsWith("/look"), () -> {
            if (keyboardOnly) {
                page.keyboard().press("a");
            } else {
                page.click("#look-form .go");
            }
        });
        return settled();
    }

    /** Presses the number of an answer, or Enter in the field that was just filled. */
    private void key(String answer) {
        int mark = markWith(answer);
        if (mark >= 0) {
            tabTo("document.activeElement === document.querySelectorAll('" + MARK + "')[" + mark
                    + "].querySelector('summary')");
            page.keyboard().press("Enter");
        }
        page.waitForSelector(".ask[open]");
        List<String> choices = page.locator(".ask[open] .choice").allTextContents();
        for (int i = 0; i < choices.size(); i++) {
            if (choices.get(i).toLowerCase(Locale.ROOT).contains(answer.toLowerCase(Locale.ROOT))) {
                Locator choice = page.locator(".ask[open] .choice").nth(i);
                boolean inSight = (Boolean) choice.evaluate("each => { const box = each.getBoundingClientRect();"
                        + " return box.top >= 0 && box.bottom <= innerHeight; }");
                if (!inSight) {
                    // A number is a key to what one sees: Tab brings it into sight.
                    tabTo("document.activeElement === document.querySelectorAll('.ask[open] .choice')[" + i + "]");
                }
                page.keyboard().press(String.valueOf(i + 1));
                return;
            }
        }
        boolean inField = (Boolean) page.evaluate("document.activeElement.matches('.ask[open] input')");
        if (!inField) {
            tabTo("document.activeElement.matches('.ask[open] .go')");
        }
        page.keyboard().press("Enter");
    }

    private void tabTo(String condition) {
        for (int i = 0; i < MOST_TABS; i++) {
            page.keyboard().press("Tab");
            if ((Boolean) page.evaluate(condition)) {
                return;
            }
        }
        throw new AssertionError("Tab never comes to " + condition);
    }

    /** By keys alone: Tab to what is called so, then Enter. */
    public Desk press(String name) {
        reach(name);
        boolean leaves = (Boolean) page.evaluate(LEAVES_THE_PAGE);
        if (leaves) {
            // The old page is still complete for a moment after the key: only its going away tells.
            page.evaluate("() => { window.pressedHere = true; }");
        }
        page.keyboard().press("Enter");
        page.waitForFunction("() => !window.pressedHere && document.readyState === 'complete'");
        return settled();
    }

    /** By keys alone: Tab to a field, and type. */
    public Desk type(String field, String text) {
        tabTo("document.activeElement.matches('[name=" + field + "]')");
        page.keyboard().press("Control+A");
        page.keyboard().type(text);
        return this;
    }

    private void reach(String name) {
        tabTo("(document.activeElement.textContent + ' ' + (document.activeElement.getAttribute('aria-label') || ''))"
                + ".includes('" + name + "') && document.activeElement.matches('a, button, summary')");
    }

    /** Fills a field of the open question. */
    public Desk fill(String field, String value) {
        if (keyboardOnly) {
            tabTo("document.activeElement.matches('.ask[open] [name=" + field + "]')");
            page.keyboard().type(value);
        } else {
            page.locator(".ask[open] [name=" + field + "]").first().fill(value);
        }
        return this;
    }

    /** Leaves a step whose look is only offered. */
    public Desk goOn() {
        String before = title();
        if (keyboardOnly) {
            page.keyboard().press("g");
        } else {
            page.click(".go-on a");
        }
        page.waitForFunction(
                "before => { const t = document.getElementById('now-title'); return t && t.textContent !== before; }",
                before);
        return this;
    }

    public Desk send(String button) {
        return tap(button);
    }

    private Desk sending(Runnable act) {
        page.waitForResponse(response -> response.url().endsWith("/entries"), act);
        return settled();
    }

    public String title() {
        return page.textContent("#now-title");
    }

    public String state() {
        return page.textContent("#head .ready b");
    }

    /** Taps without waiting for the server: there may be none. */
    public Desk tapOffline(String answer) {
        openMark(answer);
        page.locator(".ask[open] .choice, .ask[open] .go")
                .filter(new Locator.FilterOptions().setHasText(answer))
                .first()
                .click();
        return settled();
    }

    /** Waits until the page that is shown lies where it is found without a connection. */
    public Desk untilKept() {
        for (int waited = 0; waited < LONGEST_WAIT_MS; waited += LOOKING_MS) {
            if ((Boolean) page.evaluate("async () => (await caches.match(location.href)) !== undefined")) {
                return this;
            }
            page.waitForTimeout(LOOKING_MS);
        }
        throw new AssertionError("Never kept: " + page.url());
    }

    /** Cuts the connection, or gives it back. */
    public Desk offline(boolean cut) {
        page.context().setOffline(cut);
        return this;
    }

    /** Says what in the outbox waits; empty when nothing does. */
    public String waiting() {
        return page.isVisible("#outbox") ? page.textContent("#outbox-title") : "";
    }

    /** Bytes over the wire so far; only true where no service worker stands in between. */
    public int bytesOverTheWire() {
        return List.copyOf(requests).stream()
                .mapToInt(request -> request.sizes().responseBodySize + request.sizes().responseHeadersSize)
                .sum();
    }

    /** What was complained of so far is forgiven: the network was cut on purpose. */
    public void forgive() {
        complaints.clear();
    }

    /** Goes to a step of the run; by keyboard with J and K. */
    public Desk step(String name) {
        if (!keyboardOnly) {
            page.locator("#run .step a")
                    .filter(new Locator.FilterOptions().setHasText(name))
                    .first()
                    .click();
            return settled();
        }
        List<String> steps = page.locator("#run .step a > span:first-of-type").allTextContents();
        int target = steps.indexOf(
                steps.stream().filter(each -> each.startsWith(name)).findFirst().orElseThrow());
        while (true) {
            int here = steps.indexOf(title());
            if (here == target) {
                return this;
            }
            String before = title();
            page.keyboard().press(here < target ? "j" : "k");
            page.waitForFunction(
                    "before => { const t = document.getElementById('now-title'); return t && t.textContent !== before; }",
                    before);
        }
    }

    /** The page keeps WCAG 2.2 AA as far as a machine can tell, and what a button shows is part of its name. */
    public void isAccessible(String what) {
        assertThat(page.evaluate(NAMES_WITHOUT_THEIR_LABEL))
                .as("%s: what a button shows is part of its name", what)
                .isEqualTo("");
        keeps(what, axe().withTags(List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa")));
    }

    /** The same page in dark: its colours are all that differs. */
    public void isReadableInTheDark(String what) {
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        keeps(what + " in the dark", axe().withRules(List.of("color-contrast")));
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
    }

    private AxeBuilder axe() {
        AxeRunOptions violationsAlone = new AxeRunOptions();
        violationsAlone.setResultTypes(List.of(ResultType.Violations.getKey()));
        // No page holds frames: without them it needs no second, empty page to sum up in.
        return new AxeBuilder(page).setLegacyMode(true).options(violationsAlone);
    }

    private static void keeps(String what, AxeBuilder axe) {
        List<Rule> violations = axe.analyze().getViolations();
        assertThat(violations)
                .as(
                        "%s: %s",
                        what,
                        violations.stream()
                                .map(rule -> rule.getId() + " "
                                        + rule.getNodes().stream()
                                                .map(Object::toString)
                                                .limit(3)
                                                .toList())
                                .toList())
                .isEmpty();
    }

    /** Nothing hangs over the edge of the screen. */
    public void fitsItsWidth(String what) {
        Object overhang = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertThat(((Number) overhang).intValue()).as("%s hangs over", what).isLessThanOrEqualTo(0);
    }

    /** The browser had nothing to complain about, and nothing was asked of anybody else. */
    public void isQuiet() {
        assertThat(complaints).isEmpty();
    }

    /** Where the screen that was left last stood, and what was on it. */
    static String lastSeen() {
        return lastSeen;
    }

    /** For the report alone: a page that is just being left has nothing to show, and is no failure. */
    private String seen() {
        try {
            return (String) page.evaluate("document.body.innerText.slice(0, " + MOST_SEEN + ")");
        } catch (PlaywrightException e) {
            return "(" + e.getMessage().lines().findFirst().orElse("") + ")";
        }
    }

    @Override
    public void close() {
        lastSeen = page.url() + " " + seen() + complaints + "\nUnanswered: "
                + onTheirWay.stream()
                        .map(each -> each.method() + " " + each.url())
                        .toList() + "\nFailed: " + failed
                + "\nLast answered: "
                + requests.subList(Math.max(0, requests.size() - LAST_ANSWERED), requests.size()).stream()
                        .map(each -> each.method() + " " + each.url())
                        .toList();
        context.close();
    }
}
