package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The schools side by side, another practice tried on what was fitted here, and put in force. */
class PracticeIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static String otherwise(Desk desk, String headRoom) {
        desk.open("/practice");
        desk.page().fill("[name=headRoom]", headRoom);
        desk.click("text=Which of the last fittings would have come out otherwise?");
        desk.page().waitForSelector("h2");
        return desk.page().textContent("main");
    }

    @Test
    void aStricterPracticeNamesWhatItWouldHaveChangedAndCountsFromItsDay() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("ilse").open("/point").click("text=Practice: schools side by side");
            assertThat(desk.page().locator(".schools .differs").count()).isGreaterThan(6);
            assertThat(desk.page().textContent(".schools .differs:has-text('Head room')"))
                    .contains("25 mm", "50 mm");
            desk.isAccessible("practice");
            assertThat(otherwise(desk, "25 mm"))
                    .contains("None of the last " + app.ask("select count(*) from fitting") + " would");
            assertThat(otherwise(desk, "250 mm")).doesNotContain("None of the last");
            assertThat(desk.page().textContent(".otherwise")).contains("Head room: in order → ");

            desk.open("/practice");
            desk.page().fill("[name=headRoom]", "fifty");
            desk.page().fill("[name=recallDays]", "4000");
            desk.click("text=Which of the last fittings would have come out otherwise?");
            assertThat(desk.page().textContent("[role=alert]"))
                    .contains("fifty", "a length with its unit", "4000", "1 to 365");
            assertThat(desk.page().inputValue("[name=headRoom]")).isEqualTo("fifty");
            desk.page().fill("[name=headRoom]", "50 mm");
            desk.page().fill("[name=recallDays]", "30");
            desk.page().fill("[name=from]", "2020-01-01");
            desk.click("text=Put it in force");
            assertThat(desk.page().textContent("[role=alert]")).contains("2020-01-01", "allowed");
            desk.page()
                    .fill(
                            "[name=from]",
                            java.time.LocalDate.now(java.time.Clock.systemUTC())
                                    .plusDays(2)
                                    .toString());
            desk.click("text=Put it in force");
            desk.page().waitForSelector("text=Version 2 is in force from");
            assertThat(desk.page().textContent("main")).contains("Version 2 is in force later");
            assertThat(desk.page().inputValue("[name=headRoom]"))
                    .as("until then it is as it was")
                    .isEqualTo("25 mm");
            app.execute("update practice_profile set in_force_from = current_date - 2 where version = 2");
            desk.open("/practice");
            assertThat(desk.page().inputValue("[name=headRoom]")).isEqualTo("50 mm");
            desk.open("/?find=Tamsin").click("tbody a");
            assertThat(desk.page().textContent("#head"))
                    .as("a fitting keeps its own")
                    .contains("practice, version 1");
            desk.forgive();
        }
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("pim").open("/practice");
            assertThat(desk.page().textContent("main")).contains("A lead puts it in force");
            assertThat(desk.page().locator("text=Put it in force").count()).isZero();
            desk.fitsItsWidth("practice on a phone");
            desk.isQuiet();
        }
    }
}
