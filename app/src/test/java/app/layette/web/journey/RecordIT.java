package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import com.google.zxing.BarcodeFormat;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.NotFoundException;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.microsoft.playwright.APIResponse;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A fitting as a record, the family's page, and what comes after. */
class RecordIT {
    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    private static final int DPI = 300;

    /** What a PDF says, and the addresses of its QR codes. */
    private record Paper(int pages, String text, List<String> codes) {}

    private static Paper pdf(Desk desk, String path) {
        APIResponse response = desk.page().request().get(app.address() + path);
        assertThat(response.headers()).containsEntry("content-type", "application/pdf");
        try (PDDocument document = Loader.loadPDF(response.body())) {
            List<String> codes = new ArrayList<>();
            for (int page = 0; page < document.getNumberOfPages(); page++) {
                codes.addAll(codes(new PDFRenderer(document).renderImageWithDPI(page, DPI)));
            }
            return new Paper(document.getNumberOfPages(), new PDFTextStripper().getText(document), codes);
        } catch (IOException e) {
            throw new IllegalStateException("The PDF cannot be read", e);
        }
    }

    private static List<String> codes(BufferedImage image) {
        int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
        BinaryBitmap bitmap = new BinaryBitmap(
                new HybridBinarizer(new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels)));
        try {
            return List.of(new MultiFormatReader()
                    .decode(
                            bitmap,
                            Map.of(
                                    DecodeHintType.TRY_HARDER,
                                    true,
                                    DecodeHintType.POSSIBLE_FORMATS,
                                    List.of(BarcodeFormat.QR_CODE)))
                    .getText());
        } catch (NotFoundException e) {
            return List.of();
        }
    }

    private static void found(Desk desk, String area, String what) {
        desk.page().click("svg.view-as-found a[aria-label^='" + area + "']");
        desk.page().waitForLoadState();
        desk.page().click(".choices-of-area button:has-text('" + what + "')");
        desk.page().waitForLoadState();
    }

    @Test
    void aPhotographIsKeptAndABadOneRefusedWithASentence() {
        try (Desk desk = new Desk(app.address(), 390, 844)) {
            desk.signIn("marit").page().click("text=Bramwell");
            desk.page().click("text=Photographs");
            desk.isAccessible("photographs");
            desk.fitsItsWidth("photographs");
            desk.page().setInputFiles("[name=photo]", java.nio.file.Path.of("..", "examples", "cases", "ready.json"));
            desk.page().selectOption("[name=about]", "label");
            desk.page().click(".take-photo .go");
            assertThat(desk.page().textContent(".refused")).contains("This is no photograph");
            assertThat(desk.page().inputValue("[name=about]")).isEqualTo("label");
            desk.page()
                    .setInputFiles(
                            "[name=photo]", java.nio.file.Path.of("..", "docs", "screenshots", "fitting-side.png"));
            desk.page().click(".take-photo .go");
            assertThat(desk.page().locator(".gallery img").count()).isEqualTo(1);
            Object width = desk.page()
                    .evaluate("async () => { const img = document.querySelector('.gallery img');"
                            + " img.loading = 'eager'; await img.decode(); return img.naturalWidth; }");
            assertThat(((Number) width).intValue()).isBetween(1, 1600);
            assertThat(app.newestKinds("Bramwell", 1)).containsExactly("photoTaken");
            desk.isQuiet();
        }
    }

    @Test
    void fromAsFoundToTheSealedRecordThePaperAndTheDueList() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").page().click("text=Tamsin");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.page().click("text=As found");
            found(desk, "Harness", "Chest clip too low");
            found(desk, "Base", "Base loose");
            desk.isAccessible("as found");
            assertThat(desk.page().textContent(".list")).contains("still so: Chest clip", "still so: Inch test");
            desk.open(fitting);
            desk.step("Inch test");
            desk.page().click("#ask-movement summary");
            desk.tap("Less than an inch");
            desk.step("Harness the child");
            desk.page().click("#ask-question-clip summary");
            desk.tap("At the armpits");
            desk.open(fitting + "/as-found");
            assertThat(desk.page().textContent(".list"))
                    .contains("put right: Chest clip, entry")
                    .doesNotContain("still so");
            desk.open(fitting + "?step=HAND_OVER").send("Hand over");
            assertThat(desk.state()).isEqualTo("Handed over");
            sealed(desk, fitting);
            paper(desk, fitting);
            due(desk);
            desk.isQuiet();
        }
    }

    private static void sealed(Desk desk, String fitting) {
        desk.open(fitting + "/record");
        desk.isAccessible("record");
        assertThat(desk.page().textContent(".seal")).contains("the seal holds", "marit", "SHA-256");
        String hash = desk.page().textContent(".seal code");
        int before = desk.page().locator(".story > li").count();
        desk.page().click("[aria-label='Correct entry 5']");
        desk.page().fill(".correct:visible [name=mass]", "a lot");
        desk.page().fill(".correct:visible [name=why]", "misread");
        desk.page().click(".correct:visible button");
        assertThat(desk.page().textContent(".refused")).contains("The Weight (a lot)");
        assertThat(desk.page().locator(".story > li").count())
                .as("neither is kept")
                .isEqualTo(before);
        assertThat(desk.page().inputValue(".correct:visible [name=mass]")).isEqualTo("a lot");
        assertThat(desk.page().inputValue(".correct:visible [name=why]")).isEqualTo("misread");
        desk.page().fill(".correct:visible [name=mass]", "6 lb 10 oz");
        desk.page().fill(".correct:visible [name=why]", "the scale was misread");
        desk.page().click(".correct:visible button");
        assertThat(desk.page().locator(".story > li").count()).isEqualTo(before + 2);
        assertThat(desk.page().textContent(".story")).contains("added after the seal", "the scale was misread");
        assertThat(desk.page().textContent("#e5")).contains("corrected later");
        assertThat(desk.page().textContent(".seal")).contains("the seal holds", hash);
        app.execute("update entry set document = jsonb_set(document, '{by,id}', '\"somebody\"') where seq = 3");
        app.kill();
        app.start();
        desk.open(fitting + "/record");
        assertThat(desk.page().textContent(".seal")).contains("does not hold");
        desk.forgive();
    }

    private static void paper(Desk desk, String fitting) {
        desk.open(fitting + "/handout").page().click("text=Make the family’s own page");
        desk.page().waitForSelector(".own-address");
        String address = desk.page().textContent(".own-address");
        assertThat(address).matches(".*/f/[A-Za-z0-9_-]{43}").doesNotContain("Tamsin", "W-1041");
        Paper english = pdf(desk, fitting + "/handout.pdf");
        assertThat(english.pages()).isLessThanOrEqualTo(2);
        assertThat(english.text())
                .contains("How Tamsin rides", "slot 1, both sides, short loop", "What comes next")
                .doesNotContain("Draft");
        assertThat(english.codes()).containsExactly(address);
        Paper spanish = pdf(desk, fitting + "/handout.pdf?lang=es");
        assertThat(spanish.text()).contains("Cómo viaja Tamsin", "Qué viene después", "burbuja entre las líneas");
        familyPage(desk, fitting, address);
    }

    private static void familyPage(Desk desk, String fitting, String address) {
        try (Desk family = new Desk(app.address(), 390, 844)) {
            String path = address.replaceAll(".*/f/", "/f/");
            family.open(path).isAccessible("the family's own page");
            family.fitsItsWidth("the family's own page");
            assertThat(family.page().textContent("main")).contains("How Tamsin rides");
            assertThat(family.page().locator("form, button").count())
                    .as("read-only")
                    .isZero();
            family.page().click("text=En español");
            assertThat(family.page().textContent("main")).contains("Cómo viaja Tamsin");
            app.execute("update family_page set expires_on = current_date - 2");
            assertThat(family.page().request().get(app.address() + path).status())
                    .isEqualTo(410);
            app.execute("update family_page set expires_on = current_date + 2");
            assertThat(family.page().request().get(app.address() + path).status())
                    .isEqualTo(200);
            desk.open(fitting + "/handout").page().click("text=Take it back");
            desk.page().waitForLoadState();
            assertThat(family.page().request().get(app.address() + path).status())
                    .isEqualTo(410);
            family.forgive();
        }
    }

    private static void due(Desk desk) {
        desk.open("/due?ahead=ALL");
        desk.isAccessible("due");
        String row = "tr:has-text('Tamsin'):has-text('Inch test')";
        assertThat(desk.page().locator(row).count()).isEqualTo(1);
        desk.page().click(row + " button:has-text('Write')");
        assertThat(desk.page().textContent(row)).contains("a letter was sent");
        desk.page().click(row + " summary");
        desk.page().click(row + " button:has-text('Put off')");
        assertThat(desk.page().textContent(".refused")).contains("Say why", "The day ()");
        desk.page().fill(row + " [name=note]", "away until then");
        desk.page()
                .fill(
                        row + " [name=until]",
                        java.time.LocalDate.now().plusDays(40).toString());
        desk.page().click(row + " button:has-text('Put off')");
        assertThat(desk.page().locator(row).count()).as("put off").isZero();
        desk.open("/mailbox");
        assertThat(desk.page().textContent("main")).contains("About Tamsin’s seat", "W-1041", "Inch test");
        desk.open("/due");
        String feed = desk.page().textContent(".own-address");
        String calendar = desk.page().request().get(feed).text();
        assertThat(calendar).contains("BEGIN:VEVENT", "W-1046").doesNotContain("Juniper");
    }
}
