package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A recall that is published is found where it concerns anybody, and is gone with its remedy. */
class RecallIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void publish(Desk desk, String model, String from, String to) {
        desk.open("/recalls");
        desk.page().fill("[name=modelNumber]", model);
        desk.page().fill("[name=madeFrom]", from);
        desk.page().fill("[name=madeTo]", to);
        desk.page().fill("[name=title]", "The chest clip can break");
        desk.page().fill("[name=remedy]", "The maker sends another clip");
        desk.page().click("text=Publish it");
        desk.page().waitForSelector(".waiting-drafts li:has-text('" + model + "')");
    }

    private static String fitting(Desk desk, String child) {
        desk.open("/?find=" + child).click("tbody a");
        return desk.page().url().replaceAll(".*/fittings/([0-9a-f-]*).*", "/fittings/$1");
    }

    private static String model(String child) {
        return app.ask("select document #>> '{fact,model}' from entry e join fitting f on f.record_id = e.fitting_id"
                + " join family a on a.id = f.family_id where a.child_name = '" + child
                + "' and document #>> '{fact,kind}' = 'labelRead' and document #>> '{fact,part}' = 'carrier' limit 1");
    }

    /** It waits to be planned again, or was meanwhile, once a minute. */
    private static boolean hasHeard(String child) {
        String of = " join fitting f on f.id = x.fitting_id join family a on a.id = f.family_id where a.child_name = '"
                + child + "'";
        int waits = Integer.parseInt(app.ask("select count(*) from fitting_stale x" + of));
        int due =
                Integer.parseInt(app.ask("select count(*) from due_item x" + of + " and x.what = 'date.RECALL_OPEN'"));
        return waits + due > 0;
    }

    @Test
    void aPublishedRecallIsFoundAndGoneWithItsRemedy() {
        String tamsins = model("Tamsin");
        String ottilies = model("Ottilie");
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            String tamsin = fitting(desk, "Tamsin");
            desk.open(tamsin + "/recall");
            assertThat(desk.page().textContent("main")).contains("Nothing is open for this seat", tamsins, "pretends");
            desk.isAccessible("a recall look-up");
            publish(desk, tamsins, "1999-01-01", "2000-01-01");
            assertThat(desk.open(tamsin + "/recall").page().textContent("main"))
                    .as("made at another time")
                    .contains("Nothing is open for this seat");
            publish(desk, tamsins, "", "");
            assertThat(hasHeard("Tamsin")).isTrue();
            desk.isAccessible("the recall service");
            desk.open(tamsin + "/recall");
            assertThat(desk.page().textContent(".recall-answer"))
                    .contains("A recall is open", "The chest clip can break", "The maker sends another clip");
            desk.page().click("text=Enter: a recall is open");
            desk.page().waitForSelector("#now-title");
            assertThat(desk.state()).isEqualTo("Not ready to hand over");
            assertThat(desk.open("/due").page().textContent("main")).contains("A recall names this seat");
            desk.open(tamsin + "/recall");
            desk.page().waitForTimeout(450);
            desk.page().click("text=Enter: the remedy is done");
            desk.page().waitForSelector("#now-title");
            assertThat(desk.state()).isEqualTo("Ready to hand over");
            assertThat(app.ask("select count(*) from due_item i join fitting f on f.id = i.fitting_id"
                            + " join family a on a.id = f.family_id where a.child_name = 'Tamsin'"
                            + " and what = 'date.RECALL_OPEN'"))
                    .isEqualTo("0");

            desk.open("/recalls").page().click("text=It is dead");
            publish(desk, "nobody-has-this", "", "");
            String linnea = fitting(desk, "Linnea");
            app.execute("delete from simulated_recall");
            desk.open(linnea + "/recall");
            assertThat(desk.page().textContent("main")).containsPattern("does not answer: not known|Nothing is open");
            desk.open("/recalls").page().click("text=It answers");
            publish(desk, ottilies, "", "");
            assertThat(hasHeard("Ottilie")).as("handed over long ago").isTrue();
            desk.page().fill("[name=madeFrom]", "soon");
            desk.page().click("text=Publish it");
            assertThat(desk.page().textContent("[role=alert]")).contains("soon", "What is wrong");
            desk.forgive();
        }
    }
}
