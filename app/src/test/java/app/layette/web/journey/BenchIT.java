package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.bench.act.Doing;
import app.layette.core.bench.act.Hand;
import app.layette.core.bench.run.DryRun;
import app.layette.core.bench.run.PlannersHands;
import app.layette.core.bench.run.Task;
import app.layette.core.bench.scene.Shelf;
import app.layette.core.choice.WhichRestraint;
import app.layette.core.entry.Misuse;
import app.layette.core.placing.CabinAnswers;
import app.layette.core.placing.PlaceAnswer;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The practice bench: a run of each kind, one by keys alone, a replay, and what is known afterwards. */
class BenchIT {
    private static final Pattern RUN = Pattern.compile(".*/bench/runs/[0-9a-f-]{36}(\\?.*)?$");
    private static final Pattern APART = Pattern.compile(".*/apart$");

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static void begin(Desk desk, Task task) {
        desk.open("/bench");
        Page page = desk.page();
        String form = "form:has(input[name=run][value=" + task.kind() + "]):has(h2)";
        page.fill(form + " [name=number]", String.valueOf(task.number()));
        page.click(form + " button");
        page.waitForURL(RUN);
    }

    /** Done as its form would send it. */
    private static void send(Desk desk, String hand, String what, double force, double pull) {
        desk.page()
                .evaluate(
                        "async ([hand, what, force, pull]) => { const form = document.getElementById('drag');"
                                + " const body = new URLSearchParams(new FormData(form)); body.set('hand', hand); body.set('what', what);"
                                + " body.set('force', force); body.set('pull', pull);"
                                + " const answer = await fetch(form.action, { method: 'POST', body });"
                                + " if (!answer.ok) throw new Error(hand + ' ' + what + ' ' + answer.status); }",
                        List.of(hand, what, String.valueOf(force), String.valueOf(pull)));
    }

    private static String row(Desk desk, String column) {
        String id = desk.page().url().replaceAll(".*/runs/([0-9a-f-]{36}).*", "$1");
        return app.ask("select coalesce((" + column + ")::text, '') from bench_run where id = '" + id + "'");
    }

