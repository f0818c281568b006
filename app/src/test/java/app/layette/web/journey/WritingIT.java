package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.fitting.FittingPlanner;
import app.layette.formats.document.CaseDocument;
import app.layette.formats.sheet.FieldForm;
import app.layette.formats.sheet.SheetField;
import app.layette.formats.sheet.SheetFields;
import app.layette.formats.sheet.SheetWork;
import app.layette.formats.sheet.WorkingSheet.State;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A seat sheet from nothing to confirmed by the screen alone, and what a draft may and may not. */
class WritingIT {
    private static final Path EXAMPLES = Path.of("../examples");

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static String read(String file) {
        try {
            return Files.readString(EXAMPLES.resolve(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final String OPEN = "() => document.querySelector('.one-field [name=field]')?.value ?? ''";

    private static String begin(Desk desk, String kind, String maker, String name, String model) {
        desk.open("/shelf").click("text=Write a sheet");
        desk.page().check(".kind-tiles [value=" + kind + "]");
        desk.page().fill("[name=maker]", maker);
        desk.page().fill("[name=name]", name);
        desk.page().fill("[name=modelNumber]", model);
        desk.page().click("text=Begin the sheet");
        desk.page().waitForSelector(".one-field");
        return desk.page().url().replaceAll(".*/sheets/writing/([a-z0-9-]+).*", "$1");
    }

    private static void go(Desk desk, String id, String pointer) {
        desk.page()
                .navigate(app.address() + "/sheets/writing/" + id + "?field="
                        + URLEncoder.encode(pointer, StandardCharsets.UTF_8));
    }

    private static void fill(Page page, Map<String, String> boxes) {
        boxes.forEach((box, text) -> {
            Locator there = page.locator(".one-field [name='" + box + "']");
            if (there.count() == 1) {
                String tag = (String) there.evaluate("each => each.type");
                switch (tag) {
                    case "select-one" -> there.selectOption(text);
                    case "checkbox" -> there.check();
                    default -> there.fill(text);
                }
            }
        });
    }

    private static void keep(Desk desk, SheetField field, SheetWork wanted, String id) {
        Map<String, String> boxes = wanted.value(field)
                .map(value -> FieldForm.write(field.shape(), value))
                .orElse(Map.of());
        // After each answer the page goes on to what is missing next: mostly this one.
        if (!field.pointer().equals(desk.page().evaluate(OPEN))) {
            go(desk, id, field.pointer());
        }
        // A list shows one row more than it has: as many times as it takes.
        for (int round = 0; round < 10; round++) {
            Page page = desk.page();
            fill(page, boxes);
            boolean none = wanted.value(field)
                    .filter(value -> value.isArray() && value.isEmpty())
                    .isPresent();
            if (none) {
                page.check(".one-field [name=none]");
            }
            if (field.evidence()) {
                String source = wanted.source(field);
                boolean silent = wanted.state(field) == State.SILENT;
                String key = silent ? "silent" : source.split(" ")[0].equals("label") ? "label" : "manual";
                page.check(".one-field [name=how][value=" + key + "]");
                page.fill(".one-field [name=place]", source.contains(" ") ? source.split(" ", 2)[1] : "");
            }
            page.evaluate("() => { window.sentHere = true; }");
            page.click(".one-field .go");
            page.waitForFunction("() => !window.sentHere && document.readyState === 'complete'");
            assertThat(page.locator("[role=alert]").count())
                    .as(field.pointer() + ": " + page.textContent(".now"))
                    .isZero();
            boolean hasRows = boxes.keySet().stream().anyMatch(box -> box.matches("v\\.(.*\\.)?\\d+\\..*"));
            if (!hasRows) {
                return;
            }
            go(desk, id, field.pointer());
            long shown = boxes.keySet().stream()
                    .filter(box ->
                            page.locator(".one-field [name='" + box + "']").count() > 0)
                    .filter(box -> !page.locator(".one-field [name='" + box + "']")
                            .evaluate("each => each.type === 'checkbox' ? String(each.checked) : each.value")
                            .toString()
                            .isBlank())
                    .count();
            if (shown == boxes.size()) {
                return;
            }
        }
        throw new AssertionError(field.pointer() + " could not be filled in");
    }

    /** Twice the whole of it: what comes out says what the example says, and its ready fitting is ready. */
    @ParameterizedTest
    @CsvSource({"wrenfold-thimble, REAR_FACING_ONLY, ready.json", "wrenfold-shuttle, CAR_BED, ready-car-bed.json"})
    void fromNothingToConfirmedByTheScreenAlone(String example, String kind, String ready) {
        SheetWork wanted = SheetWork.of(read("sheets/" + example + ".json"));
        String id;
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            id = begin(desk, kind, "Loomgate", "Copy of " + kind.charAt(0), "LG-1");
            desk.page().waitForSelector("#unknown .gaps li");
            desk.isAccessible("a sheet that is written");
            // Planned over and over while each field is filled in, it would take most of the time of this test.
            desk.page()
                    .addInitScript(
                            "document.addEventListener('DOMContentLoaded', () => { if (sessionStorage.getItem('later'))"
                                    + " document.getElementById('unknown')?.removeAttribute('hx-get'); });");
            desk.page().evaluate("sessionStorage.setItem('later', 'yes')");
            for (SheetField field : SheetFields.of(wanted.kind())) {
                boolean naming = field.pointer().startsWith("/identity/")
                        || field.pointer().equals("/documents");
                if (wanted.state(field) != State.NOT_LOOKED && !naming) {
                    keep(desk, field, wanted, id);
                }
            }
            desk.page().evaluate("sessionStorage.removeItem('later')");
            desk.open("/sheets/writing/" + id);
            desk.page().waitForSelector("#unknown :text('every fitting tried could be decided')");
            assertThat(desk.page().textContent(".sheet-counts")).contains("Nothing contradicts");
            desk.click("text=Put it on the shelf as a draft");
            desk.page().waitForSelector(".waiting-drafts");
            desk.click(".waiting-drafts li:has-text('Copy of') a");
            assertThat(desk.page().textContent("main")).contains("You wrote it: somebody else confirms it");
            desk.isAccessible("what a draft changes");
        }
        try (Desk lead = new Desk(app.address(), 1280, 800)) {
            lead.signIn("ilse").open("/shelf").click(".waiting-drafts li:has-text('Copy of') a");
            lead.click("text=I compared it with the manual: confirm");
            lead.page().waitForSelector("text=confirmed");
            assertThat(lead.page().locator(".waiting-drafts").count()).isZero();
            String written = lead.page()
                    .request()
                    .get(app.address() + "/sheets/" + id + ".json")
                    .text();
            SheetWork work = SheetWork.of(written);
            for (SheetField field : SheetFields.of(wanted.kind())) {
                if (field.evidence()) {
                    assertThat(work.value(field)).as(field.pointer()).isEqualTo(wanted.value(field));
                    assertThat(work.state(field)).as(field.pointer()).isEqualTo(wanted.state(field));
                }
            }
            assertThat(isReady(ready, example, written)).isTrue();
        }
    }

    /** The example's whole fitting, with what was written in the place of its sheet. */
    private static boolean isReady(String ready, String example, String written) {
        SheetWork original = SheetWork.of(read("sheets/" + example + ".json"));
        SheetWork copy = SheetWork.of(written);
        for (SheetField field : SheetFields.all()) {
            boolean naming = field.pointer().startsWith("/identity/");
            if (naming) {
                original.value(field).ifPresent(value -> copy.put(field, value, ""));
            }
        }
        String json = copy.json()
                .replaceFirst("\"id\"\\s*:\\s*\"[a-z0-9-]+\"", "\"id\": \"" + example + "\"")
                .replaceFirst("\"version\"\\s*:\\s*\\d+", version(read("sheets/" + example + ".json")));
        CaseDocument fitting = CaseDocument.read(
                read("cases/" + ready), file -> file.contains(example) ? json : read("cases/" + file));
        return new FittingPlanner()
                .plan(fitting.practice(), fitting.sheets(), fitting.record(), fitting.date())
                .gate()
                .isOpen();
    }

    private static String version(String json) {
        java.util.regex.Matcher version =
                java.util.regex.Pattern.compile("\"version\"\\s*:\\s*\\d+").matcher(json);
        assertThat(version.find()).isTrue();
        return version.group();
    }

    @Test
    void whatIsTypedWrongNamesWhatIsAllowedAndIsNotLost() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("pim").open("/sheets/writing");
            desk.page().click("text=Begin the sheet");
            assertThat(desk.page().textContent("[role=alert]")).contains("Maker", "Name", "Model number");
            String id = begin(desk, "REAR_FACING_ONLY", "Loomgate", "Slip", "LG-2");
            go(desk, id, "/shell/top");
            desk.page().fill("[name=v]", "472");
            desk.page().click(".one-field .go");
            assertThat(desk.page().textContent("[role=alert]")).contains("472", "a length with its unit");
            assertThat(desk.page().inputValue("[name=v]")).isEqualTo("472");
            assertThat(desk.page().textContent("[role=alert]")).contains("the page is needed");
            desk.page().fill("[name=v]", "472 mm");
            desk.page().check("[name=how][value=tape]");
            desk.page().click(".one-field .go");
            go(desk, id, "/shell/slots");
            desk.page().fill("[name=v]", "194 mm\\n190 mm".replace("\\n", "\n"));
            desk.page().fill("[name=place]", "17");
            desk.page().click(".one-field .go");
            desk.page().waitForSelector(".doubt:has-text('more than the slot before it')");
            desk.click("text=Put it on the shelf as a draft");
            assertThat(desk.page().textContent("[role=alert]")).contains("/shell/slots/1", "190 mm");
            go(desk, id, "/shell/slots");
            desk.page().check("[name=how][value=nobody]");
            desk.page().click(".one-field .go");
            desk.page().waitForSelector(".holds:has-text('Nothing contradicts')");
            assertThat(desk.page().textContent(".sheet-counts")).contains("1 by tape");
            desk.click("text=Throw this writing away");
            desk.page().waitForSelector("h1:has-text('Seat sheets')");
            desk.forgive();
        }
    }

    /** A stricter draft decides nothing, names the open fittings that it would change, and does so once confirmed. */
    @Test
    void aStricterDraftNamesWhatItWouldChange() {
        try (Desk lead = new Desk(app.address(), 1280, 800)) {
            // A lead who writes at it, too, is no second person, whoever puts it on the shelf.
            lead.signIn("ilse").open("/shelf");
            lead.click(".on-the-shelf li:has-text('Wrenfold Thimble') button:has-text('Write its next version')");
            go(lead, "wrenfold-thimble", "/shell/headRoom");
            lead.page().fill("[name=v]", "36 mm");
            lead.page().click(".one-field .go");
            lead.page().waitForLoadState();
        }
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").open("/shelf");
            desk.click(".on-the-shelf li:has-text('Wrenfold Thimble') button:has-text('Write its next version')");
            desk.page().waitForSelector(".one-field");
            go(desk, "wrenfold-thimble", "/limits/weightMax");
            desk.page().fill("[name=v]", "5 lb 8 oz");
            desk.page().click(".one-field .go");
            desk.open("/sheets/writing/wrenfold-thimble").click("text=Put it on the shelf as a draft");
            desk.click(".waiting-drafts li:has-text('Thimble') a");
            String page = desk.page().textContent("main");
            assertThat(page).contains("Heaviest child", "29 lb", "5 lb 8 oz", "Tamsin", "Weight: in order → ");
            desk.open("/?find=Tamsin").click("tbody a");
            assertThat(desk.state()).as("a draft decides nothing").isEqualTo("Ready to hand over");
        }
        try (Desk lead = new Desk(app.address(), 1280, 800)) {
            lead.signIn("ilse").open("/sheets/wrenfold-thimble/4/changes");
            assertThat(lead.page().textContent("main"))
                    .contains("36 mm", "You wrote it: somebody else confirms it")
                    .doesNotContain("I compared it");
        }
        try (Desk other = new Desk(app.address(), 1280, 800)) {
            other.signIn("marit");
            int status = other.page()
                    .request()
                    .post(app.address() + "/sheets/wrenfold-thimble/4/confirm")
                    .status();
            assertThat(List.of(403, 422)).contains(status);
            other.forgive();
        }
    }
}
