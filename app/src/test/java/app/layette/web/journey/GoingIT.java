package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Page;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** From step to step the page stays; what is on its way, the way back and a lost connection are kept in order. */
class GoingIT {
    private static final String MARK = "() => { window.sameAsBefore = true; }";
    private static final String IS_SAME = "() => window.sameAsBefore === true";
    /** As a network would that has one bar: a step and an answer come as late as is said of each, in milliseconds. */
    private static final String COME_LATE = "([step, answer]) => { const real = window.fetch;"
            + " const late = to => String(to).includes('?step=') ? step : String(to).endsWith('/entries') ? answer : 0;"
            + " window.fetch = (to, how) => new Promise(done => setTimeout(done, late(to))).then(() => real(to, how)); }";

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
    void aPieceThatComesAnewIsAsFarScrolledAsItWas() {
        try (Desk desk = new Desk(app.address(), 1280, 520)) {
            desk.signIn("marit").click("text=Bramwell");
            Page page = desk.page();
            desk.step("Harness the child");
            // How far it is scrolled is told with the next picture that is drawn.
            page.evaluate("() => { const run = document.getElementById('run'); run.isOld = true;"
                    + " run.scrollTop = run.scrollHeight;"
                    + " return new Promise(then => requestAnimationFrame(() => requestAnimationFrame(then))); }");
            Object before = page.evaluate("() => document.getElementById('run').scrollTop");
            assertThat(((Number) before).intValue()).isPositive();
            desk.click("#ask-question-clothing summary");
            desk.tap("A coat or something thick");
            assertThat(page.evaluate("() => document.getElementById('run').isOld"))
                    .as("it came anew")
                    .isNull();
            assertThat(page.evaluate("() => document.getElementById('run').scrollTop"))
                    .isEqualTo(before);
            desk.isQuiet();
        }
    }

    /** Whether the answer comes first or the step: the one builds the page anew, the other asks there what is new. */
    @ParameterizedTest
    @CsvSource({"2500, 0", "800, 3000"})
    void anAnswerGivenOnTheWayIsKeptAndTheHandArrivesWhereItWent(int step, int answer) {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            Page page = desk.page();
            int before = app.newestKinds("Bramwell", 500).size();
            desk.step("Harness the child");
            desk.click("#ask-question-clothing summary");
            page.evaluate(COME_LATE, List.of(step, answer));
            page.locator("#run .step a").first().click();
            desk.tapOffline("Thin clothes only");
            // The hand is where it went, and what is shown there knows of the answer.
            page.waitForFunction(
                    "seen => document.getElementById('now')?.dataset.seq === seen"
                            + " && document.querySelector('#run .step a')?.ariaCurrent === 'step'",
                    String.valueOf(before + 1));
            desk.settled();
            assertThat(app.newestKinds("Bramwell", 500)).hasSize(before + 1).endsWith("answered");
        }
    }

    @Test
    void theLastOfSeveralStepsPressedIsTheOneThatIsShown() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            Page page = desk.page();
            page.evaluate(MARK);
            page.evaluate(COME_LATE, List.of(600, 0));
            page.locator("#run .step a").nth(3).click();
            page.locator("#run .step a").nth(5).click();
            page.waitForFunction("() => document.querySelectorAll('#run .step a')[5].ariaCurrent === 'step'");
            desk.settled();
            assertThat(isSame(page)).isTrue();
            assertThat(page.locator("#run [aria-current=step]").count()).isOne();
            page.goBack();
            page.waitForFunction("() => window.sameAsBefore === undefined && document.getElementById('now') !== null");
            assertThat(desk.title())
                    .as("what was passed over is no place to come back to")
                    .isEqualTo("Hand over");
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
    void aStepGoneToIsThereWithoutASignal() {
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
