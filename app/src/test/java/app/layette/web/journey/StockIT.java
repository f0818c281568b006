package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A seat of the stock: taken in, made ready, lent, late, back; barred by its life and by a recall. */
class StockIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static final Path LABELS = Path.of("../examples/labels");

    private static void takeIn(Desk desk, String seat, String model, String made, String serial) {
        desk.open("/stock");
        desk.page().selectOption("[name=seat]", seat);
        desk.page().fill("[name=modelNumber]", model);
        desk.page().fill("[name=made]", made);
        desk.page().fill("[name=serial]", serial);
        desk.page().click("text=Take it in");
        desk.page().waitForLoadState();
    }

    private static String card(String serial) {
        return ".stock-card:has-text('" + serial + "') ";
    }

    private static String column(Desk desk, String serial) {
        return desk.page().textContent(".stock-columns section:has(" + card(serial) + ") h2");
    }

    private static int lentSheetsDue(String fitting) {
        return Integer.parseInt(app.ask(
                "select count(*) from due_item where fitting_id = '" + fitting + "' and what = 'date.LENT_SHEET'"));
    }

    private static void ready(Desk desk, String serial) {
        desk.page().check(card(serial) + "[name=noCrash]");
        desk.page().click(card(serial) + "button:has-text('Washed')");
    }

    /** The label is photographed, each value confirmed; the fitting begins with what was known at the last count. */
    @Test
    void aSeatIsTakenInByThePhotographOfItsLabelAndBeginsAFitting() {
        try (Desk desk = new Desk(app.address(), 1280, 900)) {
            desk.signIn("marit").open("/stock");
            desk.page().selectOption("[name=seat]", "wrenfold-thimble");
            desk.page().selectOption("[name=history]", "OWNED_FROM_NEW");
            desk.page().setInputFiles(".label-reader input[type=file]", LABELS.resolve("02-tilted.jpg"));
            desk.page().waitForSelector(".label-rows figure");
            assertThat(desk.page().inputValue("[name=serial]"))
                    .as("a proposal is no answer")
                    .isEmpty();
            for (String of : new String[] {"MODEL_NUMBER", "MADE", "SERIAL"}) {
                desk.page().click(".label-rows button[data-of=" + of + "]");
            }
            assertThat(desk.page().inputValue("[name=serial]")).isEqualTo("H24-09117");
            desk.isAccessible("a label that was read");
            desk.page().setInputFiles(".label-reader input[type=file]", LABELS.resolve("labels.csv"));
            desk.page().waitForSelector(".proposals .problem");
            assertThat(desk.page().textContent(".proposals")).contains("no photograph");
            desk.page().fill("[name=modelNumber]", "WT-210");
            desk.page().click("text=Take it in");
            assertThat(desk.page().textContent("[role=alert]")).contains("no photograph");
            assertThat(desk.page().inputValue("[name=serial]"))
                    .as("nothing typed is lost")
                    .isEqualTo("H24-09117");
            desk.page().setInputFiles(".label-reader input[type=file]", LABELS.resolve("02-tilted.jpg"));
            desk.page().click("text=Take it in");
            assertThat(
                            (String)
                                    desk.page()
                                            .evaluate(
                                                    "async () => (await fetch(document.querySelector('a[href$=\"label.jpg\"]').href)).headers.get('content-type')"))
                    .isEqualTo("image/jpeg");
            desk.page().click(card("H24-09117") + "button:has-text('Washed')");
            assertThat(desk.page().textContent("[role=alert]")).contains("H24-09117", "crash");
            ready(desk, "H24-09117");
            desk.open("/stock?find=h24-09117");
            assertThat(desk.page().locator(".stock-card").count()).isEqualTo(1);
            desk.page().click(card("H24-09117") + "a:has-text('Begin a fitting')");
            String stock = desk.page().inputValue("[name=stock]");
            assertThat(stock).isNotEmpty();
            desk.newFamily("childName", "Stella")
                    .newFamily("reference", "W-9090")
                    .newFamily("born", "2026-11-20")
                    .newFamily("gestationDays", "39+0");
            desk.page().evaluate("document.querySelector('form.begin').requestSubmit()");
            desk.page().waitForURL(java.util.regex.Pattern.compile(".*/fittings/[0-9a-f-]{36}.*"));
            String facts =
                    "select string_agg(e.document #>> '{fact,kind}' || coalesce('/' || (e.document #>> '{fact,question}'), ''), ' ' order by e.seq)"
                            + " from entry e join fitting f on f.record_id = e.fitting_id join family a on a.id = f.family_id"
                            + " where a.child_name = 'Stella' and e.document #>> '{fact,kind}' in ('labelRead', 'answered')";
            assertThat(app.ask(facts)).contains("labelRead", "history", "crash", "parts");

            // A newer sheet of a lent seat is news to whoever has it: with the next entry, or when it is planned again.
            String stella = desk.page().url().replaceAll(".*/fittings/([0-9a-f-]{36}).*", "$1");
            desk.open("/stock").page().selectOption(card("H24-09117") + "[name=family]", stella);
            desk.page().click(card("H24-09117") + "button:has-text('Lend it')");
            app.execute("update stock_seat set lent_on = '2020-01-01' where serial = 'H24-09117'");
            desk.open("/fittings/" + stella + "/recall").page().waitForTimeout(450);
            desk.page().click("main form .go >> nth=0");
            desk.page().waitForSelector("#now-title");
            assertThat(lentSheetsDue(stella)).isEqualTo(1);
            assertThat(desk.open("/due").page().textContent("main")).contains("A newer sheet of the seat that is lent");
            desk.isQuiet();
        }
    }

    @Test
    void aSeatIsLentOnlyWhereNothingBarsItAndComesBackToBeCounted() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/shelf").click("text=Seats kept here");
            desk.page().waitForSelector(".empty");
            takeIn(desk, "wrenfold-thimble", "", "sometime", "");
            assertThat(desk.page().textContent("[role=alert]")).contains("Model number", "Serial", "sometime");
            assertThat(desk.page().inputValue("[name=made]")).isEqualTo("sometime");
            takeIn(desk, "wrenfold-thimble", "WT-210", "2025-03", "S-0001");
            takeIn(desk, "wrenfold-thimble", "WT-211", "2012-03", "S-OLD");
            assertThat(column(desk, "S-0001")).contains("To be washed and counted");
            desk.isAccessible("stock");
            ready(desk, "S-OLD");
            assertThat(desk.page().textContent(card("S-OLD"))).contains("Over its life");
            assertThat(desk.page().locator(card("S-OLD") + ".lend").count()).isZero();
            ready(desk, "S-0001");
            assertThat(desk.page().textContent(card("S-0001")))
                    .contains("usable until 1 Mar 2033", "washed and counted");
            String tamsin = app.ask(
                    "select f.id from fitting f join family a on a.id = f.family_id where a.child_name = 'Tamsin'");
            desk.page().selectOption(card("S-0001") + "[name=family]", tamsin);
            desk.page().fill(card("S-0001") + "[name=until]", "2020-01-01");
            desk.page().click(card("S-0001") + "button:has-text('Lend it')");
            assertThat(desk.page().textContent("[role=alert]")).contains("2020-01-01");
            desk.page().selectOption(card("S-0001") + "[name=family]", tamsin);
            desk.page().click(card("S-0001") + "button:has-text('Lend it')");
            assertThat(column(desk, "S-0001")).contains("Lent");
            assertThat(desk.page().textContent(card("S-0001"))).contains("Tamsin");
            int heard = Integer.parseInt(
                    app.ask("select (select count(*) from fitting_stale where fitting_id = '" + tamsin + "')"
                            + " + (select count(*) from due_item where fitting_id = '" + tamsin
                            + "' and what = 'date.SEAT_BACK')"));
            assertThat(heard).isPositive();
            app.execute("update stock_seat set until = current_date - 3 where serial = 'S-0001'");
            desk.open("/stock");
            assertThat(desk.page().textContent(card("S-0001"))).contains("late");
            desk.page().click(card("S-0001") + "button:has-text('It is back')");
            assertThat(column(desk, "S-0001")).contains("To be washed and counted");
            ready(desk, "S-0001");

            desk.open("/recalls");
            desk.page().fill("[name=modelNumber]", "wt-210");
            desk.page().fill("[name=title]", "The handle can come off");
            desk.page().fill("[name=remedy]", "Another handle");
            desk.page().click("text=Publish it");
            desk.open("/stock");
            assertThat(desk.page().textContent(card("S-0001"))).contains("A recall names it");
            assertThat(desk.page().locator(card("S-0001") + ".lend").count()).isZero();
            desk.page().click(card("S-0001") + "button:has-text('remedy is done')");
            assertThat(desk.page().locator(card("S-0001") + ".lend").count()).isEqualTo(1);

            // Of a model that the service never answered about nothing is known: somebody looks it up and says so.
            desk.open("/recalls").page().click("text=It is dead");
            takeIn(desk, "wrenfold-thimble", "WT-219", "2025-03", "S-DEAF");
            ready(desk, "S-DEAF");
            assertThat(desk.page().textContent(card("S-DEAF"))).contains("Recalls are not known");
            desk.page().click(card("S-DEAF") + "button:has-text('Lend it')");
            assertThat(desk.page().textContent("[role=alert]")).contains("S-DEAF", "recalls are not known");
            desk.page().check(card("S-DEAF") + "[name=lookedUp]");
            desk.page().click(card("S-DEAF") + "button:has-text('Lend it')");
            assertThat(column(desk, "S-DEAF")).contains("Lent");
            assertThat(desk.page().textContent(card("S-DEAF") + "ol")).contains("recalls looked up elsewhere");
            desk.open("/recalls").page().click("text=It answers");
            desk.open("/stock").page().click(card("S-0001") + "button:has-text('out of use')");
            assertThat(column(desk, "S-0001")).contains("Out of use");
            desk.page().click(card("S-0001") + "summary");
            assertThat(desk.page().textContent(card("S-0001") + "ol"))
                    .contains("taken in", "lent W-1041", "back", "recall remedied", "out of use");
            desk.forgive();
        }
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("pim").open("/stock").fitsItsWidth("stock on a phone");
            desk.isQuiet();
        }
    }
}
