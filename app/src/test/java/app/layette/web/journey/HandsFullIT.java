package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Both hands full: one act a screen, on by a tap or any key, back by another, what was done entered at the end. */
class HandsFullIT {
    private static final int APART_MS = 400;
    private static final int MOST_SCREENS = 40;

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static String shown(Desk desk) {
        assertThat(desk.page().locator(".slide.is-open").count()).isOne();
        return desk.page().textContent(".slide.is-open .of");
    }

    @Test
    void isReadByAnyKeyAndEnteredWithOnePress() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Juniper");
            desk.step("Carrier on the base");
            desk.click("text=Hands full");
            desk.page().waitForSelector(".one-at-a-time");
            String first = shown(desk);
            assertThat(first).contains("Carrier on the base");
            desk.isAccessible("hands full");
            desk.page().waitForTimeout(APART_MS);
            desk.page().keyboard().press("PageDown");
            String second = shown(desk);
            assertThat(second).isNotEqualTo(first);
            desk.page().keyboard().press("PageDown");
            assertThat(shown(desk)).as("a bounce of the switch is one press").isEqualTo(second);
            desk.page().waitForTimeout(APART_MS);
            desk.page().keyboard().press("PageUp");
            assertThat(shown(desk)).isEqualTo(first);
            for (int i = 0;
                    i < MOST_SCREENS
                            && desk.page().locator(".slide.last.is-open").count() == 0;
                    i++) {
                desk.page().waitForTimeout(APART_MS);
                desk.page().keyboard().press(i % 2 == 0 ? "b" : " ");
            }
            assertThat(desk.page().textContent(".slide.last")).contains("What was done");
            int acts = desk.page().locator(".slide.last [name=act]").count();
            assertThat(acts).isPositive();
            desk.click(".slide.last .go");
            desk.page().waitForSelector("#now-title");
            assertThat(app.newestKinds("Juniper", acts)).containsOnly("acted");
            desk.isQuiet();
        }
    }

    /** Cover off and on is a run of the same kind: what it spoils is asked again. */
    @Test
    void theCoverComesOffAndOnActByAct() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            String fitting = desk.page().url().replaceAll(".*/fittings/([0-9a-f-]*).*", "/fittings/$1");
            desk.open(fitting + "/hands?run=cover");
            desk.page().waitForSelector(".one-at-a-time");
            for (int i = 0;
                    i < MOST_SCREENS
                            && desk.page().locator(".slide.last.is-open").count() == 0;
                    i++) {
                desk.page().waitForTimeout(APART_MS);
                desk.page().keyboard().press("ArrowRight");
            }
            desk.click(".slide.last .go");
            desk.page().waitForSelector("#now-title");
            assertThat(desk.state())
                    .as("snug test and clip are to be done again")
                    .isEqualTo("Not ready to hand over");
            desk.isQuiet();
        }
    }

    @Test
    void anActThatThereIsNotIsNamedAndNothingIsEntered() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Tamsin");
            String fitting = desk.page().url().replaceAll(".*/fittings/([0-9a-f-]*).*", "/fittings/$1");
            desk.open(fitting + "/hands?run=cover");
            desk.page().waitForSelector(".one-at-a-time");
            desk.page()
                    .evaluate("() => { const act = document.querySelector('main form [name=act]');"
                            + " act.value = 'EXPLODED'; HTMLFormElement.prototype.submit.call(act.form); }");
            desk.page().waitForSelector("main .refused");
            assertThat(desk.page().textContent("main .refused")).contains("EXPLODED");
        }
    }

    @Test
    void onAPhoneATapAnywhereGoesOn() {
        try (Desk desk = Desk.withFinger(app.address(), 390, 844)) {
            desk.signIn("marit").click("text=Linnea");
            String fitting = desk.page().url().replaceAll(".*/fittings/([0-9a-f-]*).*", "/fittings/$1");
            desk.open(fitting + "/hands?step=HARNESS");
            desk.page().waitForSelector(".one-at-a-time");
            String first = shown(desk);
            desk.page().waitForTimeout(APART_MS);
            desk.page().tap(".slide.is-open .act-says");
            assertThat(shown(desk)).isNotEqualTo(first);
            desk.fitsItsWidth("hands full");
            desk.isAccessible("hands full on a phone");
            desk.isQuiet();
        }
    }
}
