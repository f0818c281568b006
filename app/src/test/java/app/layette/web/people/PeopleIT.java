package app.layette.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.fuzz.Visitor;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A lead keeps the people of a fitting point; everybody keeps their own password and sessions. */
class PeopleIT {
    private static final String FRESH = "seven damp mittens";

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @Test
    void aLeadAddsSomebodyWhoSetsAPasswordByALinkOnce() {
        try (Desk lead = new Desk(app.address(), 1280, 800);
                Desk novice = new Desk(app.address(), 390, 844)) {
            lead.signIn("ilse").open("/people");
            lead.page().fill("form[action='/people'] [name=person]", "Jonna!");
            lead.click("form[action='/people'] .go");
            assertThat(lead.page().textContent(".refused"))
                    .contains("Jonna!", "small letters", "Name as others see it");
            assertThat(lead.page().inputValue("form[action='/people'] [name=person]"))
                    .isEqualTo("Jonna!");
            lead.page().fill("form[action='/people'] [name=person]", "jonna");
            lead.page().fill("form[action='/people'] [name=shown]", "Jonna");
            lead.click("form[action='/people'] .go");
            String link = lead.page().textContent("#one-time-link");
            novice.page().navigate(link);
            novice.page().fill("#fresh", "password1234");
            novice.page().click(".go");
            assertThat(novice.page().textContent(".refused")).contains("first that somebody would try");
            novice.page().fill("#fresh", FRESH);
            novice.page().click(".go");
            novice.page().waitForURL("**/sign-in?changed");
            novice.page().fill("#username", "jonna");
            novice.page().fill("#password", FRESH);
            novice.page().click(".sign-in .go");
            novice.page().waitForSelector("header.frame");
            novice.page().navigate(link);
            assertThat(novice.page().textContent("main")).contains("was used already");
            lead.open("/trail");
            assertThat(lead.page().textContent("main")).contains("added somebody", "jonna TRAINEE", "the chain holds");
            novice.forgive();
        }
    }

    @Test
    void whoSignsUntilWhenIsDrawnAndADayWithoutAnybodyIsNamed() {
        app.execute("update app_user set certificate_until = current_date + 40 where role <> 'TRAINEE'");
        app.execute("update app_user set certificate_until = current_date + 275 where name = 'ansel'");
        app.execute("update app_user set certificate_until = '2020-05-03' where name = 'tove'");
        try (Desk lead = new Desk(app.address(), 1280, 800)) {
            lead.signIn("ilse").open("/people");
            assertThat(lead.page().textContent(".signers"))
                    .contains("3 people sign today.", "The next certificate to end", "on nobody here signs");
            assertThat(lead.page().textContent(".persons li:has-text('Tove') .signs-says"))
                    .isEqualTo("certificate over, its last day was 3 May 2020: enters, signs nothing");
            assertThat(lead.page().textContent(".persons li:has-text('Pim') .signs-says"))
                    .isEqualTo("enters, never signs");
            String half = "bar => bar.querySelector('.signing').getBoundingClientRect().width"
                    + " / bar.getBoundingClientRect().width";
            assertThat((Double) lead.page()
                            .locator(".persons li:has-text('Ansel') .signs-bar")
                            .evaluate(half))
                    .as("of eighteen months")
                    .isBetween(0.49, 0.52);
            assertThat(lead.page()
                            .locator(".persons li:has-text('Tove') .signing")
                            .count())
                    .isZero();
            lead.isAccessible("who signs");
        }
    }

    @Test
    void theTrailAsATableIsNoFormulaToWhateverOpensIt() {
        Visitor lead = new Visitor(app.address(), "ilse", Desk.PASSWORD);
        Map<String, String> point = Map.of(
                "pointName", "=1+1\nWeir Street",
                "zone", "America/Toronto",
                "lawCountry", "US",
                "profile", "north-american-clinic",
                "units", "CUSTOMARY");
        assertThat(lead.post("/point", point).status()).isEqualTo(302);
        assertThat(lead.get("/trail.csv").body()).contains("\"'=1+1").doesNotContain("\"=1+1");
    }

    @Test
    void whoIsRetiredIsOutAtOnceAndTheLastLeadStays() {
        try (Desk lead = new Desk(app.address(), 1280, 800);
                Desk tove = new Desk(app.address(), 1280, 800)) {
            tove.signIn("tove");
            lead.signIn("ilse").open("/people");
            lead.page().click(".persons summary:has-text('Tove')");
            lead.click("button[aria-label='Retire Tove']");
            tove.open("/");
            assertThat(tove.page().url()).contains("/sign-in");
            lead.page().click(".persons summary:has-text('Ilse')");
            lead.click("button[aria-label='Retire Ilse']");
            assertThat(lead.page().textContent(".refused")).contains("would have no lead");
        }
    }

    @Test
    void whoseCertificateIsOverSignsNothing() {
        app.execute("update app_user set certificate_until = '2020-01-01' where name = 'marit'");
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/account");
            assertThat(desk.page().textContent("main")).contains("Your certificate is over");
            desk.open("/").click("text=Tamsin");
            desk.step("Hand over");
            assertThat(desk.page().textContent("#now")).contains("A technician signs here");
        }
    }

    @Test
    void ownPasswordAndSessionsAreOnesOwn() {
        try (Desk desk = new Desk(app.address(), 1280, 800);
                Desk other = new Desk(app.address(), 390, 844)) {
            other.signIn("ansel");
            desk.signIn("ansel").open("/account");
            assertThat(desk.page().locator("table tbody tr").count()).isEqualTo(2);
            desk.click("button:has-text('End all others')");
            assertThat(desk.page().locator("table tbody tr").count()).isEqualTo(1);
            other.open("/");
            assertThat(other.page().url()).contains("/sign-in");
            desk.page().fill("[name=current]", "not this one");
            desk.page().fill("[name=fresh]", FRESH);
            desk.page().click("button:has-text('Change it')");
            assertThat(desk.page().textContent(".refused")).contains("not right");
            desk.page().fill("[name=current]", Desk.PASSWORD);
            desk.page().fill("[name=fresh]", FRESH);
            desk.page().click("button:has-text('Change it')");
            desk.page().waitForURL("**/sign-in?changed");
            desk.forgive();
        }
    }

    @Test
    void tooManyTriesWithOneNameWaitAndNobodyElseDoes() {
        try (Desk guess = new Desk(app.address(), 1280, 800)) {
            for (int i = 0; i < 6; i++) {
                guess.open("/sign-in");
                guess.page().fill("#username", "nobody-of-that-name");
                guess.page().fill("#password", "guess " + i);
                guess.page().click(".sign-in .go");
            }
            assertThat(guess.page().textContent("main")).contains("Too many tries with this name here");
            guess.signIn("tove");
        }
    }
}
