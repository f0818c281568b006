package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Where there is no signal, where the server goes down, and where two people work on one fitting. */
class ConnectionIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void waitUntilSent(Desk desk) {
        desk.page().waitForFunction("() => document.getElementById('outbox').hidden");
    }

    @Test
    void entriesMadeWithoutConnectionAreKeptThroughAReloadAndSentInOrderOnce() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            desk.step("Harness the child");
            desk.click("#ask-question-clothing summary");
            desk.untilKept();
            desk.offline(true);
            desk.tapOffline("Thin clothes only");
            assertThat(desk.waiting()).isEqualTo("1 entry waiting");
            desk.click("#ask-question-snug summary");
            desk.tapOffline("Snug");
            desk.click("#ask-question-clip summary");
            desk.tapOffline("At the armpits");
            assertThat(desk.waiting()).isEqualTo("3 entries waiting");
            assertThat(desk.page().textContent("#outbox-list")).contains("Thin clothes only", "Snug", "At the armpits");
            desk.page().reload();
            assertThat(desk.title()).as("the kept page, without a connection").isEqualTo("Harness the child");
            assertThat(desk.waiting()).isEqualTo("3 entries waiting");
            desk.offline(false);
            desk.page().reload();
            waitUntilSent(desk);
            assertThat(app.newestKinds("Tamsin", 4)).endsWith("answered", "answered", "answered");
            int before = app.newestKinds("Tamsin", 500).size();
            desk.page().reload();
            desk.page().waitForTimeout(500);
            assertThat(app.newestKinds("Tamsin", 500)).hasSize(before);
            assertThat(desk.state()).isEqualTo("Ready to hand over");
        }
    }

    @Test
    void whatTheServerMissedWhileItWasDownIsSentWhenItIsBack() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            int before = app.newestKinds("Bramwell", 500).size();
            app.kill();
            desk.tapOffline("A flat hand or more");
            desk.page().waitForFunction("() => !document.getElementById('outbox').hidden");
            assertThat(desk.waiting()).isEqualTo("1 entry waiting");
            app.start();
            waitUntilSent(desk);
            assertThat(app.newestKinds("Bramwell", 500)).hasSize(before + 1).endsWith("answered");
        }
    }

    @Test
    void aLevelReadOfflineBeforeAColleagueTightenedDoesNotCount() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800);
                Desk colleague = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            desk.step("Level, child in");
            desk.click("#ask-level-child summary");
            desk.offline(true);
            desk.tapOffline("Bubble between the lines");
            colleague.signIn("ansel").click("text=Tamsin");
            changed(colleague, "TIGHTENED");
            colleague.step("Inch test").tap("Less than an inch");
            colleague.step("Indicators").tap("All show locked");
            desk.offline(false);
            desk.page().evaluate("window.dispatchEvent(new Event('online'))");
            waitUntilSent(desk);
            // The level, and with the same press that both sides show it.
            assertThat(app.newestKinds("Tamsin", 2)).containsExactly("levelRead", "answered");
            desk.page().reload();
            assertThat(desk.state()).isEqualTo("Not ready to hand over");
            assertThat(desk.page().textContent("#run .reopened")).contains("Level, child in", "look again");
            desk.step("Level, child in").tap("Bubble between the lines");
            assertThat(desk.state()).isEqualTo("Ready to hand over");
        }
    }

    @Test
    void twoPeopleSeeEachOthersEntriesAndNobodysTypingIsLost() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800);
                Desk colleague = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Linnea");
            desk.step("Weight and length");
            desk.click("#ask-weight summary");
            desk.fill("mass", "6 lb 3");
            colleague.signIn("tove").click("text=Linnea");
            colleague.step("Slots and webbing").tap("All in slot 1");
            desk.page()
                    .waitForFunction(
                            "() => !document.querySelector('#run .failed')",
                            null,
                            new Page.WaitForFunctionOptions().setTimeout(15_000));
            assertThat(desk.page().inputValue(".ask[open] [name=mass]")).isEqualTo("6 lb 3");
            desk.isQuiet();
        }
    }

    @Test
    void aNumberIsSaidInTheOtherUnitWhileItIsTyped() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Osric");
            desk.step("Weight and length");
            desk.click("#ask-weight summary");
            desk.fill("mass", "8 lb 10 oz");
            desk.page()
                    .waitForFunction(
                            "() => document.querySelector('.ask[open] .echo').textContent.includes('3.91 kg')");
            desk.fill("mass", "8");
            desk.page()
                    .waitForFunction(
                            "() => document.querySelector('.ask[open] .echo').textContent.includes('more than one unit')");
            desk.isQuiet();
        }
    }

    /** Each half-sent form would hold a thread for as long as it trickles in. */
    @Test
    void halfSentFormsKeepNobodyFromReading() throws IOException {
        List<Socket> halves = new ArrayList<>();
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            int port = URI.create(app.address()).getPort();
            for (int i = 0; i < 200; i++) {
                Socket half = new Socket("127.0.0.1", port);
                halves.add(half);
                half.getOutputStream()
                        .write(("POST /sign-in HTTP/1.1\r\nHost: here\r\nContent-Length: 100000\r\n"
                                        + "Content-Type: application/x-www-form-urlencoded\r\n\r\nusername=a")
                                .getBytes(StandardCharsets.US_ASCII));
            }
            desk.open("/sign-in");
            assertThat(desk.page().textContent("h1")).isEqualTo("Sign in");
        } finally {
            for (Socket half : halves) {
                half.close();
            }
        }
    }

    /** No session lasts longer than twelve hours, and no page of it that was kept for where there is no signal. */
    @Test
    void aKeptPageIsOverWithTheLongestSession() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            desk.page().waitForFunction("() => navigator.serviceWorker.controller !== null");
            desk.page().reload();
            desk.untilKept();
            String fitting = desk.page().url().replace(app.address(), "");
            desk.offline(true).open(fitting);
            assertThat(desk.title()).isNotEmpty();
            desk.offline(false);
            age(desk);
            desk.offline(true);
            desk.open(fitting);
            assertThat(desk.page().textContent("main"))
                    .contains("No connection")
                    .doesNotContain("Bramwell");
            assertThat(desk.page().evaluate("getComputedStyle(document.querySelector('main')).maxWidth"))
                    .as("its styles were kept with it")
                    .isEqualTo("780px");
            desk.isAccessible("no connection");
            desk.forgive();
        }
    }

    /** An address with its print is never anything else: it is not asked for twice. Newer ones never push out what is shown offline. */
    @Test
    void whatCarriesItsPrintIsTakenFromWhatIsKeptAndTheOfflinePageStays() {
        try (Desk desk = Desk.keepingPages(app.address(), 1280, 800)) {
            desk.signIn("marit");
            desk.page().waitForFunction("() => navigator.serviceWorker.controller !== null");
            desk.page().reload();
            desk.page()
                    .evaluate("async () => { const shell = await caches.open('layette-shell-1');"
                            + " for (let i = 0; i < 100; i++) { await shell.put('/css/old-' + i + '.css', new Response('old')); }"
                            + " await fetch('/favicon.svg'); }");
            desk.page()
                    .waitForFunction("async () => { const shell = await caches.open('layette-shell-1');"
                            + " return (await shell.keys()).length <= 80; }");
            assertThat(desk.page()
                            .evaluate(
                                    "async () => { const level = document.querySelector('script[src*=\"/js/all-\"]').src;"
                                            + " const shell = await caches.open('layette-shell-1');"
                                            + " await shell.put(level, new Response('kept'));"
                                            + " const offline = await caches.open('layette-offline-1');"
                                            + " return [await (await fetch(level)).text(), (await offline.match('/offline')) !== undefined]"
                                            + ".join(); }"))
                    .isEqualTo("kept,true");
            desk.isQuiet();
        }
    }

    /** Makes every kept page thirteen hours old; a page that loads itself anew meanwhile is asked once more. */
    private static void age(Desk desk) {
        for (int tries = 0; ; tries++) {
            try {
                desk.page()
                        .evaluate("async () => { const cache = await caches.open('layette-pages-1');"
                                + " for (const key of await cache.keys()) {"
                                + " const old = new Date(Date.now() - 13 * 3600 * 1000).toUTCString();"
                                + " await cache.put(key, new Response('<p>old</p>', { headers: { Date: old } })); } }");
                return;
            } catch (PlaywrightException e) {
                if (tries == 4) {
                    throw e;
                }
                desk.page().waitForTimeout(1000);
            }
        }
    }

    private static void changed(Desk desk, String act) {
        desk.click(".changed-menu summary");
        desk.page().selectOption(".changed-menu select", act);
        desk.page()
                .waitForResponse(
                        response -> response.url().endsWith("/entries"), () -> desk.click(".changed-menu .go"));
        desk.page().waitForSelector("#run .reopened");
    }
}
