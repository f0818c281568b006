package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The day by bay, and the weeks before a birth. */
class DayIT {
    private static final ZoneId ZONE = ZoneId.of("America/Toronto");
    private static final Pattern APPOINTMENT = Pattern.compile(".*/appointments/[0-9a-f-]{36}$");
    private static final Pattern FITTING = Pattern.compile(".*/fittings/[0-9a-f-]{36}.*");

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static String book(Desk desk, String what, String who, String reference, String due, String day) {
        desk.open("/appointments/new");
        Page page = desk.page();
        page.check("[name=what][value=" + what + "]");
        page.fill("[name=called]", who);
        page.fill("[name=reference]", reference);
        page.fill("[name=due]", due);
        page.fill("[name=earliest]", day);
        page.click("[name=show]");
        page.waitForLoadState();
        assertThat(page.inputValue("[name=called]")).as("nothing typed is lost").isEqualTo(who);
        page.click("text=Book it");
        page.waitForURL(APPOINTMENT);
        return page.url().replaceAll(".*/appointments/", "");
    }

    private static String row(String id, String column) {
        return app.ask("select " + column + " from appointment where id = '" + id + "'");
    }

    private static void enter(Desk desk, String fitting, String... fields) {
        List<String> pairs = new ArrayList<>(List.of(fields));
        desk.page()
                .evaluate(
                        "async ([fitting, pairs, id]) => {"
                                + " const form = new URLSearchParams();"
                                + " form.append('id', id); form.append('seen', document.getElementById('now').dataset.seq);"
                                + " for (let i = 0; i < pairs.length; i += 2) form.append(pairs[i], pairs[i + 1]);"
                                + " form.append('_csrf', document.querySelector('input[name=_csrf]').value);"
                                + " const answer = await fetch('/fittings/' + fitting + '/entries', { method: 'POST', body: form, headers: { 'HX-Request': 'true' } });"
                                + " if (!answer.ok) throw new Error(pairs.join(' ') + ' ' + answer.status + ' ' + (await answer.text()).slice(0, 2000));"
                                + " const html = await answer.text(); const seq = /data-seq=\"(\\d+)\"/.exec(html);"
                                + " if (seq) document.getElementById('now').dataset.seq = seq[1]; }",
                        List.of(fitting, pairs, UUID.randomUUID().toString()));
    }

    private static void answer(Desk desk, String fitting, String question, String answer) {
        enter(desk, fitting, "kind", "answered", "of", "u1", "question", question, "answer", answer, "how", "measured");
    }

