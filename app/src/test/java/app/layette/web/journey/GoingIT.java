package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** From step to step the page stays; what is on its way, the way back and a lost connection are kept in order. */
class GoingIT {
    private static final String MARK = "() => { window.sameAsBefore = true; }";
    private static final String IS_SAME = "() => window.sameAsBefore === true";
    /** As a network would that has one bar: what is sent to another step comes late, and an answer at once. */
    private static final String STEPS_COME_LATE = "() => { const real = window.fetch;"
            + " window.fetch = (to, how) => String(to).includes('?step=')"
            + " ? new Promise(done => setTimeout(done, 2500)).then(() => real(to, how)) : real(to, how); }";

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static boolean isSame(Page page) {
        return (Boolean) page.evaluate(IS_SAME);
    }

    private static String focused(Page page) {
        return (String) page.evaluate("() => document.activeElement.id");
    }

    @Test
    void thePageStaysAndTheWayBackGoesStepByStep() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            Page page = desk.page();
            page.evaluate(MARK);
            desk.step("Slots and webbing");
            assertThat(desk.title()).isEqualTo("Slots and webbing");
            assertThat(page.url()).endsWith("?step=THREAD");
            assertThat(focused(page)).isEqualTo("now-title");
            assertThat(page.locator("#run [aria-current=step]").textContent()).contains("Slots and webbing");
            assertThat(page.locator(".views [aria-current=true]").textContent()).contains("Harness");
            page.evaluate("() => { const now = document.getElementById('now'); now.scrollTop = now.scrollHeight; }");
            desk.step("Inch test");
            assertThat((Boolean) page.evaluate("() => document.getElementById('now-title').getBoundingClientRect().top"
                            + " >= document.getElementById('now').getBoundingClientRect().top"))
                    .as("another step is read from its beginning")
                    .isTrue();
            assertThat(isSame(page)).as("nothing was built anew").isTrue();
            page.goBack();
            page.waitForFunction("() => document.getElementById('now-title')?.textContent === 'Slots and webbing'");
            desk.settled();
            assertThat(page.url()).endsWith("?step=THREAD");
            page.goBack();
            page.waitForFunction(
                    "() => !location.search.includes('THREAD') && document.getElementById('now') !== null");
            page.goForward();
            page.waitForFunction("() => document.getElementById('now-title')?.textContent === 'Slots and webbing'");
            desk.isQuiet();
        }
    }

    @Test
    void anAnswerGivenOnTheWayIsKeptAndTheHandArrivesWhereItWent() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            Page page = desk.page();
            int before = app.newestKinds("Bramwell", 500).size();
            desk.step("Harness the child");
            desk.click("#ask-question-clothing summary");
            page.evaluate(STEPS_COME_LATE);
            page.locator("#run .step a").first().click();
            desk.tapOffline("Thin clothes only");
            page.waitForFunction("() => location.search !== '?step=HARNESS' && !document.querySelector('.busy')");
            page.waitForFunction("() => document.querySelector('#run .step a[aria-current=step]')"
                    + " === document.querySelector('#run .step a')");
            assertThat(app.newestKinds("Bramwell", 500)).hasSize(before + 1).endsWith("answered");
            assertThat(page.locator("#now").getAttribute("data-seq"))
                    .as("what it shows knows of the answer")
                    .isEqualTo(String.valueOf(before + 1));
        }
    }

    @Test
    void whatIsTypedIsThereWhenOneComesBack() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("marit").click("text=Linnea");
            desk.step("Weight and length");
            desk.click("#ask-weight summary");
            desk.fill("mass", "6 lb 3");
            desk.page().evaluate(MARK);
            desk.step("Slots and webbing").step("Weight and length");
            assertThat(desk.page().inputValue(".ask[open] [name=mass]")).isEqualTo("6 lb 3");
            assertThat(isSame(desk.page())).isTrue();
            assertThat(desk.page().locator("#now-title").isVisible()).isTrue();
            desk.fitsItsWidth("a step gone to");
        }
    }

    @Test
    void aStepGoneToIsThereWithoutASignalAndAnotherIsNotPretended() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            Page page = desk.page();
            page.waitForFunction("() => navigator.serviceWorker.controller !== null");
            desk.step("Inch test");
            desk.untilKept();
            desk.offline(true);
            page.reload();
            assertThat(desk.title()).isEqualTo("Inch test");
            desk.offline(false);
        }
    }

    @Test
    void whoIsSignedOutIsLedToWhereOneSignsIn() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            desk.page().context().clearCookies();
            desk.page().locator("#run .step a").first().click();
            desk.page().waitForURL("**/sign-in*");
        }
    }
}
