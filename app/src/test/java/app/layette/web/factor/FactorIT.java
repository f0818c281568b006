package app.layette.web.factor;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.fuzz.Visitor;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import java.security.InvalidKeyException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Something beside the password: set up, asked for, lost. */
class FactorIT {
    private static final int STEP_S = 30;

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static String code(String secret, int stepsOn) throws InvalidKeyException {
        byte[] key = new Base32().decode(secret.replace(" ", ""));
        return new TimeBasedOneTimePasswordGenerator()
                .generateOneTimePasswordString(
                        new SecretKeySpec(key, "HmacSHA1"), Instant.now().plusSeconds((long) stepsOn * STEP_S));
    }

    private static String setUp(Desk desk) throws InvalidKeyException {
        desk.open("/account/second").click("button:has-text('Set up time codes')");
        String secret = desk.page().textContent(".setting-up code");
        desk.page().fill("[name=code]", "000000");
        desk.click("button:has-text('They count from now on')");
        assertThat(desk.page().textContent(".refused p")).contains("(000000)", "six digits");
        desk.page().fill("[name=code]", code(secret, 0));
        desk.click("button:has-text('They count from now on')");
        return secret;
    }

    /** Types the password, and stands before the second step. */
    private static void half(Desk desk, String name) {
        desk.open("/sign-in");
        desk.page().fill("#username", name);
        desk.page().fill("#password", Desk.PASSWORD);
        desk.click(".sign-in .go");
        desk.page().waitForURL("**/sign-in/code");
    }

    @Test
    void timeCodesAreAskedForAtEachSignInAndCountOnce() throws InvalidKeyException {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            String secret = setUp(desk);
            List<String> paper = desk.page().locator(".paper-codes code").allTextContents();
            assertThat(paper).hasSize(8).doesNotHaveDuplicates();
            desk.isAccessible("beside the password");
            desk.open("/account/second");
            assertThat(desk.page().locator(".paper-codes").count())
                    .as("shown once")
                    .isZero();
            desk.click("text=Sign out");
            half(desk, "marit");
            desk.isAccessible("the second step");
            for (String closed : List.of("/", "/due", "/account", "/account/second", "/shelf")) {
                desk.open(closed);
                assertThat(desk.page().url()).as("closed to half a session").endsWith("/sign-in/code");
            }
            desk.page().fill("#code", "123 456");
            desk.click("button:has-text('Go on')");
            assertThat(desk.page().textContent(".refused")).contains("no code of now");
            String next = code(secret, 1);
            desk.page().fill("#code", next);
            desk.click("button:has-text('Go on')");
            assertThat(desk.page().textContent("main")).contains("Bramwell");
            desk.click("text=Sign out");
            half(desk, "marit");
            desk.page().fill("#code", next);
            desk.click("button:has-text('Go on')");
            assertThat(desk.page().textContent(".refused")).as("used before").contains("no code of now");
            desk.page().fill("#code", paper.get(3).toUpperCase(java.util.Locale.ROOT));
            desk.click("button:has-text('Go on')");
            desk.open("/account/second");
            assertThat(desk.page().textContent("main")).contains("7 are left");
            desk.forgive();
        }
    }

    @Test
    void halfASessionEntersNothing() throws InvalidKeyException {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            setUp(desk.signIn("pim"));
            desk.fitsItsWidth("beside the password");
        }
        Visitor half = new Visitor(app.address(), "pim", Desk.PASSWORD);
        assertThat(half.post("/account/units", Map.of()).to()).endsWith("/sign-in/code");
        assertThat(half.post("/sign-in/code", Map.of("code", "")).status()).isEqualTo(422);
        for (int i = 0; i < 8; i++) {
            half.post("/sign-in/code", Map.of("code", "00000" + i));
        }
        assertThat(half.post("/sign-in/code", Map.of("code", "1")).body())
                .as("six digits are not guessed")
                .contains("Too many tries");
    }

    @Test
    void aPasskeyIsMadeAndAskedFor() {
        try (Desk desk = new Desk(app.addressByName(), 1280, 800)) {
            authenticator(desk);
            desk.signIn("tove").open("/account/second");
            desk.page().fill("#passkey-label", "tablet in bay 2");
            desk.click("button:has-text('Make a passkey')");
            desk.page().waitForSelector(".plain-list");
            assertThat(desk.page().textContent(".plain-list")).contains("tablet in bay 2");
            desk.click("text=Sign out");
            half(desk, "tove");
            desk.page().click("button:has-text('Use your passkey')");
            desk.page().waitForURL(app.addressByName() + "/");
            assertThat(desk.page().textContent("main")).contains("Bramwell");
            desk.open("/account/second").click("button:has-text('Take away')");
            assertThat(desk.page().textContent("main")).contains("Nothing is asked beside your password yet");
            desk.isQuiet();
        }
    }

    private static void authenticator(Desk desk) {
        CDPSession devtools = desk.page().context().newCDPSession(desk.page());
        devtools.send("WebAuthn.enable");
        JsonObject options = new JsonObject();
        options.addProperty("protocol", "ctap2");
        options.addProperty("transport", "internal");
        options.addProperty("hasResidentKey", true);
        options.addProperty("hasUserVerification", true);
        options.addProperty("isUserVerified", true);
        JsonObject authenticator = new JsonObject();
        authenticator.add("options", options);
        devtools.send("WebAuthn.addVirtualAuthenticator", authenticator);
    }

    @Test
    void whereThePointAsksLeadsNothingElseOpensBeforeAndALostOneIsTakenAway() throws InvalidKeyException {
        try (Desk ilse = new Desk(app.address(), 1280, 800);
                Desk marit = new Desk(app.address(), 1280, 800)) {
            setUp(marit.signIn("marit"));
            ilse.signIn("ilse").open("/point");
            ilse.page().check("[name=leadsNeedSecond]");
            ilse.click("button:has-text('Keep')");
            ilse.open("/due");
            assertThat(ilse.page().textContent("main")).contains("asks leads for something beside the password");
            setUp(ilse);
            ilse.open("/people");
            ilse.click(".persons summary:has-text('Marit')");
            ilse.click("details[open] button:has-text('Second factor lost')");
            assertThat(ilse.page().textContent(".changed")).contains("set up anew");
            marit.open("/");
            assertThat(marit.page().url()).as("signed out").contains("/sign-in");
            marit.signIn("marit");
            assertThat(marit.page().textContent("main")).contains("Bramwell");
            ilse.open("/trail");
            assertThat(ilse.page().textContent("main"))
                    .contains("took a second factor away", "leads need a second factor");
            ilse.forgive();
        }
    }

    @Test
    void whatGuardsTheAccountIsChangedOnlySoonAfterThePassword() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ansel");
            app.execute("update spring_session set creation_time = creation_time - 660000");
            desk.open("/account/second");
            assertThat(desk.page()
                            .locator("button:has-text('Set up time codes')")
                            .count())
                    .isZero();
            desk.page().fill("[name=current]", "wrong");
            desk.click("main .go");
            assertThat(desk.page().textContent(".refused p")).contains("not right");
            desk.page().fill("[name=current]", Desk.PASSWORD);
            desk.click("main .go");
            assertThat(desk.page()
                            .locator("button:has-text('Set up time codes')")
                            .count())
                    .isOne();
        }
    }
}