    /** A whole fitting: taps on tools and drawing, a press by drag, the rest as the planner's own run does it; nothing is left. */
    @Test
    void aFittingByPointerIsTakenApartAndReplayed() {
        Task task = new Task(Task.Kind.FIT, 12);
        DryRun planners = task.begin();
        assertThat(PlannersHands.finish(planners)).isTrue();
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("pim");
            begin(desk, task);
            Page page = desk.page();
            desk.isAccessible("a dry run");
            page.click("text=Ask the family");
            assertThat(page.textContent(".drill-did")).contains("Ask the family");
            page.click(".drill-views a:has-text('From the door')");
            // A finger on the base, drawn down: where, and the longer the harder.
            BoundingBox spot =
                    page.locator(".drill-board a[href*='what=MIDDLE']").first().boundingBox();
            page.mouse().move(spot.x + spot.width / 2, spot.y + spot.height / 2);
            page.mouse().down();
            page.mouse().move(spot.x + spot.width / 2, spot.y + spot.height / 2 + 60);
            page.mouse().move(spot.x + spot.width / 2, spot.y + spot.height / 2 + 90);
            page.waitForFunction("() => document.querySelector('.drill-arrow')");
            page.mouse().up();
            page.waitForFunction("() => document.querySelector('.drill-did').textContent.includes('Pressed')");
            assertThat(page.textContent(".sensed"))
                    .as("nothing is fastened yet")
                    .contains("runs through");
            for (DryRun.Moment moment : planners.moments()) {
                var doing = moment.doing();
                boolean isPress = doing.hand().name().equals("PRESS");
                double unit = isPress ? 4.4482216 : 1;
                send(
                        desk,
                        doing.hand().name(),
                        doing.what(),
                        Math.round(doing.force() / unit),
                        Math.round(doing.pull() / unit));
            }
            desk.open(page.url().replace(app.address(), ""));
            page.click("text=Hand over");
            page.waitForURL(APART);
            assertThat(page.textContent(".drill-panel h1")).contains("Nothing left to find");
            assertThat(page.textContent(".drill-cost")).contains("The planner’s own run");
            assertThat(row(desk, "clean")).isEqualTo("true");
            desk.isAccessible("taken apart");
            // The replay: back to the moment before anything was fastened, and on by one.
            page.click(".drill-did li:first-child a");
            page.waitForURL(Pattern.compile(".*moment=1.*"));
            assertThat(page.textContent(".drill-scrub")).contains("1 of ");
            String before = page.innerHTML(".drill-board .drawing");
            page.click(".drill-scrub >> text=after");
            page.waitForURL(Pattern.compile(".*moment=2.*"));
            page.click(".drill-did li:last-child a");
            page.waitForLoadState();
            assertThat(page.innerHTML(".drill-board .drawing")).isNotEqualTo(before);
            page.click(".drill-points a[href^='/rules/']");
            page.waitForURL(Pattern.compile(".*/rules/[A-Z]+-\\d+$"));
            desk.isQuiet();
        }
    }

    /** A finger on a tablet presses as a mouse does, and the page does not scroll away under it. */
    @Test
    void aFingerPressesToo() {
        try (Desk desk = Desk.withFinger(app.address(), 820, 1180)) {
            desk.signIn("pim");
            begin(desk, new Task(Task.Kind.FIND, 6));
            Page page = desk.page();
            page.locator("svg.view-bench").scrollIntoViewIfNeeded();
            BoundingBox spot =
                    page.locator(".drill-board a[href*='what=MIDDLE']").first().boundingBox();
            double x = spot.x + spot.width / 2;
            double y = spot.y + spot.height / 2;
            Object before = page.evaluate("() => scrollY");
            desk.drawFinger(x, y, x, y + 80);
            page.waitForFunction("() => document.querySelector('.drill-live').textContent.includes('press')");
            assertThat(page.evaluate("() => scrollY")).isEqualTo(before);
            desk.liftFinger();
            did(page, 1);
            assertThat(page.textContent(".drill-did")).contains("Pressed: middle");
            desk.isQuiet();
        }
    }

    /** By keys alone, and what a screen reader would say: a fault is found by a look and put right; progress outlives the session. */
    @Test
    void somethingWrongIsFoundByKeysAlone() {
        // One fault, the handle, so that the way to it is known here.
        long number = Task.ofLevel(1, 1);
        while (!new Task(Task.Kind.FIND, number).staged().equals(List.of(Misuse.HANDLE_WRONG))) {
            number = Task.ofLevel(number + 1, 1);
        }
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("pim");
            begin(desk, new Task(Task.Kind.FIND, number));
            Page page = desk.page();
            key(page, ".drill-uses button:has-text('Look: handle')");
            assertThat(page.textContent(".sensed[role=status]")).contains("handle down");
            key(page, ".drill-tools a:has-text('carrier, handle')");
            key(page, ".drill-uses button:has-text('Handle up')");
            key(page, "button:has-text('Hand over')");
            page.waitForURL(APART);
            assertThat(page.textContent(".drill-panel h1")).contains("Nothing left to find");
            assertThat(page.textContent(".drill-points")).contains("put right", "SEC-9");
            desk.open("/bench");
            assertThat(page.getByRole(
                                    com.microsoft.playwright.options.AriaRole.IMG,
                                    new Page.GetByRoleOptions().setName("right 1 times in a row"))
                            .count())
                    .isPositive();
            page.click("text=Sign out");
            desk.signIn("pim").open("/bench");
            assertThat(page.textContent(".drill-runs")).contains("Find it " + number, "nothing left");
            desk.isQuiet();
        }
    }

    /** Waits until so many things stand in the list of what was done. */
    private static void did(Page page, int many) {
        page.waitForFunction("(many) => document.querySelectorAll('.drill-did li').length === many", many);
    }

    private static void key(Page page, String selector) {
        page.locator(selector).first().focus();
        page.keyboard().press("Enter");
        page.waitForLoadState();
        page.waitForTimeout(150);
    }

    @Test
    void aRestraintIsChosenWithItsArguments() {
        Task task = new Task(Task.Kind.CHOOSE, 7);
        Shelf shelf = task.shelf();
        var answers = WhichRestraint.among(shelf.seats(), shelf.present());
        PlaceAnswer place = CabinAnswers.of(answers.get(0).there()).answers().get(0);
        try (Desk desk = new Desk(app.address(), 1280, 900)) {
            desk.signIn("pim");
            begin(desk, task);
            Page page = desk.page();
            desk.isAccessible("a choice");
            page.click("text=This one, there");
            assertThat(page.textContent("[role=alert]")).contains("Restraint", "Place", "Method");
            page.check("[name=seat][value=" + answers.get(0).seat().sheet().id() + "]");
            page.check("[name=place][value='" + place.place() + "']");
            page.check("[name=method][value=" + place.method() + "]");
            page.click("text=This one, there");
            page.waitForURL(APART);
            assertThat(page.textContent("h1"))
                    .as("no argument against the others")
                    .contains("Something was left");
            assertThat(page.textContent("main")).contains("What the planner says", "does not suit");
            desk.isAccessible("a choice taken apart");
            desk.forgive();
        }
    }

    @Test
    void aCaregiverIsStoppedInTime() {
        Task task = new Task(Task.Kind.TEACH, 40);
        DryRun known = task.begin();
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            begin(desk, task);
            Page page = desk.page();
            int done = 0;
            while (known.nextTurn().isPresent()) {
                var turn = known.nextTurn().get();
                page.click("button:has-text('Let them go on')");
                did(page, ++done);
                if (turn.slip().isPresent()) {
                    page.locator("form:has(input[value=STOP]):has(input[value="
                                    + turn.slip().get() + "]) button")
                            .click();
                    did(page, ++done);
                    assertThat(page.textContent(".sensed")).contains("put it right");
                }
                known.does(Doing.of(Hand.GO_ON));
            }
            assertThat(page.locator("button:has-text('Let them go on')").isDisabled())
                    .isTrue();
            page.click("text=They are ready to go");
            page.waitForURL(APART);
            assertThat(page.textContent(".drill-panel h1")).contains("Nothing left to find");
            desk.isQuiet();
        }
    }

    /** A lead asks for a run and sees the group; nobody else sees somebody's run; nonsense is refused, and nothing is done. */
    @Test
    void aLeadAsksAndNonsenseIsRefused() {
        try (Desk lead = new Desk(app.address(), 1280, 900);
                Desk trainee = new Desk(app.address(), 390, 844)) {
            lead.signIn("ilse").open("/bench").isAccessible("the bench of a lead");
            lead.page()
                    .selectOption("[name=whom]", new com.microsoft.playwright.options.SelectOption().setLabel("Pim"));
            lead.page().selectOption("select[name=run]", "FIND");
            lead.page().fill(".fields [name=number]", "0");
            lead.page().click("text=Ask for this run");
            assertThat(lead.page().textContent("[role=alert]")).contains("999999");
            lead.page().fill(".fields [name=number]", "77");
            lead.page().click("text=Ask for this run");
            trainee.signIn("pim").open("/bench").fitsItsWidth("the bench on a phone");
            trainee.page().click(".drill-asked button");
            trainee.page().waitForURL(RUN);
            trainee.fitsItsWidth("a run on a phone");
            String mine = trainee.page().url();
            for (String[] bad : new String[][] {
                {"PRESS", "NOWHERE", "1"},
                {"FLY", "", "0"},
                {"MAKE", "LEG=<b>", "0"},
                {"PRESS", "MIDDLE", "9999"},
                {"SET_DEVICE", "-1", "0"},
                {"LOOK", "MOON", "0"},
                {"GO_ON", "", "0"}
            }) {
                assertThat(trainee.page()
                                .evaluate(
                                        "async ([hand, what, force]) => { const form = document.getElementById('drag'); const body = new URLSearchParams(new FormData(form));"
                                                + " body.set('hand', hand); body.set('what', what); body.set('force', force); return (await fetch(form.action, { method: 'POST', body })).status; }",
                                        List.of(bad[0], bad[1], bad[2])))
                        .as("%s %s", bad[0], bad[1])
                        .isEqualTo(422);
            }
            assertThat(
                            app.ask(
                                    "select count(*) from bench_doing d join bench_run r on r.id = d.run_id where r.number = 77"))
                    .isEqualTo("0");
            try (Desk other = new Desk(app.address(), 1280, 800)) {
                other.signIn("marit");
                assertThat(other.page().evaluate("async (address) => (await fetch(address)).status", mine))
                        .isEqualTo(404);
                other.forgive();
            }
            lead.open(mine.replace(app.address(), ""));
            assertThat(lead.page().textContent(".drill-number")).contains("77");
            assertThat(lead.page()
                            .evaluate("async () => (await fetch('/bench/hours.pdf')).headers.get('content-type')"))
                    .isEqualTo("application/pdf");
            lead.forgive();
            trainee.forgive();
        }
    }
}
