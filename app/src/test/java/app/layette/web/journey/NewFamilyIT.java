package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.options.BoundingBox;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A new family as a conversation: one question in sight, on a desk by keys and on a phone by a thumb. */
class NewFamilyIT {
    private static final int QUESTIONS = 5;

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static String asked(Desk desk) {
        assertThat(desk.page().locator(".question.is-open").count()).isOne();
        return desk.page().textContent(".question.is-open legend");
    }

    /** From anywhere by a key, through it by Enter, a drawing each for seat and car. */
    @Test
    void byKeysItTakesFourLinesAndTwoDrawings() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/due");
            desk.page().keyboard().press("n");
            desk.page().waitForURL("**/fittings/new");
            desk.page().waitForSelector(".talks");
            assertThat(desk.page().inputValue("[name=reference]")).matches("\\D*\\d+");
            desk.isAccessible("new family, who");
            desk.page().keyboard().type("Ulrika");
            desk.page().keyboard().press("Enter");
            assertThat(asked(desk)).contains("born");
            desk.page().keyboard().type("yesterday");
            desk.page().keyboard().press("Tab");
            desk.page().keyboard().type("39+3");
            desk.page().keyboard().press("Enter");
            assertThat(asked(desk)).contains("weigh");
            desk.page().keyboard().type("7 lb 2 oz");
            desk.page().keyboard().press("Enter");
            assertThat(asked(desk)).contains("restraint");
            desk.isAccessible("new family, seat");
            desk.page().click(".tile:has-text('Wrenfold Thimble')");
            desk.page().waitForSelector("#car.is-open");
            desk.page().click(".tile:has-text('Corvane Estate')");
            desk.click(".begin .go");
            desk.page().waitForURL("**/fittings/*");
            assertThat(desk.page().textContent("#head"))
                    .contains("Ulrika", "Wrenfold Thimble", "Corvane Estate", "7 lb 2 oz");
            desk.isQuiet();
        }
    }

    /** Back, forward and a reload lose nothing of it. */
    @Test
    void backForwardAndReloadLoseNothing() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/fittings/new");
            desk.page().waitForSelector(".talks");
            desk.page().fill("[name=childName]", "Valentin");
            desk.page().keyboard().press("Enter");
            desk.page().fill("[name=born]", "yesterday");
            desk.page().keyboard().press("Enter");
            assertThat(asked(desk)).contains("weigh");
            desk.page().goBack();
            assertThat(asked(desk)).contains("born");
            desk.page().goBack();
            assertThat(asked(desk)).contains("Who");
            desk.page().goForward();
            assertThat(asked(desk)).contains("born");
            desk.page().reload();
            desk.page().waitForSelector(".talks");
            assertThat(asked(desk)).contains("born");
            desk.page().waitForFunction("() => document.querySelector('[name=childName]').value === 'Valentin'");
            assertThat(desk.page().inputValue("[name=born]")).isEqualTo("yesterday");
            desk.isQuiet();
        }
    }

    /** One question a screen, the way on in a thumb's reach, nothing wider than the phone. */
    @Test
    void onAPhoneTheThumbReachesTheWayOn() {
        try (Desk desk = Desk.withFinger(app.address(), 390, 844)) {
            desk.signIn("marit").open("/fittings/new");
            desk.page().waitForSelector(".talks");
            for (int i = 1; i < QUESTIONS; i++) {
                BoundingBox next = desk.page().locator(".next").boundingBox();
                assertThat(next.y).as("question %s", i).isBetween(420.0, 844.0 - next.height + 0.5);
                assertThat(next.height).isGreaterThanOrEqualTo(44);
                desk.fitsItsWidth("new family, question " + i);
                desk.page().tap(".next");
            }
            assertThat(asked(desk)).contains("car");
            assertThat(desk.page().locator(".next").isHidden()).isTrue();
            desk.isAccessible("new family on a phone");
            desk.page().tap(".begin .go");
            desk.page().waitForSelector("main:has(.refused) .talks");
            assertThat(asked(desk)).as("what is missing first").contains("Who");
            desk.isQuiet();
        }
    }

    /** Whoever was here before is found while the name is typed, and by the code of the family's page. */
    @Test
    void aFamilyIsFoundByNameAndByTheCodeOfItsPage() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Ottilie");
            desk.click("text=The family’s page");
            if (desk.page().locator("form[action$='/page'] button").count() > 0) {
                desk.click("form[action$='/page'] button");
            }
            String code = desk.page().locator("a[href*='/f/']").first().getAttribute("href");
            for (String typed : new String[] {"ottil", code}) {
                desk.open("/fittings/new");
                desk.page().waitForSelector(".talks");
                desk.page().locator("[name=childName]").pressSequentially(typed);
                desk.page().click("#known .chip:has-text('Ottilie')");
                assertThat(asked(desk)).as("what is known is not asked").contains("weigh");
                assertThat(desk.page().isChecked("[name=comesBack]")).isTrue();
                assertThat(desk.page().inputValue("[name=reference]")).isEqualTo("W-1031");
            }
            desk.isQuiet();
        }
    }
}
