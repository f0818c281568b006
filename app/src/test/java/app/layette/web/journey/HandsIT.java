package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Hurried hands: a press counts for the question it was meant for, once, and can be taken back. */
class HandsIT {
    private static final int STEADY_MS = 450;
    private static final String OPEN_CHOICE = ".ask[open] .choice";

    @RegisterExtension
    static final RunningApp app = RunningApp.forHands();

    /** Presses at one point of the screen, as a finger or a mouse does. */
    private static void press(Desk desk, boolean finger, double x, double y) {
        if (finger) {
            desk.page().touchscreen().tap(x, y);
        } else {
            desk.page().mouse().click(x, y);
        }
    }

    private static int entries() {
        return app.newestKinds("Bramwell", 500).size();
    }

    private static Desk atBramwells(int width, int height, boolean finger) {
        Desk desk = finger ? Desk.withFinger(app.address(), width, height) : new Desk(app.address(), width, height);
        desk.signIn("marit").click("text=Bramwell");
        desk.page().waitForSelector(OPEN_CHOICE);
        desk.page().waitForTimeout(STEADY_MS);
        return desk;
    }

    /** What a press needs not wait for, Enter needs not either. */
    @Test
    void enterSignsInAtOnce() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.open("/sign-in").page().fill("#username", "marit");
            desk.page().fill("#password", Desk.PASSWORD);
            desk.page().keyboard().press("Enter");
            desk.page().waitForURL(url -> !url.contains("sign-in"));
            assertThat(desk.page().locator("#not-taken").count()).isZero();
            desk.isQuiet();
        }
    }

    @ParameterizedTest
    @CsvSource(textBlock = """
                    1280,  800, false,  50
                    1280,  800, false, 150
                    1280,  800, false, 350
                     820, 1180, true,   50
                     820, 1180, true,  150
                     820, 1180, true,  350
                     390,  844, true,   50
                     390,  844, true,  150
                     390,  844, true,  350
                    """)
    void aSecondPressAnswersNoQuestionThatHasOnlyJustComeUp(int width, int height, boolean finger, int apart) {
        try (Desk desk = atBramwells(width, height, finger)) {
            int before = entries();
            Locator first = desk.page().locator(OPEN_CHOICE).first();
            first.scrollIntoViewIfNeeded();
            BoundingBox at = first.boundingBox();
            double x = at.x + at.width / 2;
            double y = at.y + at.height / 2;
            for (int i = 0; i < hurriedPresses(apart); i++) {
                press(desk, finger, x, y);
                desk.page().waitForTimeout(apart);
            }
            desk.settled();
            assertThat(app.newestKinds("Bramwell", 500)).hasSize(before + 1).endsWith("answered");
            desk.isQuiet();
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {50, 150, 350})
    void norDoesASecondPressOfAKey(int apart) {
        try (Desk desk = atBramwells(1280, 800, false)) {
            int before = entries();
            for (int i = 0; i < hurriedPresses(apart); i++) {
                desk.page().keyboard().press("1");
                desk.page().waitForTimeout(apart);
            }
            desk.settled();
            assertThat(entries()).isEqualTo(before + 1);
            desk.isQuiet();
        }
    }

    /** As many presses as fit before the next question has stood long enough to be meant: one later counts rightly. */
    private static int hurriedPresses(int apart) {
        return 2 * apart < STEADY_MS ? 3 : 2;
    }

    @Test
    void aHeldKeyAnswersOneQuestion() {
        try (Desk desk = atBramwells(1280, 800, false)) {
            int before = entries();
            desk.page().keyboard().down("1");
            for (int i = 0; i < 12; i++) {
                desk.page().waitForTimeout(60);
                // Down again without up is what a held key repeats.
                desk.page().keyboard().down("1");
            }
            desk.page().keyboard().up("1");
            desk.settled();
            assertThat(entries()).isEqualTo(before + 1);
        }
    }

    @Test
    void enterInAFieldIsNeverAPermission() {
        try (Desk desk = atBramwells(1280, 800, false)) {
            desk.page().keyboard().press("1");
            desk.settled();
            desk.page().waitForTimeout(STEADY_MS);
            int before = entries();
            desk.page().fill(".ask[open] [name=page]", "43");
            desk.page().keyboard().press("Enter");
            desk.settled();
            assertThat(entries()).isEqualTo(before);
            assertThat(desk.page().textContent("#not-taken")).contains("choose one of the answers");
            assertThat(desk.page().inputValue(".ask[open] [name=page]")).isEqualTo("43");
            desk.open("/quick");
            desk.page().fill("[name=weight]", "6 lb 4");
            desk.page().click(".carrier-tiles label:has([value=tansy-rook-skein])");
            desk.page().focus("[name=weight]");
            desk.page().waitForTimeout(STEADY_MS);
            desk.page().keyboard().press("Enter");
            desk.page().waitForTimeout(STEADY_MS);
            assertThat(desk.page().url()).doesNotContain("shows=EUROPEAN");
        }
    }

    @Test
    void whileOneAnswerIsUnderWayAnotherToTheSameQuestionReplacesIt() {
        try (Desk desk = atBramwells(1280, 800, false)) {
            int before = entries();
            List<Route> underWay = new ArrayList<>();
            desk.page().route("**/entries", underWay::add);
            List<Locator> choices = desk.page().locator(OPEN_CHOICE).all();
            choices.get(0).click();
            assertThat(choices.get(0).getAttribute("aria-busy")).isEqualTo("true");
            choices.get(1).click();
            choices.get(2).click();
            desk.page().unroute("**/entries");
            underWay.forEach(Route::resume);
            desk.settled();
            desk.page().waitForFunction("() => document.getElementById('outbox').hidden");
            assertThat(entries())
                    .as("the first was sent; of the later two the last alone")
                    .isEqualTo(before + 2);
            assertThat(desk.page().textContent("#now")).contains(choices.size() > 2 ? "Last:" : "");
        }
    }

    @Test
    void theLastAnswerIsTakenBackByTapAndByKeyAsLongAsNothingElseCame() {
        try (Desk desk = atBramwells(1280, 800, false);
                Desk colleague = new Desk(app.address(), 1280, 800)) {
            String question = desk.page().textContent(".ask[open] .q");
            desk.page().keyboard().press("1");
            desk.settled();
            desk.page().waitForTimeout(STEADY_MS);
            desk.page().keyboard().press("u");
            desk.settled();
            assertThat(app.newestKinds("Bramwell", 2)).containsExactly("noted", "withdrawn");
            assertThat(desk.page().textContent(".ask[open] .q")).isEqualTo(question);
            assertThat(desk.page().locator(".undo").count())
                    .as("a withdrawal is not undone")
                    .isZero();
            desk.page().waitForTimeout(STEADY_MS);
            desk.page().keyboard().press("2");
            desk.settled();
            desk.page().waitForTimeout(STEADY_MS);
            assertThat(desk.page().isVisible(".undo")).isTrue();
            // The colleague's entry comes in while this page still offers to undo.
            desk.page().route("**/changes*", Route::abort);
            colleague.signIn("ansel").click("text=Bramwell");
            colleague.page().waitForTimeout(STEADY_MS);
            colleague.page().click("#now .changed-menu summary");
            colleague.page().waitForTimeout(STEADY_MS);
            colleague.click(".changed-menu .go");
            desk.page()
                    .waitForResponse(
                            answer -> answer.url().endsWith("/undo"),
                            () -> desk.page().evaluate("document.querySelector('.undo button').click()"));
            desk.settled();
            assertThat(desk.page().textContent("#now")).contains("Something came after it");
        }
    }

    @Test
    void aPermissionThatWasAnsweredStaysInSightAndCanBeChanged() {
        try (Desk desk = atBramwells(1280, 800, false)) {
            desk.page().keyboard().press("1");
            desk.settled();
            desk.page().waitForTimeout(STEADY_MS);
            desk.page().fill(".ask[open] [name=page]", "43");
            desk.page().waitForTimeout(STEADY_MS);
            desk.page().locator(OPEN_CHOICE).first().click();
            desk.settled();
            desk.step("Handle and gap");
            Locator page = desk.page().locator(".ask:has-text('Seat manual: handle')");
            assertThat(page.textContent()).contains("Allowed, 43");
            page.locator("summary").click();
            assertThat(page.locator("[name=page]").inputValue()).isEqualTo("43");
            desk.page().waitForTimeout(STEADY_MS);
            page.locator(".choice:has-text('Not allowed')").click();
            desk.settled();
            assertThat(desk.page().textContent("#run .failed, #run .not_known")).contains("Handle and gap");
        }
    }

    @Test
    void anAnswerIsNoPlaceInTheHistory() {
        try (Desk desk = atBramwells(1280, 800, false)) {
            desk.page().keyboard().press("1");
            desk.settled();
            desk.page().waitForTimeout(STEADY_MS);
            assertThat(desk.page().url()).contains("step=");
            desk.page().goBack(new Page.GoBackOptions());
            assertThat(desk.page().url()).isEqualTo(app.address() + "/");
        }
    }

    /** Long words about a field push what is below it down: not between a press and its release. */
    @Test
    void whatIsSaidBackOfAFieldMovesNoButtonUnderAPress() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.page()
                    .addInitScript("const real = window.fetch; window.fetch = (...all) =>"
                            + " String(all[0]).startsWith('/echo')"
                            + " ? new Promise(done => { window.letGo = () => done(real(...all)); }) : real(...all);");
            desk.signIn("marit").open("/quick");
            desk.page().fill("[name=weight]", "7");
            desk.page().waitForFunction("() => window.letGo !== undefined");
            Locator both = desk.page()
                    .locator("main .way-tiles label:has-text('Both')")
                    .first();
            both.scrollIntoViewIfNeeded();
            BoundingBox at = both.boundingBox();
            desk.page().mouse().move(at.x + at.width / 2, at.y + at.height / 2);
            desk.page().waitForTimeout(STEADY_MS);
            desk.page().mouse().down();
            desk.page().evaluate("window.letGo()");
            desk.page().waitForTimeout(STEADY_MS);
            assertThat(both.boundingBox().y).as("stands still").isEqualTo(at.y);
            desk.page().mouse().up();
            assertThat(desk.page().textContent(".refused")).contains("fits more than one unit");
        }
    }
}
