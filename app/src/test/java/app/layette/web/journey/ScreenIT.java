package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is in sight and within reach on a phone, a tablet and a desk. */
class ScreenIT {
    private static final int ONE_LINE = 52;

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @ParameterizedTest
    @CsvSource({"1280, 800", "820, 1180", "390, 844"})
    void theOpenQuestionIsInSightAndAnAnswerMovesNothingUnderTheThumb(int width, int height) {
        try (Desk desk = new Desk(app.address(), width, height)) {
            desk.signIn("marit");
            for (String child : new String[] {"Bramwell", "Linnea", "Rowan", "Tamsin", "Edda"}) {
                desk.open("/").click("text=" + child);
                assertThat(desk.page()
                                .evaluate("() => { const why = document.querySelector('#now .place-why');"
                                        + " const piece = why ? why.querySelector('.go')"
                                        + " : document.querySelector('#now .ask[open] .choice,"
                                        + " #now .ask[open] .go:not(.no-answer)'); if (!piece) return true;"
                                        + " const box = piece.getBoundingClientRect();"
                                        + " return box.top >= 0 && box.bottom <= innerHeight + 1; }"))
                        .as("%s at %d", child, width)
                        .isEqualTo(true);
                desk.fitsItsWidth(child);
            }
            desk.open("/").click("text=Bramwell");
            Object before = desk.page().evaluate("scrollY");
            desk.tap("A flat hand or more");
            Object after = desk.page().evaluate("scrollY");
            boolean inSight = (Boolean) desk.page()
                    .evaluate("() => { const box = document.querySelector('#now .ask[open] .choice')"
                            + ".getBoundingClientRect(); return box.top >= 0 && box.bottom <= innerHeight; }");
            assertThat(inSight).isTrue();
            assertThat(((Number) after).doubleValue())
                    .as("moved only as far as the next question needs")
                    .isGreaterThanOrEqualTo(((Number) before).doubleValue());
            desk.isQuiet();
        }
    }

    @Test
    void anotherViewKeepsTheFocusAndThePlaceOfThePage() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            desk.page().focus("#tab-side");
            for (String key : new String[] {"c", "h", "w", "s"}) {
                desk.page().keyboard().press(key);
                desk.page()
                        .waitForFunction(
                                "key => document.querySelector('.views a[aria-current]').dataset.key === key", key);
                assertThat(desk.page().evaluate("scrollY")).as(key).isEqualTo(0);
                assertThat(desk.page().evaluate("document.activeElement.closest('.views') !== null"))
                        .as("focus after %s", key)
                        .isEqualTo(true);
            }
            assertThat(desk.page().evaluate("document.documentElement.scrollHeight <= innerHeight"))
                    .as("never taller than its window")
                    .isEqualTo(true);
        }
    }

    @Test
    void onAPhoneTheFrameIsOneLineAndWhatIsTappedIsLargeEnough() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("marit").click("text=Bramwell");
            assertThat((Integer) desk.page().evaluate("Math.round(document.querySelector('.frame').offsetHeight)"))
                    .isLessThanOrEqualTo(ONE_LINE);
            for (String path : new String[] {"", "?step=PLACE", "?step=SHOULDER", "?step=TEACH"}) {
                desk.open(desk.page().url().replace(app.address(), "").replaceAll("[?].*", "") + path);
                assertThat(desk.page()
                                .evaluate(
                                        "() => [...document.querySelectorAll('#now .choice, #now .go:not(.no-answer)')]"
                                                + ".filter(each => each.offsetHeight > 0 && each.offsetHeight < 44)"
                                                + ".map(each => each.textContent.trim()).join()"))
                        .as("acts of %s", path)
                        .isEqualTo("");
                assertThat(desk.page()
                                .evaluate("() => [...document.querySelectorAll('main a, main button, main summary')]"
                                        + ".filter(each => each.closest('svg') === null)"
                                        + ".filter(each => each.offsetHeight > 1 && each.offsetHeight < 24)"
                                        + ".map(each => each.textContent.trim()).join()"))
                        .as("the rest of %s", path)
                        .isEqualTo("");
            }
            desk.click(".menu summary");
            assertThat(desk.page().isVisible(".frame nav a:has-text('Quick ride')"))
                    .isTrue();
            desk.isAccessible("the open menu");
        }
    }

    @Test
    void aTraineeIsNotOfferedWhatIsRefused() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("pim").click("text=Tamsin");
            desk.step("Hand over");
            desk.page().evaluate("document.getElementById('ask-end').open = true");
            assertThat(desk.page().textContent("#ask-end")).contains("A technician signs here");
            assertThat(desk.page().locator("#ask-end button").count()).isZero();
        }
    }
}
