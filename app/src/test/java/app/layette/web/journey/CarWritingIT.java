package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A vehicle sheet on the plan of the car: from nothing, from a shelf, and from a car that had none. */
class CarWritingIT {
    /** Whether the page asks by itself before and after a form was sent that the browser sends; kept from being sent here. */
    private static final String ASKED_WHILE_LEAVING = "async () => { const asked = [];"
            + " const ask = () => { let sent = false; const see = (event) => { sent = true; event.preventDefault(); };"
            + " document.addEventListener('htmx:beforeSend', see);"
            + " htmx.ajax('GET', location.pathname + '/unknown', { source: '#unknown', target: '#unknown' }).catch(() => {});"
            + " document.removeEventListener('htmx:beforeSend', see); asked.push(sent); };"
            + " ask(); let broken = 0; document.addEventListener('htmx:sendAbort', () => { broken += 1; });"
            + " htmx.ajax('GET', location.pathname + '/unknown', { source: '#unknown', target: '#unknown' }).catch(() => {});"
            + " window.addEventListener('submit', (event) => event.preventDefault(), { once: true });"
            + " document.querySelector('form[action$=\"/finish\"]').requestSubmit();"
            + " asked.push(broken === 1); ask(); return asked; }";

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void answer(Desk desk, String id, String pointer, String value, String how, String place) {
        desk.open("/sheets/cars/" + id + "?field=" + pointer);
        if (desk.page().locator(".one-field select[name=v]").count() > 0) {
            desk.page().selectOption(".one-field [name=v]", value);
        } else {
            desk.page().fill(".one-field [name=v]", value);
        }
        if (!how.isEmpty()) {
            desk.page().check(".one-field [name=how][value=" + how + "]");
            desk.page().fill(".one-field [name=place]", place);
        }
        desk.page().click(".one-field .go");
        desk.page().waitForLoadState();
    }

    @Test
    void aCarFromNothingToConfirmed() {
        String id;
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/cars").click("text=Write a sheet");
            desk.page().click("text=Begin the sheet");
            assertThat(desk.page().textContent("[role=alert]")).contains("Maker", "Car");
            desk.page().fill("[name=maker]", "Loomgate");
            desk.page().fill("[name=carName]", "Barrow <b>");
            desk.page().click("text=Begin the sheet");
            desk.page().waitForSelector(".one-field");
            id = desk.page().url().replaceAll(".*/sheets/cars/([a-z0-9-]+).*", "$1");
            desk.page().waitForSelector("#unknown .gaps li");
            assertThat(desk.page().textContent("#unknown")).contains("Second row, left");
            desk.isAccessible("a vehicle sheet that is written");
            // A place is tapped in the drawing and answered there.
            desk.page().click(".board svg a[aria-label*='Second row, left']");
            assertThat(desk.page().textContent(".board h2")).contains("Second row, left");
            answer(desk, id, "/positions/2-LEFT/airbag", "none", "manual", "2-20");
            assertThat(desk.page().textContent(".run")).contains("1 of 28");
            answer(desk, id, "/positions/2-LEFT/width", "two", "manual", "3");
            assertThat(desk.page().textContent("[role=alert]")).contains("Width of the place", "two");
            assertThat(desk.page().inputValue(".one-field [name=v]")).isEqualTo("two");
            answer(desk, id, "/positions/2-LEFT/width", "485 mm", "tape", "");
            answer(desk, id, "/positions/2-LEFT/anchors", "none", "manual", "3-8");
            answer(desk, id, "/positions/2-LEFT/anchorSpacing", "280 mm", "tape", "");
            assertThat(desk.page().textContent(".sheet-counts")).contains("1 contradiction");
            desk.open("/sheets/cars/" + id + "?field=/positions/2-LEFT/anchorSpacing");
            desk.page().check(".one-field [name=how][value=nobody]");
            desk.page().click(".one-field .go");
            assertThat(desk.page().textContent(".sheet-counts")).contains("Nothing contradicts");
            desk.page().click(".places summary");
            desk.page().click("text=add: Third row, left");
            assertThat(desk.page().textContent(".board h2")).contains("Third row, left");
            desk.page().click(".places summary");
            desk.page().click("text=this car has no such place: Third row, left");
            assertThat(desk.page().textContent(".run")).doesNotContain("Third row");
            assertThat(desk.page().locator(".run .step.open").count())
                    .as("nobody has seen to all of it")
                    .isPositive();
            assertThat(desk.page().locator(".run .step.open .tick").count())
                    .as("no tick before all of a section is known")
                    .isZero();
            assertThat(desk.page().evaluate(ASKED_WHILE_LEAVING))
                    .as(
                            "once a form is sent nothing is asked but what a hand asks for, and what was asked is broken off")
                    .isEqualTo(List.of(true, true, false));
            desk.page().click("text=Put it on the shelf as a draft");
            desk.page().waitForURL("**/cars");
            assertThat(desk.page().textContent("main")).contains("Loomgate Barrow <b>");
            desk.isQuiet();
        }
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ilse").open("/cars").click(".waiting-drafts a");
            assertThat(desk.page().textContent("main")).contains("Second row, left: Width of the place", "485 mm");
            desk.page().click("text=I compared it with the manual: confirm");
            desk.page().waitForURL("**/cars");
            assertThat(app.ask("select status from sheet where id = '" + id + "' order by version desc limit 1"))
                    .isEqualTo("CONFIRMED");
            desk.isQuiet();
        }
    }

    /** What a correction would change is planned over the open fittings in that car before anybody confirms it. */
    @Test
    void aStricterVersionNamesTheFittingsInThatCar() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/cars");
            desk.page().click("li:has-text('Corvane Estate') button:has-text('next version')");
            answer(desk, "corvane-estate", "/positions/2-LEFT/facing", "foldedOrDamaged", "manual", "2-4");
            desk.page().click("text=Put it on the shelf as a draft");
            desk.page().waitForURL("**/cars");
            desk.page().click(".waiting-drafts li:has-text('Corvane Estate') a");
            assertThat(desk.page().textContent(".changes-of"))
                    .contains("Which way the vehicle seat faces", "folded or damaged");
            assertThat(desk.page().textContent(".otherwise")).contains("Bramwell");
            assertThat(desk.page().textContent("main")).contains("somebody else confirms it");
            app.execute("delete from sheet where id = 'corvane-estate' and status = 'DRAFT'");
        }
    }
}