    /** A call at thirty weeks, prepared, an early birth, the same record goes on; the base's day is then the child's. */
    @Test
    void fromACallToPreparedAndAnEarlyBirth() {
        LocalDate today = LocalDate.now(ZONE);
        LocalDate due = today.plusDays(70);
        try (Desk desk = new Desk(app.address(), 1280, 900)) {
            desk.signIn("marit").open("/").click("text=A time for later");
            String id = book(desk, "BEFORE_BIRTH", "Wilhelmina", "W-7001", due.toString(), "");
            assertThat(row(id, "day"))
                    .as("not before two weeks before the thirty-fifth")
                    .isEqualTo(due.minusDays(49).toString());
            assertThat(desk.page().textContent("main"))
                    .contains("base before the birth", "What stays in the car is best fitted");
            desk.isAccessible("an appointment");
            String calendar = (String) desk.page()
                    .evaluate("async () => (await (await fetch(location.pathname + '/calendar.ics')).text())");
            assertThat(calendar)
                    .contains("UID:" + id, "SEQUENCE:0", "METHOD:PUBLISH")
                    .doesNotContain("Wilhelmina");
            desk.page().click(".letter summary");
            desk.page().click("text=Send it");
            desk.page().waitForURL(APPOINTMENT);
            assertThat(desk.page().textContent(".letter summary")).contains("they know of it as it is");
            assertThat(row(id, "told")).isEqualTo("0");
            // Pressed a second time on the old page it is still one letter.
            String letters = app.ask("select count(*) from simulated_mail where recipient = 'W-7001'");
            assertThat(letters).isEqualTo("1");
            desk.page()
                    .evaluate(
                            "async () => { const form = document.querySelector('.letter form'); const body = new URLSearchParams(new FormData(form)); body.set('told', ''); await fetch(form.action, { method: 'POST', body }); }");
            assertThat(app.ask("select count(*) from simulated_mail where recipient = 'W-7001'"))
                    .isEqualTo("1");
            desk.page().click("text=Begin its fitting");
            desk.page().waitForURL(Pattern.compile(".*/fittings/new.*"));
            desk.newFamily("seat", "wrenfold-thimble");
            desk.page().evaluate("document.querySelector('form.begin').requestSubmit()");
            desk.page().waitForURL(FITTING);
            String fitting = desk.page().url().replaceAll(".*/fittings/([0-9a-f-]{36}).*", "$1");
            assertThat(row(id, "fitting_id")).isEqualTo(fitting);
            assertThat(desk.page().textContent("#head")).contains("due", "30 weeks now", "Not yet prepared");
            assertThat(desk.page().textContent("#run"))
                    .contains("Inch test")
                    .doesNotContain("Harness the child", "Hand over");
            prepare(desk, fitting);
            desk.open("/fittings/" + fitting + "?step=HAND_OVER");
            assertThat(desk.state()).isEqualTo("Everything before the birth is done");
            assertThat(app.ask("select blocking from fitting where id = '" + fitting + "'"))
                    .isNotEqualTo("0");
            desk.page().waitForTimeout(500);
            desk.page().click("text=Sign: prepared before the birth");
            desk.page()
                    .waitForFunction("() => document.querySelector('#head .ready b').textContent.includes('Prepared')");
            assertThat(app.ask("select state from fitting where id = '" + fitting + "'"))
                    .isEqualTo("PREPARED");
            desk.isAccessible("prepared before the birth");
            desk.open("/?find=Wilhelmina");
            assertThat(desk.page().textContent("tbody"))
                    .as("never shown as handed over, nor as ready for it")
                    .contains("Prepared before the birth")
                    .doesNotContain("Ready to hand over", "Handed over");
            desk.open("/fittings/" + fitting);

            // It is born five weeks early: the record goes on, what the child needs is asked, the base's day is its
            // day.
            enter(
                    desk,
                    fitting,
                    "kind",
                    "childDescribed",
                    "of",
                    "r1",
                    "born",
                    today.toString(),
                    "gestationDays",
                    "34+6",
                    "how",
                    "told");
            assertThat(app.ask("select state from fitting where id = '" + fitting + "'"))
                    .isEqualTo("OPEN");
            assertThat(row(id, "what || coalesce(due_on::text, '')")).isEqualTo("FULL");
            desk.open("/fittings/" + fitting);
            assertThat(desk.state()).isEqualTo("Not ready to hand over");
            assertThat(desk.page().textContent("#run")).contains("Harness the child", "Level, child in");
            desk.open("/appointments/" + id);
            desk.page().click("text=Move it there");
            desk.page().waitForURL(APPOINTMENT);
            assertThat(desk.page().textContent(".letter summary")).contains("changed since they were written");
            assertThat((String) desk.page()
                            .evaluate("async () => (await (await fetch(location.pathname + '/calendar.ics')).text())"))
                    .as("the same appointment, changed")
                    .contains("UID:" + id)
                    .doesNotContain("SEQUENCE:0");
            desk.isQuiet();
        }
    }

    private static void prepare(Desk desk, String fitting) {
        enter(desk, fitting, "kind", "sheetAdopted", "of", "corvane-estate", "version", "2", "adoption", "ADOPTED");
        enter(
                desk,
                fitting,
                "kind",
                "labelRead",
                "of",
                "u1",
                "part",
                "CARRIER",
                "model",
                "WT-210",
                "made",
                "2025-03-14",
                "how",
                "label");
        enter(desk, fitting, "kind", "placed", "of", "u1", "position", "2-RIGHT", "method", "BASE_FLEXIBLE_ANCHORS");
        enter(
                desk,
                fitting,
                "kind",
                "labelRead",
                "of",
                "u1",
                "part",
                "BASE",
                "model",
                "WB-21",
                "made",
                "2025-03-14",
                "how",
                "label");
        for (String[] each : new String[][] {
            {"APPROVAL", "ON_LABEL"},
            {"HISTORY", "OWNED_FROM_NEW"},
            {"CRASH", "NONE"},
            {"RECALL", "NONE_OPEN"},
            {"PARTS", "COMPLETE"},
            {"MANUALS", "BOTH"},
            {"BASE_SET_UP", "AS_SHEET"},
            {"GROUND", "LEVEL"}
        }) {
            answer(desk, fitting, each[0], each[1]);
        }
        enter(desk, fitting, "kind", "acted", "of", "u1", "act", "PREPARED", "how", "measured");
        enter(desk, fitting, "kind", "deviceSet", "of", "u1", "step", "3", "how", "measured");
        answer(desk, fitting, "ANCHORS_HOOKED", "BOTH_CLICKED");
        enter(desk, fitting, "kind", "acted", "of", "u1", "act", "TIGHTENED", "how", "measured");
        answer(desk, fitting, "STRAP", "STRAIGHT_AND_STOWED");
        answer(desk, fitting, "SYSTEMS", "ANCHORS_ALONE");
        answer(desk, fitting, "SITS_WHOLE", "WHOLE");
        enter(desk, fitting, "kind", "levelRead", "of", "u1", "stage", "TIGHT", "reading", "INSIDE", "how", "measured");
        answer(desk, fitting, "MOVEMENT", "UNDER_AN_INCH");
        answer(desk, fitting, "WINDOWS", "ALL_LOCKED");
    }

