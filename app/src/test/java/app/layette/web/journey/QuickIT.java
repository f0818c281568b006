package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.net.URI;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The quick ride: who, which carrier, which way, and a card that a family takes along. */
class QuickIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void tap(Desk desk, String tile) {
        desk.page().click(tile);
        desk.page().waitForFunction("() => !document.querySelector('.htmx-request')");
    }

    private static String card(Desk desk, String waitsFor) {
        desk.page().waitForFunction("words => document.querySelector('#ride').textContent.includes(words)", waitsFor);
        return desk.page().textContent("#ride");
    }

    /** One number and three taps, one of them to come here; the card grows with each. */
    @Test
    void aFamilyThatNobodyKnowsTakesOneNumberAndThreeTaps() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit");
            desk.page().keyboard().press("q");
            desk.page().waitForURL("**/quick");
            desk.page().fill("[name=weight]", "7");
            tap(desk, ".carrier-tiles label:has([value=wrenfold-thimble])");
            assertThat(card(desk, "fits more than one unit")).contains("7");
            assertThat(desk.page().isChecked("[value=wrenfold-thimble]"))
                    .as("nothing that was given is lost")
                    .isTrue();
            desk.page().fill("[name=weight]", "7 lb 2 oz");
            tap(desk, ".way-tiles label:has-text('Both')");
            assertThat(card(desk, "American routing: along the vehicle seat back"))
                    .contains("planned, not checked")
                    .contains("European routing: not allowed by this seat manual.")
                    .contains("Before you drive", "To their phone");
            assertThat(desk.page().url()).contains("shows=BOTH");
            desk.isAccessible("ride card");
            tap(desk, ".carrier-tiles label:has([value=ostler-heddle])");
            tap(desk, ".way-tiles label:has-text('Round behind')");
            assertThat(card(desk, "No ride without a base")).doesNotContain("To their phone");
            desk.isQuiet();
        }
    }

    /** Here before: the family, the way. Two taps, and what was cleared is said. */
    @Test
    void aFamilyThatWasHereTakesTwoTapsOnAPhone() {
        try (Desk desk = Desk.keepingPages(app.address(), 390, 844)) {
            desk.signIn("marit").open("/quick");
            tap(desk, ".chip[data-family=W-1041]");
            assertThat(card(desk, "Wrenfold Thimble")).contains("that still holds today");
            tap(desk, ".way-tiles label:has-text('Both')");
            assertThat(card(desk, "American routing")).contains("child and seat cleared");
            desk.fitsItsWidth("quick ride");
            desk.isAccessible("quick ride of a family");
            desk.isQuiet();
        }
    }

    /** What goes to a phone needs no sign-in, names nobody, and is refused when a letter of it was changed. */
    @Test
    void theCardGoesToTheirPhone() {
        String path;
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/quick?family=W-1041&shows=AMERICAN");
            path = URI.create(desk.page().getAttribute(".send a", "href")).getPath();
        }
        try (Desk phone = Desk.keepingPages(app.address(), 390, 844)) {
            phone.open(path);
            assertThat(phone.page().textContent("main"))
                    .contains("American routing", "planned, not checked", "Before you drive")
                    .doesNotContain("Tamsin", "W-1041");
            phone.fitsItsWidth("card on a phone");
            phone.isAccessible("card on a phone");
            phone.page().navigate(app.address() + path + "?lang=es");
            assertThat(phone.page().textContent("main")).contains("Tarjeta de viaje");
            int at = path.length() / 2;
            char other = path.charAt(at) == 'A' ? 'B' : 'A';
            phone.page().navigate(app.address() + path.substring(0, at) + other + path.substring(at + 1));
            assertThat(phone.page().textContent("main"))
                    .contains("This card is over")
                    .doesNotContain("routing");
        }
    }

    /** Without a signal the card is looked up in the table that came with the page; outside it, it needs a connection. */
    @Test
    void withoutASignalItIsLookedUp() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit");
            desk.page().waitForResponse(response -> response.url().endsWith("/quick/table"), () -> desk.open("/quick"));
            desk.page().context().setOffline(true);
            desk.page().click(".way-tiles label:has-text('Both')");
            desk.page().click(".carrier-tiles label:has([value=wrenfold-thimble])");
            assertThat(card(desk, "from the table")).contains("lb");
            desk.page().click("#ride .way-tiles button >> nth=0");
            assertThat(card(desk, "American routing: along the vehicle seat back"))
                    .contains("Before you drive");
            desk.page().click("details.fold > summary");
            desk.page().click(".carrier-tiles label:has([value=ostler-treadle])");
            card(desk, "needs a connection");
            desk.page().context().setOffline(false);
            desk.page().fill("[name=weight]", "9 lb");
            tap(desk, ".carrier-tiles label:has([value=wrenfold-thimble])");
            card(desk, "9 lb");
        }
    }
}
