package app.layette.web.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Each number opens the fittings behind it; no family is named in what leaves the house; another point counts nothing of it. */
class LedgerIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static String text(Desk desk, String address) {
        return (String) desk.page().evaluate("async (address) => (await (await fetch(address)).text())", address);
    }

    @Test
    void aYearIsCountedAndEachNumberOpensWhatIsBehindIt() {
        String over = app.ask(
                "select count(*) from seal s join fitting f on f.id = s.fitting_id" + " where f.state = 'HANDED_OVER'");
        assertThat(over).isNotEqualTo("0");
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/ledger");
            Page page = desk.page();
            page.selectOption("[name=by]", "METHOD");
            page.click("text=Show");
            page.waitForLoadState();
            int counted = page.locator(".ledger-table td:nth-of-type(2) a").allTextContents().stream()
                    .mapToInt(Integer::parseInt)
                    .sum();
            assertThat(counted).isEqualTo(Integer.parseInt(over));
            desk.isAccessible("the ledger");
            page.locator(".ledger-table td a").first().click();
            page.waitForURL("**#behind");
            assertThat(page.locator("#behind li").count()).isPositive();
            assertThat(page.textContent("main")).doesNotContain("Ottilie", "W-1031");
            page.click("#behind li a");
            page.waitForURL("**/fittings/*");
            for (String by : new String[] {"MONTH", "WEEK", "PERSON", "METHOD", "<b>"}) {
                String table = text(desk, "/ledger.csv?by=" + by);
                assertThat(table).contains("handed over", "\r\n").doesNotContain("Ottilie", "W-1031", "<b>");
            }
            assertThat(text(desk, "/ledger?year=99999&by=x&group=%3Ci%3Ezz&ending=%27"))
                    .doesNotContain("<i>zz");
            assertThat(page.evaluate("async () => (await fetch('/ledger.pdf?by=PERSON')).headers.get('content-type')"))
                    .isEqualTo("application/pdf");
            desk.open("/ledger?year=2001");
            assertThat(page.textContent("main")).contains("Nothing ended in this year");
            desk.isQuiet();
        }
        app.openAnotherPoint("orla");
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("orla").open("/ledger");
            assertThat(desk.page().textContent("main")).contains("Nothing ended in this year");
        }
    }
}