    @Test
    void aDayIsMovedByDragAndByKeysAndTwoDoNotGetOneBay() {
        LocalDate day = LocalDate.now(ZONE).plusDays(9);
        try (Desk one = new Desk(app.address(), 1280, 900);
                Desk two = new Desk(app.address(), 1280, 900)) {
            one.signIn("marit");
            two.signIn("tove");
            String first = book(one, "FULL", "Anouk", "W-7002", "", day.toString());
            assertThat(row(first, "from_time")).isEqualTo("09:00:00");
            String second = book(two, "FULL", "Benedikt", "W-7003", "", day.toString());
            assertThat(row(first, "bay_id")).as("two families, two bays").isNotEqualTo(row(second, "bay_id"));

            // Both ask for the very same bay and time: one gets it, the other is told the next free time.
            String wanted = row(first, "bay_id") + " " + day + " 13:00";
            String ask = "([id, wanted]) => { window.came = fetch('/appointments/' + id + '/move', { method: 'POST',"
                    + " body: new URLSearchParams({ time: wanted, _csrf: document.querySelector('input[name=_csrf]').value }) })"
                    + ".then((answer) => answer.text()); }";
            one.page().evaluate(ask, List.of(first, wanted));
            two.page().evaluate(ask, List.of(second, wanted));
            List<String> pages = List.of((String) one.page().evaluate("() => window.came"), (String)
                    two.page().evaluate("() => window.came"));
            assertThat(pages.stream().filter(each -> each.contains("Take the next free time")))
                    .hasSize(1);
            assertThat(app.ask("select count(*) from appointment where day = '" + day
                            + "' and from_time = '13:00' and state = 'BOOKED'"))
                    .isEqualTo("1");

            one.open("/?day=" + day);
            Page page = one.page();
            Locator card = page.locator("svg.day a.card[data-id='" + first + "']");
            String before = row(first, "from_time || ' ' || bay_id");
            BoundingBox box = card.locator("rect").boundingBox();
            page.mouse().move(box.x + 20, box.y + 20);
            page.mouse().down();
            page.mouse().move(box.x + 20 + 201, box.y + 22);
            assertThat(page.textContent(".tried")).contains("Enter moves it there");
            page.mouse().up();
            page.waitForLoadState();
            page.waitForTimeout(300);
            assertThat(row(first, "from_time || ' ' || bay_id"))
                    .as("two hours later")
                    .isNotEqualTo(before);

            String dragged = row(first, "from_time");
            page.locator("svg.day a.card[data-id='" + first + "']").focus();
            page.keyboard().press("ArrowLeft");
            page.keyboard().press("ArrowLeft");
            page.keyboard().press("ArrowRight");
            page.keyboard().press("Enter");
            page.waitForLoadState();
            page.waitForTimeout(300);
            assertThat(java.time.LocalTime.parse(row(first, "from_time")))
                    .isEqualTo(java.time.LocalTime.parse(dragged).minusMinutes(15));
            one.isAccessible("a day by bay");

            // Outside the hours it is refused, with the next time that is free.
            one.open("/appointments/" + first);
            String late =
                    "async ([id, wanted]) => (await (await fetch('/appointments/' + id + '/move', { method: 'POST', body: new URLSearchParams({ time: wanted, _csrf: document.querySelector('input[name=_csrf]').value }) })).text())";
            String html = (String) page.evaluate(late, List.of(first, row(first, "bay_id") + " " + day + " 23:30"));
            assertThat(html).contains("not free", "Take the next free time");
            for (String bad : new String[] {
                "x",
                "",
                "1 2 3",
                row(first, "bay_id") + " +999999999-01-01 9:00",
                row(first, "bay_id") + " 2026-02-31 9:00",
                "<b> 1 9:00"
            }) {
                assertThat((String) page.evaluate(late, List.of(first, bad))).contains("class=\"refused\"");
            }
            page.click("text=They did not come");
            page.waitForURL(APPOINTMENT);
            assertThat(row(first, "state")).isEqualTo("NO_SHOW");
            one.forgive();
        }
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("pim").open("/").fitsItsWidth("the day on a phone");
            assertThat(desk.page().isVisible(".day-list")).isTrue();
            desk.open("/appointments/new").fitsItsWidth("booking on a phone");
            desk.isQuiet();
        }
    }

    /** The ward has a place and a way of its own; a follow-up goes into the bay beside a family that is being fitted. */
    @Test
    void theWardAndAFollowUpBesideAnotherFamily() {
        LocalDate day = LocalDate.now(ZONE).plusDays(16);
        try (Desk desk = new Desk(app.address(), 1280, 900)) {
            desk.signIn("marit");
            String beside = book(desk, "FULL", "Cordelia", "W-7011", "", day.toString());
            String followUp = book(desk, "FOLLOW_UP", "Dorothea", "W-7012", "", day.toString());
            assertThat(row(followUp, "from_time")).isEqualTo(row(beside, "from_time"));
            assertThat(row(followUp, "bay_id")).isNotEqualTo(row(beside, "bay_id"));
            String ward = book(desk, "BEDSIDE", "Evander", "W-7013", "", day.toString());
            assertThat(app.ask("select b.ward from bay b join appointment a on a.bay_id = b.id where a.id = '" + ward
                            + "'"))
                    .isEqualTo("t");
            assertThat(row(ward, "from_time"))
                    .as("the way there lies inside the hours")
                    .isNotEqualTo("09:00:00");
            desk.page().click("text=They are here");
            desk.page().waitForLoadState();
            assertThat(row(ward, "state")).isEqualTo("CAME");
            desk.isQuiet();
        }
    }

    /** A full day, somebody waits; a time comes free and is offered where they wait; days off take a person from the day. */
    @Test
    void aFreedTimeIsOfferedToWhoWaits() {
        try (Desk desk = new Desk(app.address(), 1280, 900)) {
            desk.signIn("ilse").open("/appointments/new");
            Page page = desk.page();
            page.check("[name=what][value=FULL]");
            page.fill("[name=called]", "Florentine");
            page.fill("[name=reference]", "W-7021");
            page.check("[name=time][value='']");
            page.click("text=Book it");
            page.waitForURL(APPOINTMENT);
            String id = page.url().replaceAll(".*/appointments/", "");
            assertThat(row(id, "state")).isEqualTo("WAITING");
            desk.open("/");
            Locator offer = page.locator("li:has-text('Florentine') button");
            assertThat(offer.textContent()).contains("Free now");
            desk.isAccessible("somebody waits");
            offer.click();
            page.waitForURL(APPOINTMENT);
            assertThat(row(id, "state")).isEqualTo("BOOKED");

            desk.open("/hours");
            LocalDate off = LocalDate.now(ZONE).plusDays(23);
            page.selectOption("select[name=person]", new com.microsoft.playwright.options.SelectOption().setIndex(0));
            page.fill("[name=awayFrom]", off.plusDays(1).toString());
            page.fill("[name=awayTo]", off.toString());
            page.click("text=Not here then");
            assertThat(page.textContent("[role=alert]")).contains(off.toString(), "Away until");
            assertThat(page.inputValue("[name=awayFrom]"))
                    .isEqualTo(off.plusDays(1).toString());
            page.fill("[name=awayTo]", off.plusDays(2).toString());
            page.click("text=Not here then");
            assertThat(page.textContent(".at-work")).contains("away");
            page.locator(".at-work li")
                    .first()
                    .locator("[name=weekdays]")
                    .last()
                    .uncheck();
            page.locator(".at-work li")
                    .first()
                    .locator("form[action$=people] button")
                    .click();
            assertThat(page.locator(".at-work li")
                            .first()
                            .locator("[name=weekdays]")
                            .last()
                            .isChecked())
                    .isFalse();
            page.click("text=here after all");
            assertThat(page.textContent(".at-work")).doesNotContain("away");
            page.locator(".at-work li")
                    .first()
                    .locator("[name=weekdays]")
                    .last()
                    .check();
            page.locator(".at-work li")
                    .first()
                    .locator("form[action$=people] button")
                    .click();
            desk.isAccessible("who may sign, and when");
            desk.forgive();
        }
    }

    @Test
    void aLeadKeepsTheHours() {
        try (Desk desk = new Desk(app.address(), 1280, 900)) {
            desk.signIn("ilse").open("/hours");
            desk.page().fill("li:has-text('Sunday') [name=hours]", "nine to five");
            desk.page().click("li:has-text('Sunday') button");
            assertThat(desk.page().textContent("[role=alert]")).contains("nine to five", "9:00-12:30");
            assertThat(desk.page().inputValue("li:has-text('Sunday') [name=hours]"))
                    .isEqualTo("nine to five");
            desk.page().fill("li:has-text('Sunday') [name=hours]", "10-12:30, 13:00-15:00");
            desk.page().click("li:has-text('Sunday') button");
            assertThat(desk.page().inputValue("li:has-text('Sunday') [name=hours]"))
                    .isEqualTo("10:00-12:30, 13:00-15:00");
            for (String[] bad : new String[][] {
                {"+999999999-01-01", ""},
                {"2027-02-31", ""},
                {LocalDate.now(ZONE).plusDays(5).toString(), "9-10,".repeat(40)}
            }) {
                assertThat(desk.page()
                                .evaluate(
                                        "async ([day, hours]) => (await fetch('/hours/exceptions', { method: 'POST', body: new URLSearchParams({ day, hours, _csrf: document.querySelector('input[name=_csrf]').value }) })).status",
                                        List.of(bad[0], bad[1])))
                        .isEqualTo(422);
            }
            assertThat(
                            desk.page()
                                    .evaluate(
                                            "async () => (await fetch('/appointments/new?due=%2B999999999-01-01&earliest=%2B999999999-12-31&what=x')).status"))
                    .isEqualTo(200);
            String closed = LocalDate.now(ZONE).plusDays(400).toString();
            desk.page().fill("[name=day]", closed);
            desk.page().click("text=Keep this day");
            assertThat(desk.page().textContent("main")).contains("closed");
            desk.isAccessible("hours and bays");
            desk.page().fill("li:has-text('Sunday') [name=hours]", "9:00-17:00");
            desk.page().click("li:has-text('Sunday') button");
            desk.forgive();
        }
    }

    /** Handed on under its seal, received as a new fitting: measures carried, everything else to be looked at again. */
    @Test
    void aFamilyIsHandedOnAndReceived() {
        try (Desk desk = new Desk(app.address(), 1280, 900)) {
            desk.signIn("marit").open("/").click("text=Ottilie");
            String fitting = app.ask(
                    "select f.id from fitting f join family a on a.id = f.family_id where a.child_name = 'Ottilie'");
            String document = (String) desk.page()
                    .evaluate(
                            "async (id) => (await (await fetch('/fittings/' + id + '/hand-on.json')).text())", fitting);
            assertThat(document).contains("\"kind\" : \"handedOn\"", "sha256");
            desk.open("/handed-on").isAccessible("from another point");
            take(desk, document.replaceFirst("\"seen\" : 2", "\"seen\" : 1"), "W-8001");
            assertThat(desk.page().textContent("[role=alert]")).contains("seal");
            assertThat(desk.page().inputValue("[name=reference]")).isEqualTo("W-8001");
            take(desk, "{\"kind\": \"other\"}", "W-8001");
            assertThat(desk.page().textContent("[role=alert]")).contains("handedOn");
            take(desk, "<b>", "");
            assertThat(desk.page().locator("[role=alert] li").count()).isEqualTo(2);
            take(desk, document, "W-8001");
            desk.page().waitForURL(Pattern.compile(".*/received"));
            assertThat(desk.page().textContent("main"))
                    .contains("The seal over its entries holds", "Inch test", "What was entered there");
            desk.isAccessible("received");
            desk.page().click("text=Go on with the fitting");
            desk.page().waitForURL(FITTING);
            assertThat(desk.state()).isEqualTo("Not ready to hand over");
            assertThat(desk.page().textContent("#head")).contains("Ottilie", "Wrenfold Thimble");
            take(desk, document, "W-8001");
            assertThat(desk.page().textContent("[role=alert]")).contains("W-8001");
            desk.forgive();
        }
    }

    private static void take(Desk desk, String document, String reference) {
        desk.open("/handed-on");
        desk.page().fill("[name=reference]", reference);
        desk.page()
                .setInputFiles(
                        "[name=file]",
                        new com.microsoft.playwright.options.FilePayload(
                                "handed-on.json",
                                "application/json",
                                document.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        desk.page().click("text=Take the family in");
        desk.page().waitForLoadState();
    }
}
