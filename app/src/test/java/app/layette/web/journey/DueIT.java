package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Locator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What is due, by kind and by family, and several things done at once. */
class DueIT {
    private static final String LINES = "table.list tbody tr";

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @Test
    void itIsFilteredAndSeveralAreDoneAtOnce() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/due?ahead=ALL");
            int all = desk.page().locator(LINES).count();
            desk.page().fill("[name=family]", "ottilie");
            desk.page().click(".due-filter button");
            int hers = desk.page().locator(LINES).count();
            assertThat(hers).isPositive().isLessThan(all);
            assertThat(desk.page().locator(LINES + ":has-text('Ottilie')").count())
                    .isEqualTo(hers);
            desk.page().fill("[name=family]", "");
            Locator kinds = desk.page().locator(".due-filter option");
            String kind = kinds.nth(1).getAttribute("value");
            desk.page().selectOption("[name=what]", kind);
            desk.page().click(".due-filter button");
            int ofKind = desk.page().locator(LINES).count();
            assertThat(kinds.nth(1).textContent()).contains("(" + ofKind + ")");
            assertThat(ofKind).isLessThan(all);
            desk.isAccessible("due, filtered");

            // What is due of one family stands together, and one letter is about all that is ticked of it.
            desk.open("/due?ahead=ALL&by=family&family=ottilie");
            int several = Math.min(2, desk.page().locator("[name=line]").count());
            for (int i = 0; i < several; i++) {
                desk.page().locator("[name=line]").nth(i).check();
            }
            desk.page().click("text=One letter about all");
            desk.page().waitForSelector("textarea[name=body]");
            assertThat(desk.page().inputValue("textarea[name=body]").split("\n- "))
                    .hasSize(several + 1);
            desk.page().click(".write-letter form .go");
            desk.page().waitForURL("**/due");
            assertThat(app.ask("select count(*) from due_mark where kind = 'CONTACT' and note <> ''"))
                    .isNotEqualTo("0");
            desk.open("/due?ahead=ALL");
            desk.page().locator("tr:has-text('Ottilie') [name=line]").first().check();
            desk.page()
                    .locator("tr:not(:has-text('Ottilie')) [name=line]")
                    .first()
                    .check();
            desk.page().click("text=One letter about all");
            assertThat(desk.page().textContent("[role=alert]")).contains("several families");

            desk.open("/due?ahead=ALL").page().click("text=Done: all that are ticked");
            assertThat(desk.page().textContent("[role=alert]")).contains("Nothing was ticked");
            String first = desk.page().locator("[name=line]").nth(0).getAttribute("value");
            String second = desk.page().locator("[name=line]").nth(1).getAttribute("value");
            desk.page().locator("[name=line]").nth(0).check();
            desk.page().locator("[name=line]").nth(1).check();
            desk.page().click("text=Done: all that are ticked");
            desk.page().waitForLoadState();
            assertThat(desk.page().locator("[name=line][value='" + first + "']").count())
                    .isZero();
            assertThat(desk.page()
                            .locator("[name=line][value='" + second + "']")
                            .count())
                    .isZero();
            desk.isQuiet();
        }
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("marit").open("/due").fitsItsWidth("due on a phone");
            desk.isQuiet();
        }
    }
}
