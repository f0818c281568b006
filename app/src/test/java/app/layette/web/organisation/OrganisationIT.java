package app.layette.web.organisation;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Several points under one roof: counts for who answers for all, rows for nobody but their own point. */
class OrganisationIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void fill(Page page, String point, String zone, String person) {
        page.fill("main [name=pointName]", point);
        page.fill("main [name=zone]", zone);
        page.fill("main [name=lawCountry]", "CA");
        page.fill("main [name=shown]", "Runa");
        page.fill("main [name=person]", person);
        page.click("main .begin button.go");
        page.waitForLoadState();
    }

    @Test
    void anotherPointIsOpenedAndSeenInNumbersAlone() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ilse").open("/people");
            Page page = desk.page();
            page.click("main a[href='/points']");
            page.waitForURL("**/points");
            int before = page.locator(".ledger-table tbody tr").count();
            fill(page, "Kiln Yard <b>Fitting</b>", "Sallowfield", "runa");
            assertThat(page.textContent(".refused")).contains("Time zone (Sallowfield)", "America/Chicago");
            assertThat(page.inputValue("main [name=pointName]"))
                    .as("nothing that was typed is lost")
                    .isEqualTo("Kiln Yard <b>Fitting</b>");
            fill(page, "Kiln Yard", "America/Halifax", "marit");
            assertThat(page.textContent(".refused")).contains("marit");
            fill(page, "Kiln Yard", "America/Halifax", "runa");
            String link = page.textContent(".one-time code");
            assertThat(page.locator(".ledger-table tbody tr").count()).isEqualTo(before + 1);
            assertThat(page.textContent(".ledger-table")).contains("Kiln Yard", "America/Halifax");
            assertThat(page.textContent("main")).doesNotContain("Ottilie", "W-1031");
            desk.isAccessible("all points");
            String overdue = "async () => (await (await fetch('/points/counts.csv')).text())"
                    + ".split('\\n').find(line => line.includes('Weir')).trim().split(',').at(-2).replace(/\"/g, '')";
            assertThat(page.evaluate(overdue).toString()).isNotEqualTo("0");
            app.execute("update due_item set taken_over = true where not taken_over");
            assertThat(page.evaluate(overdue)).as("what newer fittings tell").isEqualTo("0");
            app.execute("update due_item set taken_over = false");
            page.click("button[aria-label$=': runa']");
            page.waitForLoadState();
            assertThat(app.ask("select organisation from app_user where name = 'runa'"))
                    .isEqualTo("t");
            page.click("button[aria-label$=': runa']");
            page.waitForLoadState();
            assertThat(app.ask("select organisation from app_user where name = 'runa'"))
                    .isEqualTo("f");
            desk.open("/people");
            page.locator("main form").last().locator("[name=person]").fill("runa");
            page.locator("main form").last().locator("[name=shown]").fill("Another Runa");
            page.locator("main form").last().locator("button.go").click();
            page.waitForLoadState();
            assertThat(page.textContent(".refused"))
                    .as("taken at another point")
                    .contains("runa", "signs in with it already");

            page.context().clearCookies();
            page.navigate(link);
            page.fill("[name=fresh]", "a-long-kiln-yard-word");
            page.click("main button.go");
            page.waitForURL("**/sign-in**");
        }
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            Page page = desk.page();
            page.navigate(app.address() + "/sign-in");
            page.fill("[name=username]", "runa");
            page.fill("[name=password]", "a-long-kiln-yard-word");
            page.click("main button");
            page.waitForURL(app.address() + "/");
            assertThat(page.textContent("main")).doesNotContain("Ottilie");
            assertThat(page.evaluate("async () => (await fetch('/points')).status"))
                    .isEqualTo(403);
            desk.open("/people");
            assertThat(page.locator("main a[href='/points']").count()).isZero();
        }
    }
}
