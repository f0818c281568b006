package app.layette.web.support;

import static org.assertj.core.api.Assertions.assertThat;

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

/**
 * A PDF as somebody at a desk gets it.
 *
 * @param width of the first page, points
 * @param codes the addresses of its QR codes, where they were looked for
 */
public record Paper(int pages, double width, String text, List<String> codes) {
    private static final int DPI = 300;

    public static Paper of(Desk desk, String address) {
        return of(desk, address, false);
    }

    /** Looking for codes draws every page, which takes its time. */
    public static Paper withCodes(Desk desk, String address) {
        return of(desk, address, true);
    }

    private static Paper of(Desk desk, String address, boolean withCodes) {
        APIResponse response = desk.page().request().get(address);
        assertThat(response.headers()).containsEntry("content-type", "application/pdf");
        try (PDDocument document = Loader.loadPDF(response.body())) {
            List<String> codes = new ArrayList<>();
            for (int page = 0; withCodes && page < document.getNumberOfPages(); page++) {
                codes.addAll(codes(new PDFRenderer(document).renderImageWithDPI(page, DPI)));
            }
            return new Paper(
                    document.getNumberOfPages(),
                    document.getPage(0).getMediaBox().getWidth(),
                    new PDFTextStripper().getText(document),
                    codes);
        } catch (IOException e) {
            throw new IllegalStateException("The PDF cannot be read", e);
        }
    }

    private static List<String> codes(BufferedImage image) {
        int[] pixels = image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
        BinaryBitmap bitmap = new BinaryBitmap(
                new HybridBinarizer(new RGBLuminanceSource(image.getWidth(), image.getHeight(), pixels)));
        Map<DecodeHintType, Object> hints = Map.of(
                DecodeHintType.TRY_HARDER, true, DecodeHintType.POSSIBLE_FORMATS, List.of(BarcodeFormat.QR_CODE));
        try {
            return List.of(new MultiFormatReader().decode(bitmap, hints).getText());
        } catch (NotFoundException e) {
            return List.of();
        }
    }
}
